import { z } from 'zod'
import { briefOf } from '../../../../http/briefOf'
import { Problem } from '../../../../http/problem'
import { paramOf, route } from '../../../../http/route'

const itemId = z.uuid()

/** Makes an item or changes it; one that was taken out comes back. */
export default route('PUT /api/briefs/:id/items/:item', (event, runtime, { body }) => {
  const id = paramOf(event, 'item')
  if (!itemId.safeParse(id).success) throw new Problem(400, 'bad-input', 'An item needs an id of its own (a UUID).')
  const result = runtime.briefItems.save(briefOf(event, runtime).id, { id, ...body })
  if (result.kind === 'other-item')
    throw new Problem(409, 'other-item', 'This id belongs to another item. Send it under an id of its own.')
  if (result.kind === 'full') throw new Problem(422, 'too-many', 'This brief has as many as it can have. Remove some.')
  if (result.kind === 'stale')
    throw new Problem(409, 'stale', 'This was changed elsewhere since you opened it. Nothing was overwritten.', {
      theirs: result.theirs,
    })
  return result.item
})
