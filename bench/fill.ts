import { join } from 'node:path'
import { emptyFields } from '../core/brief/brief'
import { seeded } from '../core/random'
import { rankDay } from '../core/ranks/standing'
import { PAGE_SEATS } from '../core/rivals/difficulty'
import { looksToDrop } from '../core/rivals/thinning'
import { DAY } from '../core/time'
import { briefStore } from '../server/data/briefs'
import { standAgain } from '../server/data/channelSeries'
import { openUserData, type Db } from '../server/data/open'

/** Does something to a data file that no server has open, in one transaction that nobody waits for. */
function filling(file: string, work: (db: Db) => void): void {
  const db = openUserData(file, { migrations: join(process.cwd(), 'server/data/migrations') })
  try {
    db.pragma('synchronous = OFF')
    // What is filled in names only what is there.
    db.pragma('foreign_keys = OFF')
    db.transaction(() => work(db))()
    db.pragma('wal_checkpoint(TRUNCATE)')
  } finally {
    db.close()
  }
}

/** Briefs with what was written in them over a year. @param history entries of all of them together. */
export function fillBriefs(file: string, { briefs: count, history }: { briefs: number; history: number }): void {
  filling(file, db => {
    const briefs = briefStore(db)
    const description = 'The chain runs over two pulleys and wears both of them. '.repeat(20)
    const entry = db.prepare(
      'INSERT INTO field_history (brief_id, field, value, client, begun_at, saved_at) VALUES (?, ?, ?, ?, ?, ?)',
    )
    for (let i = 0; i < count; i++) {
      const { id } = briefs.create({
        topic: `A year of videos ${i}`,
        title: `How to true a wheel ${i}`,
        description,
        tray: { ...emptyFields().tray, lead: 'true a wheel' },
      })
      for (let n = 0; n < history / count; n++) {
        const at = Date.now() - 365 * DAY + n * DAY
        entry.run(id, 'description', JSON.stringify(description.slice(0, 200 + ((n * 37) % 900))), 'bench', at, at)
      }
    }
  })
}

const PARTS = ['chain', 'wheel', 'rear derailleur', 'disc brake', 'bottom bracket', 'headset', 'saddle', 'tyre']
const WORK = ['clean', 'fix', 'adjust', 'choose', 'true', 'replace', 'grease', 'measure']

/** Videos of the workspace's own channel, named `bench-0` and so on. */
export function fillVideos(file: string, count: number): void {
  filling(file, db => addVideos(db, count))
}

function addVideos(db: Db, count: number): void {
  const random = seeded(7)
  const one = (list: readonly string[]) => list[Math.floor(list.length * random())]!
  const channel = db.prepare<[], string>('SELECT channel_id FROM workspace LIMIT 1').pluck().get()!
  const add = db.prepare(
    `INSERT INTO video (code, channel_id, title, description, tags, published_at, seconds, views, at)
      VALUES (?, ?, ?, ?, ?, ?, 400, ?, ?)`,
  )
  for (let i = 0; i < count; i++) {
    const [work, part] = [one(WORK), one(PARTS)]
    const description = `How I ${work} a ${part}, step by step.\n\n${'What to look for, and what it costs. '.repeat(20)}`
    const views = Math.round(10 ** (1 + 4 * random()))
    const at = Date.now()
    add.run(
      ...[
        `bench-${i}`,
        channel,
        `How to ${work} a ${part} ${i}`,
        description,
        JSON.stringify([part, `${work} ${part}`]),
      ],
      ...[at - (30 + ((i * 7) % 2000)) * DAY, views, at],
    )
  }
}

/**
 * A year of daily ranks of the channel's own videos.
 * @returns how many ranks they are.
 */
export function fillRanks(
  file: string,
  { videos, phrases, regions }: { videos: number; phrases: number; regions: readonly string[] },
): number {
  const DAYS = 365
  filling(file, db => {
    addVideos(db, videos)
    const random = seeded(5)
    const phrase = db.prepare('INSERT INTO phrase (language, text, words) VALUES (?, ?, 3)')
    const series = db.prepare('INSERT INTO rank_series (video, phrase_id, region, kind) VALUES (?, ?, ?, ?)')
    const day = db.prepare('INSERT INTO rank_day (series_id, day, rank, depth) VALUES (?, ?, ?, 60)')
    const today = rankDay(Date.now())
    for (let video = 0; video < videos; video++)
      for (let p = 0; p < phrases; p++) {
        const id = phrase.run('en', `bench phrase ${video * phrases + p}`).lastInsertRowid
        for (const region of regions) {
          const of = series.run(`bench-${video}`, id, region, 'site').lastInsertRowid
          for (let ago = DAYS; ago > 0; ago--) {
            const rank = 1 + Math.floor(80 * random())
            day.run(of, today - ago, rank > 60 ? null : rank)
          }
        }
      }
    const standAnew = standAgain(db)
    for (const id of db.prepare<[], number>('SELECT id FROM rank_series').pluck().all()) standAnew(id)
  })
  return videos * phrases * regions.length * DAYS
}

const SEATS = 60
/** Days a page is looked at, counted back from today: daily for so long, and before that as the rules leave them. */
const DAILY = 90

/**
 * A year of daily looks at watched pages, as the rules leave them, but for a month in which nothing was thinned.
 * @returns how many are not needed any more, and all the others in the file.
 */
export function fillPages(file: string, phrases: number): { unneeded: number; left: number } {
  const now = Date.now()
  const days = [...Array(DAILY).keys(), ...Array.from({ length: 40 }, (_, week) => DAILY + 7 * week)]
  let [all, looked] = [0, 0]
  filling(file, db => {
    const watched = db
      .prepare<[number], number>("SELECT phrase_id FROM standing_page WHERE region = 'GB' LIMIT ?")
      .pluck()
      .all(phrases)
    const first = db.prepare<[], number>('SELECT max(id) FROM result_page').pluck().get()!
    const page = db.prepare(
      `INSERT INTO result_page (phrase_id, region, kind, source, at, depth, complete, more, title_matches, difficulty,
        front, middle, rest, model_version, imported)
        SELECT phrase_id, region, kind, source, ?, ?, 1, 1, title_matches, difficulty, front, middle, rest,
          model_version, 0 FROM result_page WHERE id = (SELECT page_id FROM standing_page WHERE phrase_id = ?
            AND region = 'GB')`,
    )
    for (const day of [...days].reverse())
      for (const id of watched) page.run(now - day * DAY, day < DAILY ? SEATS : PAGE_SEATS, id)
    db.exec('DROP INDEX seat_of_video')
    // Each page shows the same hundred videos, another sixty of them each day, with views that grow.
    db.prepare(
      `WITH RECURSIVE place (n) AS (SELECT 1 UNION ALL SELECT n + 1 FROM place WHERE n < ${SEATS})
        INSERT INTO seat SELECT p.id, n, 1 + (p.phrase_id * 7919 + ((n + p.id) % 100) * 104729) % last, 100000 + n,
          1000000 + p.id, 20000 + n, 900 + n, 0.5 + 0.001 * n, 0.4, 0.3 + 0.001 * n, 0.2
          FROM result_page p JOIN place ON n <= p.depth CROSS JOIN (SELECT max(id) AS last FROM video) WHERE p.id > ?`,
    ).run(first)
    db.exec('CREATE INDEX seat_of_video ON seat (video_id)')
    const stands = db.prepare(
      `UPDATE standing_page SET page_id = (SELECT id FROM result_page r WHERE r.phrase_id = standing_page.phrase_id
        AND r.region = 'GB' AND r.kind = 'site' ORDER BY at DESC LIMIT 1) WHERE region = 'GB' AND phrase_id = ?`,
    )
    for (const id of watched) stands.run(id)
    all = db.prepare<[], number>('SELECT count(*) FROM result_page').pluck().get()!
    looked = watched.length
  })
  const unneeded =
    looked *
    looksToDrop(
      days.map(day => now - day * DAY),
      now,
    ).length
  return { unneeded, left: all - unneeded }
}
