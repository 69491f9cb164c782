import type { ItemResult } from '../data/items'
import { Problem } from './problem'

/** An item of a brief as it was saved. @throws Problem where it was not. */
export function savedBriefItem<Saved>(result: ItemResult<Saved>): Saved {
  switch (result.kind) {
    case 'saved':
      return result.item
    case 'other-item':
      throw new Problem(409, 'other-item', 'This id belongs to another item. Send it under an id of its own.')
    case 'full':
      throw new Problem(422, 'too-many', 'This brief has as many as it can have. Remove some.')
    case 'stale':
      throw new Problem(409, 'stale', 'This was changed elsewhere since you opened it. Nothing was overwritten.', {
        theirs: result.theirs,
      })
  }
}
