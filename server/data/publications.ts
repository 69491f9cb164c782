import type { DraftProblem } from '../../core/release/videoDraft'
import type { Publication } from '../../shared/publish'
import type { Db } from './open'

interface Row {
  id: string
  brief_id: string
  channel: string
  file: string
  bytes: number
  sent: number
  seconds: number
  state: Publication['state']
  video: string | null
  visible_from: number | null
  problems: string
  source: string | null
  created_at: number
  updated_at: number
}
const toPublication = ({ brief_id, visible_from, problems, created_at, updated_at, ...row }: Row): Publication => ({
  ...row,
  briefId: brief_id,
  visibleFrom: visible_from,
  problems: JSON.parse(problems) as DraftProblem[],
  createdAt: created_at,
  updatedAt: updated_at,
})

export type PublicationStore = ReturnType<typeof publicationStore>

/** Briefs on their way to a site, and those that are out. */
export function publicationStore(db: Db, now: () => number = Date.now) {
  const one = db.prepare<[string], Row>('SELECT * FROM publication WHERE id = ?')
  const newest = db.prepare<[string], Row>(
    'SELECT * FROM publication WHERE brief_id = ? ORDER BY created_at DESC, id DESC LIMIT 1',
  )
  const held = db.prepare<[string], Row>("SELECT * FROM publication WHERE brief_id = ? AND state IN ('sending', 'out')")
  const briefOf = db
    .prepare<[string], string>("SELECT brief_id FROM publication WHERE video = ? AND state = 'out'")
    .pluck()
  const sending = db.prepare<[], string>("SELECT id FROM publication WHERE state = 'sending'").pluck()
  const out = db
    .prepare<[], string>("SELECT brief_id FROM publication WHERE state IN ('sending', 'out') AND state = 'out'")
    .pluck()
  const add = db.prepare(
    `INSERT INTO publication (id, brief_id, channel, file, bytes, seconds, state, created_at, updated_at)
      VALUES (?, ?, ?, ?, ?, ?, 'sending', ?, ?)`,
  )
  const progress = db.prepare('UPDATE publication SET sent = ?, updated_at = ? WHERE id = ?')
  const end = db.prepare(
    "UPDATE publication SET state = ?, video = ?, visible_from = ?, problems = ?, source = ?, updated_at = ? WHERE id = ? AND state = 'sending'",
  )
  const get = (id: string): Publication | null => {
    const row = one.get(id)
    return row ? toPublication(row) : null
  }
  const begin = db.transaction(
    (given: Pick<Publication, 'id' | 'briefId' | 'channel' | 'file' | 'bytes' | 'seconds'>): Publication | null => {
      if (held.get(given.briefId)) return null
      const at = now()
      add.run(given.id, given.briefId, given.channel, given.file, given.bytes, given.seconds, at, at)
      return get(given.id)
    },
  )
  return {
    /** Ids of the briefs that are out. */
    out: (): ReadonlySet<string> => new Set(out.all()),
    get,
    /** The brief that a video was made of; `null` for one that came from elsewhere. */
    briefOf: (video: string): string | null => briefOf.get(video) ?? null,
    /** The newest one of a brief; `null` where it was never sent. */
    of(brief: string): Publication | null {
      const row = newest.get(brief)
      return row ? toPublication(row) : null
    },
    /** The one of a brief that is under way or out. */
    heldOf(brief: string): Publication | null {
      const row = held.get(brief)
      return row ? toPublication(row) : null
    },
    /** Ids of those under way. */
    sending: () => sending.all(),
    /** Begins one. @returns `null` where the brief is under way or out already. */
    begin: (given: Parameters<typeof begin>[0]) => begin.immediate(given),
    sent(id: string, bytes: number) {
      progress.run(bytes, now(), id)
    },
    /** How it ended. What has ended stays so: what is out was never refused. */
    end(
      id: string,
      to: Pick<Publication, 'state'> & Partial<Pick<Publication, 'video' | 'visibleFrom' | 'problems' | 'source'>>,
    ) {
      const { state, video = null, visibleFrom = null, problems = [], source = null } = to
      end.run(state, video, visibleFrom, JSON.stringify(problems), source, now(), id)
    },
  }
}
