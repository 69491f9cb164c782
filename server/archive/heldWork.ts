import { counted, listed } from '../../core/text/inWords'
import type { Db } from '../data/open'

/** What a person made that is in the data file, in words; empty where there is nothing. */
export function heldWork(db: Db): string {
  const count = (from: string) => db.prepare<[], number>(`SELECT count(*) FROM ${from}`).pluck().get()!
  const held: [number, string, string?][] = [
    [count('brief WHERE deleted_at IS NULL'), 'brief'],
    [count('phrase_list WHERE deleted_at IS NULL'), 'list'],
    [count('workspace_item WHERE deleted_at IS NULL'), 'saved text or setting', 'saved texts and settings'],
    [count('own_video'), 'video of your own', 'videos of your own'],
    [count('watch'), 'watched phrase'],
    [count('phrase_note'), 'note'],
  ]
  return listed(held.filter(([n]) => n).map(([n, one, many]) => counted(n, one, many)))
}
