import { WORKSPACE_KINDS } from '../../core/workspace/items'
import { itemStore } from './items'
import type { Db } from './open'

export type WorkspaceItemStore = ReturnType<typeof workspaceItemStore>

/** What workspaces have many of: blocks of text, lists of tags, rule sets, playlists. */
export const workspaceItemStore = (db: Db, now: () => number = Date.now) =>
  itemStore(db, { table: 'workspace_item', owner: 'workspace_id', kinds: WORKSPACE_KINDS }, now)
