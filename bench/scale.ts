import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { LARGE, listOf, makeLargeFiles } from '../demo/largeFiles'
import { SPREAD } from '../core/rivals/forecast'
import { indexRows } from '../server/data/indexRows'
import { indexSnapshotStore } from '../server/data/indexSnapshots'
import { openUserData, type Db } from '../server/data/open'
import { phraseStore } from '../server/data/phrases'
import { IndexKeeping } from '../server/demand/indexKeeping'
import { KeptSnapshot } from '../server/demand/keptSnapshot'
import { PhraseIndex } from '../server/demand/phraseIndex'
import { answerPhrases } from '../server/demand/rows'
import { LEAST_KEPT } from '../server/demand/search'
import { makePhrases } from '../server/services/standin/phrases'
import { DEMO_SEED } from '../server/services/standin/world'
import { PHRASE_SORTS, phrasesQuerySchema } from '../shared/phrases'
import { call, startApp } from '../tests/e2e/startApp'
import { suggested } from './desk'
import { learntTimings } from './learnt'
import { otherSearches } from './otherSearches'
import { mostResident, quantile, timing, type Timing } from './measure'

export const SIZES = [10_000, 100_000, 1_000_000]
const FOLDER = join(process.cwd(), '.cache/large')
/** The commonest words and word pairs, some middling ones, and a rare one. */
const SEEDS = ['how', 'bike', 'how to', 'clean', 'chain', 'derailleur', 'for beginners', 'tubeless tyre']
/** Seeds that hardly any phrase contains, so that near ones are looked for: misspelt, joined, split, of many words. */
const NEAR_SEEDS = [
  'derailer hangr',
  'squeeky brakes',
  'chian',
  'tubelesstyre',
  'wheel building jig for a small workshop',
  'flat tyer on the rear wheel',
  'bottombracket tool',
  'hydrolic brake bleed',
]
const FILTERS: Record<string, string>[] = [
  {},
  { minVolume: '50' },
  { questions: '1' },
  { minWords: '5', maxWords: '8' },
  { contains: 'clean, fix' },
  { exclude: 'gold, horse' },
  { intent: 'do' },
  { maxDifficulty: '40', both: '1' },
]
/** The channel worth and chance are asked for. */
const OWN = { strength: 0.42, spread: SPREAD }

const file = (size: number) => join(FOLDER, `phrases-${size}.csv`)

/** Lists of phrases with their searches, as the generator makes them: one a size. Made once. */
function makeLists(): void {
  if (SIZES.every(size => existsSync(file(size)))) return
  mkdirSync(FOLDER, { recursive: true })
  const all = makePhrases(SIZES.at(-1)!, DEMO_SEED)
  for (const size of SIZES) writeFileSync(file(size), listOf(all.slice(0, size), 0.14))
}

export interface Growth {
  size: number
  importSeconds: number
  shellSeconds: number
  queryMs: number
  fts5Ms: number
  miniSearchMs: number | null
  loadMs: number
}
export interface Scale {
  growth: Growth[]
  timings: Timing[]
  residentMb: number
  filesSeconds: number
  fillSeconds: number
  worst: string
}

/** SQLite's own shell importing the same file into the same table with the same indexes. */
function shellImport(size: number): number {
  const db = join(FOLDER, 'shell.sqlite')
  for (const ending of ['', '-wal', '-shm']) rmSync(db + ending, { force: true })
  const startedAt = performance.now()
  const done = spawnSync('sqlite3', [db], {
    input: `PRAGMA journal_mode=WAL;\nCREATE TABLE raw (phrase TEXT, volume REAL, change REAL, videos INTEGER);\n.mode csv\n.import --skip 1 "${file(size)}" raw\n
    CREATE TABLE phrase (id INTEGER PRIMARY KEY, language TEXT NOT NULL, text TEXT NOT NULL, words INTEGER NOT NULL, via INTEGER NOT NULL DEFAULT 0, via_at INTEGER, UNIQUE (language, text));
    CREATE TABLE figure (phrase_id INTEGER NOT NULL, region TEXT NOT NULL, source_id INTEGER NOT NULL, counts INTEGER NOT NULL, at INTEGER NOT NULL, volume REAL, change REAL, competition INTEGER, PRIMARY KEY (phrase_id, region, source_id)) WITHOUT ROWID;
    INSERT INTO phrase (language, text, words) SELECT 'en', phrase, 1 FROM raw;
    INSERT INTO figure SELECT p.id, 'GB', 1, 1, 1, r.volume, r.change, r.videos FROM raw r JOIN phrase p ON p.language = 'en' AND p.text = r.phrase;\n`,
    encoding: 'utf8',
  })
  if (done.status !== 0) throw new Error(`The sqlite3 shell failed: ${done.stderr}`)
  return (performance.now() - startedAt) / 1000
}

/** Asks the index everything a screen asks: every sort both ways, every filter, for common and rare words. */
function askAll(
  index: PhraseIndex,
  phrases: ReturnType<typeof phraseStore>,
  runs: number,
): { times: number[]; typed: number[]; near: number[]; several: number[]; worst: string } {
  const list: number[] = []
  let worst = { ms: 0, what: '' }
  const ask = (seed: string, sort: string, filter: Record<string, string>) => {
    const query = {
      ...phrasesQuerySchema.parse({ seed, region: 'GB', limit: 200, sort, for: 'channel', ...filter }),
      region: 'GB',
    }
    const startedAt = performance.now()
    answerPhrases(index, phrases, { query, looks: query.seed.map(() => null), missing: [], without: [], own: OWN })
    return performance.now() - startedAt
  }
  // Warm: every order has been asked for once.
  for (const column of PHRASE_SORTS) for (const direction of ['asc', 'desc']) ask('how', `${column}:${direction}`, {})
  for (const filter of FILTERS) ask('how', 'volume:desc', filter)
  for (let run = 0; run < runs; run++) {
    for (const seed of SEEDS) {
      for (const column of PHRASE_SORTS) {
        for (const direction of ['asc', 'desc']) {
          const filter = FILTERS[(run + list.length) % FILTERS.length]!
          const ms = ask(seed, `${column}:${direction}`, filter)
          list.push(ms)
          if (ms > worst.ms) worst = { ms, what: `“${seed}” by ${column} ${direction} with ${JSON.stringify(filter)}` }
        }
      }
    }
  }
  // A bound that nobody has asked for yet, as it is typed.
  const typed = Array.from({ length: 20 }, (_, i) => ask('bike', 'volume:desc', { minVolume: String(11 + 7 * i) }))
  const near = Array.from({ length: 5 }, () => NEAR_SEEDS.map(seed => ask(seed, 'volume:desc', {}))).flat()
  const several = Array.from({ length: 5 }, () =>
    PHRASE_SORTS.map(column => ask(SEEDS.join(', '), `${column}:desc`, FILTERS[0]!)),
  ).flat()
  return { times: list, typed, near, several, worst: `${worst.ms.toFixed(1)} ms: ${worst.what}` }
}

/** Imports a list through the app, and says how long that took and how much memory the whole program had at most. */
async function importList(
  size: number,
): Promise<{ seconds: number; residentMb: number; data: string; close: () => Promise<void> }> {
  const app = await startApp({ from: 'empty' })
  const startedAt = performance.now()
  const answer = await call(app, '/api/import/phrases?region=GB&name=list.csv', {
    method: 'POST',
    raw: readFileSync(file(size), 'utf8'),
  })
  const { accepted } = answer.json as { accepted: number }
  if (accepted !== size) throw new Error(`Imported ${accepted} of ${size}: ${answer.text.slice(0, 300)}`)
  return {
    seconds: (performance.now() - startedAt) / 1000,
    residentMb: mostResident(app.process.pid!),
    data: app.data,
    close: () => app.close(),
  }
}

/**
 * A store of a million phrases in three regions, 200,000 videos and 10,000 result pages, filled by import as `npm run
 * large` does.
 */
function fillLarge(): { data: string; filesSeconds: number; fillSeconds: number } {
  const data = join(FOLDER, 'filled')
  for (const name of ['fonetra.sqlite', 'fonetra.sqlite-wal', 'fonetra.sqlite-shm', 'filled.txt'])
    rmSync(join(data, name), { force: true })
  const startedAt = performance.now()
  makeLargeFiles(join(data, `files-${LARGE.phrases}-${LARGE.videos}-${LARGE.pages}`), LARGE)
  const madeAt = performance.now()
  const done = spawnSync(process.execPath, ['.output/tools/large.mjs', data], { encoding: 'utf8' })
  if (done.status !== 0) throw new Error(`The store could not be filled: ${done.stderr}`)
  return { data, filesSeconds: (madeAt - startedAt) / 1000, fillSeconds: (performance.now() - madeAt) / 1000 }
}

/**
 * How long the first answer takes from an index that was kept beside the database, and after it the first one in a
 * region that nobody had looked at before it was kept.
 */
async function fromKept(
  db: Db,
  index: PhraseIndex,
  phrases: ReturnType<typeof phraseStore>,
): Promise<{ first: number[]; another: number[] }> {
  const path = join(FOLDER, 'bench.snapshot')
  const snapshots = indexSnapshotStore(db)
  const begun = snapshots.begin()
  const keeping = new IndexKeeping(index, indexRows(db), new KeptSnapshot(db, path), path, LEAST_KEPT)
  if (!(await keeping.keep('bench', () => false))) throw new Error('The index was not kept.')
  snapshots.fits('bench', begun)
  const rounds = Array.from({ length: 5 }, () => {
    const again = new PhraseIndex(db, undefined, new KeptSnapshot(db, path))
    return ['GB', 'US'].map(region => {
      const startedAt = performance.now()
      const query = { ...phrasesQuerySchema.parse({ seed: 'bike', region, limit: 200 }), region }
      answerPhrases(again, phrases, { query, looks: [null], missing: [], without: [], own: OWN })
      return performance.now() - startedAt
    })
  })
  rmSync(path)
  return { first: rounds.map(([first]) => first!), another: rounds.map(([, another]) => another!) }
}

/** Suggestions for tags where a million phrases are known. */
async function suggestedAmongAll(data: string): Promise<Timing> {
  const app = await startApp({ data })
  try {
    const draft = {
      title: 'How to clean a bike chain',
      description: 'You will clean a bike chain in ten minutes.',
      tags: [],
    }
    const phrases = { lead: 'bike chain', support: ['clean a bike chain', 'bike chain oil', 'chain wax'] }
    return await suggested(app, { draft, phrases }, '1,000,000 phrases', 300)
  } finally {
    await app.close()
  }
}

/** Learning from all pages of a large store, which is of no use for anything else afterwards. */
function learntAmongAll(data: string): Timing[] {
  const db = openUserData(join(data, 'fonetra.sqlite'), { migrations: join(process.cwd(), 'server/data/migrations') })
  try {
    return learntTimings(db, SEEDS)
  } finally {
    db.close()
  }
}

/** How everything grows from ten thousand phrases to a million. */
export async function benchScale(say: (what: string) => void): Promise<Scale> {
  say('Lists of up to a million phrases')
  makeLists()
  const growth: Growth[] = []
  let last: Omit<Scale, 'growth'> = { timings: [], residentMb: 0, filesSeconds: 0, fillSeconds: 0, worst: '' }
  for (const size of SIZES) {
    const largest = size === SIZES.at(-1)
    say(`${size.toLocaleString('en')} phrases: import`)
    const imported = await importList(size)
    const shellSeconds = shellImport(size)
    if (largest)
      say('1,000,000 phrases in three regions, 200,000 videos, 10,000 result pages: filling a store by import')
    const filled = largest ? fillLarge() : null
    const db = openUserData(join(filled?.data ?? imported.data, 'fonetra.sqlite'), {
      migrations: join(process.cwd(), 'server/data/migrations'),
    })
    say(`${size.toLocaleString('en')} phrases: questions`)
    const phrases = phraseStore(db)
    const loadedAt = performance.now()
    const index = new PhraseIndex(db)
    index.load('en', 'GB')
    const loadMs = performance.now() - loadedAt
    const kept = await fromKept(db, index, phrases)
    const { times: asked, typed, near, several, worst } = askAll(index, phrases, largest ? 2 : 1)
    const texts = db
      .prepare<[], { id: number; text: string; volume: number }>(
        "SELECT p.id, p.text, f.volume FROM phrase p JOIN figure f ON f.phrase_id = p.id AND f.region = 'GB'",
      )
      .all()
    say(`${size.toLocaleString('en')} phrases: the same questions to FTS5 and MiniSearch`)
    const beside = await otherSearches(texts, { seeds: SEEDS, withMiniSearch: true })
    const median = (list: number[]) =>
      quantile(
        [...list].sort((a, b) => a - b),
        0.5,
      )
    growth.push({
      size,
      importSeconds: imported.seconds,
      shellSeconds,
      queryMs: median(asked),
      fts5Ms: median(beside.fts5),
      miniSearchMs: beside.mini && median(beside.mini),
      loadMs,
    })
    if (largest) {
      const what = `1,000,000 phrases, ${SEEDS.length} seeds × ${PHRASE_SORTS.length} columns × 2 directions, ${FILTERS.length} filters`
      last = {
        timings: [
          timing('related phrases from the index, 200 rows', what, asked, 10),
          timing('the same with a bound typed for the first time', '1,000,000 phrases, “bike”', typed, 10),
          timing('of eight seeds at once', '1,000,000 phrases', several, null),
          timing('of seeds that hardly any phrase holds, with what is near', '1,000,000 phrases', near, 15),
          timing('the same words from FTS5, ordered by volume', '1,000,000 phrases', beside.fts5, null),
          timing('the same words from MiniSearch', '1,000,000 phrases', beside.mini!, null),
          timing('the first answer from the kept index', '1,000,000 phrases, one region', kept.first, 1500),
          timing('the same of a region never looked at', '1,000,000 phrases, after another', kept.another, 1500),
          timing('the first load of the index from the tables', '1,000,000 phrases, one region', [loadMs], null),
          timing('import of a CSV list', '1,000,000 rows', [imported.seconds * 1000], 20_000, 'most'),
          timing('the sqlite3 shell importing the same file', '1,000,000 rows', [shellSeconds * 1000], null),
        ],
        residentMb: imported.residentMb,
        filesSeconds: filled!.filesSeconds,
        fillSeconds: filled!.fillSeconds,
        worst,
      }
    }
    db.close()
    if (filled) last.timings.push(await suggestedAmongAll(filled.data), ...learntAmongAll(filled.data))
    await imported.close()
    rmSync(imported.data, { recursive: true, force: true })
  }
  rmSync(join(FOLDER, 'shell.sqlite'), { force: true })
  return { growth, ...last }
}
