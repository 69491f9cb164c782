import { ITEM_KINDS } from '../../core/brief/items'
import { itemStore } from './items'
import type { Db } from './open'

export type BriefItemStore = ReturnType<typeof briefItemStore>

/** What briefs have many of: candidates for a title, named versions, blocks placed live. */
export function briefItemStore(db: Db, now: () => number = Date.now) {
  const touch = db.prepare('UPDATE brief SET updated_at = ? WHERE id = ?')
  return itemStore(
    db,
    {
      table: 'brief_item',
      owner: 'brief_id',
      kinds: ITEM_KINDS,
      touched: (brief, at) => {
        touch.run(at, brief)
      },
    },
    now,
  )
}
