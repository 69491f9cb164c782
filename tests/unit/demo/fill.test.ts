import { buildSync } from 'esbuild'
import { readFileSync, readdirSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { fill } from '../../../demo/fill'
import { makeLargeFiles, type LargeFile } from '../../../demo/largeFiles'
import { openUserData } from '../../../server/data/open'
import { phraseStore } from '../../../server/data/phrases'
import { temporaryFolder } from '../server/files'

const folder = temporaryFolder()
const migrations = join(process.cwd(), 'server/data/migrations')
const importThread = join(folder, 'list.mjs')
let files: LargeFile[] = []
const made: string[] = []
const SIZE = { phrases: 600, videos: 120, pages: 20, channels: 12 }

beforeAll(() => {
  buildSync({
    entryPoints: ['server/threads/importThread.ts'],
    outfile: importThread,
    bundle: true,
    platform: 'node',
    format: 'esm',
    banner: { js: 'import { createRequire as __cr } from "node:module"; const require = __cr(import.meta.url);' },
  })
  files = makeLargeFiles(join(folder, 'files'), SIZE, name => made.push(name))
}, 60_000)

function counts(data: string) {
  const db = openUserData(join(data, 'fonetra.sqlite'), { migrations })
  const count = (what: string) => (db.prepare(`SELECT count(*) AS n FROM ${what}`).get() as { n: number }).n
  const found = {
    phrases: count('phrase'),
    figures: count('figure'),
    past: count('figure_past'),
    videos: count('video'),
    pages: count('result_page'),
    seats: count('seat'),
  }
  const known = phraseStore(db).known(
    (
      db.prepare('SELECT text FROM phrase WHERE id = (SELECT min(phrase_id) FROM standing_page)').get() as {
        text: string
      }
    ).text,
    'GB',
    'en',
  )!
  db.close()
  return { ...found, known }
}

test('a fill that is stopped goes on with the file it had not imported, and nothing is there twice', async () => {
  expect(files.map(({ name }) => name)).toEqual([
    'phrases-GB-01.csv',
    'phrases-US-01.csv',
    'phrases-everywhere-01.csv',
    'videos-01.jsonl',
    'pages-01.jsonl',
  ])
  const took: string[] = []
  const given = {
    data: folder,
    files,
    migrations,
    importThread,
    report: ({ name }: { name: string }) => {
      took.push(name)
    },
  }
  expect(await fill({ ...given, stopped: () => took.length === 2 })).toBe(3)
  expect(readFileSync(join(folder, 'filled.txt'), 'utf8')).toBe('phrases-GB-01.csv\nphrases-US-01.csv\n')
  // Cut off after the import and before it was noted: the file comes once more.
  writeFileSync(join(folder, 'filled.txt'), 'phrases-GB-01.csv\n')
  expect(await fill(given)).toBe(0)
  expect(took).toEqual([
    'phrases-GB-01.csv',
    'phrases-US-01.csv',
    'phrases-US-01.csv',
    'phrases-everywhere-01.csv',
    'videos-01.jsonl',
    'pages-01.jsonl',
  ])
  const first = counts(folder)
  expect(first).toMatchObject({ phrases: 600, figures: 1800, past: 0, videos: 120, pages: 20 })
  expect(first.seats).toBeGreaterThan(100)
  expect(first.known.volume).toBeGreaterThan(0)
  expect(first.known.strengths!.length).toBeGreaterThan(0)
  expect(await fill(given)).toBe(0)
  expect(took).toHaveLength(6)
}, 20_000)

test('files are made once, and a half-written one is not taken for a file', () => {
  const at = join(folder, 'files')
  expect(made).toEqual(files.map(({ name }) => name))
  writeFileSync(join(at, 'videos-02.jsonl.part'), '{"id":')
  const again = makeLargeFiles(at, SIZE, name => made.push(name))
  expect(again).toEqual(files)
  expect(made).toHaveLength(5)
  expect(readdirSync(at).filter(name => name.endsWith('.csv'))).toHaveLength(3)
  expect(JSON.parse(readFileSync(join(at, 'videos-01.jsonl'), 'utf8').split('\n')[0]!)).toMatchObject({
    id: expect.any(String),
    title: expect.any(String),
    channel: expect.any(String),
    tags: expect.any(Array),
  })
})
