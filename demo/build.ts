import { existsSync, renameSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { briefStore } from '../server/data/briefs'
import { openUserData } from '../server/data/open'
import { phraseStore } from '../server/data/phrases'
import { resultStore } from '../server/data/results'
import { assess } from '../server/demand/assess'
import { lookUp } from '../server/demand/lookUp'
import { answerPhrases } from '../server/demand/rows'
import { openStandin } from '../server/services/standin/standin'
import { phrasesQuerySchema } from '../shared/phrases'
import { BRIEFS } from './briefs'
import { ensureWorld } from './world'

/** Seeds whose phrases the demo has looked up and judged before the first start. */
const SEEDS = ['rear derailleur', 'bike chain', 'bike repair marrowby']
const ASSESSED = 150

/** Makes the demo's user data in a folder: the briefs, and what was looked up for them. */
async function build(data: string): Promise<void> {
  const world = join(data, 'world.sqlite')
  ensureWorld(world)
  const file = join(data, 'fonetra.sqlite')
  if (existsSync(file)) return
  console.log('Making the demo’s briefs and looking up their phrases:')
  const startedAt = Date.now()
  const part = `${file}.part`
  for (const ending of ['', '-wal', '-shm']) rmSync(part + ending, { force: true })
  const db = openUserData(part, { migrations: join(process.cwd(), 'server/data/migrations') })
  // Until it is whole the file is a draft: nothing in it is anybody's yet.
  db.pragma('synchronous = OFF')
  const standin = openStandin(world)
  const deps = { phrases: phraseStore(db), results: resultStore(db), services: standin }
  for (const seed of SEEDS) {
    const look = await lookUp(deps, seed, 'GB', 'en')
    const query = phrasesQuerySchema.parse({ seed, region: 'GB', limit: ASSESSED })
    const rows = answerPhrases(deps.phrases, query, look, performance.now()).rows
    let done = 0
    for await (const row of assess(deps, rows.map(each => each.phrase), 'GB', 'en')) if (row.difficulty !== null) done++
    console.log(`  “${seed}”: ${rows.length} phrases, ${done} judged.`)
  }
  const briefs = briefStore(db)
  db.prepare('INSERT INTO workspace (id, name, channel_id, time_zone, created_at) VALUES (?, ?, ?, ?, ?)').run('0190a000-0000-7000-8000-000000000001', 'Marrowby Wheel Shed', 'ch-marrowby', 'Europe/London', Date.now())
  for (const fields of BRIEFS) briefs.create(fields)
  const phrases = BRIEFS.flatMap(({ tray }) => [tray.lead, ...tray.support]).filter(phrase => phrase !== null)
  for await (const row of assess(deps, phrases, 'GB', 'en')) if (row.problem) throw new Error(row.problem)
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
  standin.close()
  renameSync(part, file)
  for (const ending of ['-wal', '-shm']) rmSync(part + ending, { force: true })
  console.log(`  done in ${((Date.now() - startedAt) / 1000).toFixed(1)} s.`)
}

await build(process.argv[2]!)
