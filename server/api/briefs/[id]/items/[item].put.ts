import { z } from 'zod'
import { briefOf } from '../../../../http/briefOf'
import { Problem } from '../../../../http/problem'
import { paramOf, route } from '../../../../http/route'
import { savedBriefItem } from '../../../../http/briefItem'

const itemId = z.uuid()

/** Makes an item or changes it; one that was taken out comes back. */
export default route('PUT /api/briefs/:id/items/:item', (event, runtime, { body }) => {
  const id = paramOf(event, 'item')
  if (!itemId.safeParse(id).success) throw new Problem(400, 'bad-input', 'An item needs an id of its own (a UUID).')
  return savedBriefItem(runtime.briefItems.save(briefOf(event, runtime).id, { id, ...body }))
})
