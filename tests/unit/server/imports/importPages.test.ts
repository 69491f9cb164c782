import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { importPages } from '../../../../server/imports/importPages'
import { readPages } from '../../../../server/imports/readPages'
import { answerResults } from '../../../../server/rivals/resultsAnswer'
import { channelStats } from '../../../../server/rivals/channelLook'
import type { ImportProgress } from '../../../../shared/imports'
import { resultsQuerySchema } from '../../../../shared/rivals'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
const AT = Date.UTC(2026, 4, 1)
let n = 0
function setUp() {
  const db = freshData(folder)
  const videos = videoStore(db)
  const given = {
    db,
    phrases: phraseStore(db),
    results: resultStore(db),
    videos,
    workspaces: workspaceStore(db, videos, () => AT),
    now: () => AT,
  }
  let now = AT
  const load = (text: string | Buffer) => {
    const file = join(folder, `pages-${n++}`)
    writeFileSync(file, text)
    return importPages(given, readPages({ file, region: 'GB', language: 'en', now }), {
      language: 'en',
      source: 'mine.csv',
      now,
    })
  }
  return {
    ...given,
    load,
    pass: (ms: number) => {
      now += ms
    },
  }
}
const CSV = [
  'phrase,rank,at,id,title,channel,subscribers,views,published,tags',
  ...Array.from(
    { length: 20 },
    (_, i) =>
      `bike chain,${i + 1},2026-04-01,v${i},${i % 2 ? 'Clean a bike chain' : 'Chain talk'},Channel ${i % 4},${(i + 1) * 1000},${(i + 1) * 500},2026-01-01,"chain;bike"`,
  ),
  'bike chain,x,2026-04-01,v99,Bad,C,1,1,2026-01-01,a',
].join('\n')

test('a list of results makes its page, with difficulty, and Rivals works on it without any service', async () => {
  const given = setUp()
  expect(await given.load(CSV)).toMatchObject({
    videos: 20,
    channels: 4,
    pages: 1,
    rejected: [{ line: 22, reason: expect.stringContaining('not a number') }],
  })
  const known = given.phrases.known('bike chain', 'GB', 'en')!
  expect(known.difficulty).toBeGreaterThan(10)
  const page = given.results.latest(known.id, 'GB')!
  expect(page).toMatchObject({ source: 'mine.csv', complete: 1, at: Date.UTC(2026, 3, 1) })
  const workspace = given.workspaces.create({
    name: 'Shed',
    subscribers: 4870,
    videos: [{ id: 'a', title: 'A', views: 900, publishedAt: AT - 30 * 86_400_000 }],
  })
  const answer = answerResults(
    given,
    page,
    resultsQuerySchema.parse({ phrase: 'bike chain', region: 'GB', workspace: workspace.id }),
    null,
    null,
  )
  expect(answer.reading.sentence).toContain('A video of mine with the phrase')
  expect(answer.rows).toHaveLength(20)
  expect(answer.rows[1]!).toMatchObject({ matches: { title: 'exact', tag: 'fragment', firstLine: null }, upset: false })
  expect(answer.rows[1]!.title.slice(answer.rows[1]!.titleRanges[0]!.start, answer.rows[1]!.titleRanges[0]!.end)).toBe(
    'bike chain',
  )
  expect(answer.channels[0]).toMatchObject({ results: 5 })
  expect(answer.reading.spreads.map(each => each.name)).toEqual(['views', 'viewsPerDay', 'subscribers', 'age'])
  // Taken out by hand, a result counts in nothing and every figure follows.
  given.results.setOffTopic(known.id, ['v1'], true, AT)
  const after = answerResults(
    given,
    given.results.latest(known.id, 'GB')!,
    resultsQuerySchema.parse({ phrase: 'bike chain', region: 'GB', workspace: workspace.id }),
    null,
    null,
  )
  expect(after.rows[1]!).toMatchObject({ off: true, ahead: null })
  expect(after.difficulty!.page).not.toBe(answer.difficulty!.page)
  expect(after.reading.exactTitles).toBe(answer.reading.exactTitles - 1)
})

test('videos are known as they were when their page was seen, the newest page last whichever comes first', async () => {
  const given = setUp()
  const later = CSV.replaceAll('2026-04-01,v', '2026-04-20,v').replaceAll(
    ',Channel 1,2000,1000,',
    ',Channel 1,2000,1700,',
  )
  await given.load(later)
  await given.load(CSV)
  expect(given.videos.video('v1')).toMatchObject({ views: 1700, at: Date.UTC(2026, 3, 20) })
  const { id } = given.phrases.known('bike chain', 'GB', 'en')!
  expect(given.results.latest(id, 'GB')).toMatchObject({ at: Date.UTC(2026, 3, 20), imported: 1 })
  expect(given.results.past(id, 'GB')).toHaveLength(2)
  // A second result at a rank that is taken has no seat, but is known.
  expect(
    await given.load(
      `${CSV.split('\n').slice(0, 2).join('\n').replaceAll('bike chain', 'bike horn')}\nbike horn,1,2026-04-01,w1,Other,C,1,5,2026-01-01,a`,
    ),
  ).toMatchObject({ videos: 2, pages: 1 })
  expect(
    given.results
      .seats(given.results.latest(given.phrases.known('bike horn', 'GB', 'en')!.id, 'GB')!, 20)
      .map(seat => seat.code),
  ).toEqual(['v0'])
  expect(given.videos.video('w1')).toMatchObject({ views: 5 })
})

test('it says how far it is', async () => {
  const given = setUp()
  const file = join(folder, 'told.csv')
  const pages = Array.from({ length: 30 }, (_, n) =>
    CSV.split('\n').slice(1, 21).join('\n').replaceAll('bike chain', `bike chain ${n}`).replaceAll(',v', `,v${n}-`),
  )
  writeFileSync(file, [CSV.split('\n')[0], ...pages].join('\n'))
  const told: ImportProgress[] = []
  await importPages(given, readPages({ file, region: 'GB', language: 'en', now: AT }), {
    language: 'en',
    source: 'mine.csv',
    now: AT,
    report: progress => told.push(progress),
  })
  expect(told.map(each => each.said)).toEqual([5, 10, 15, 20, 25, 30].map(n => `${n} result pages imported`))
  expect(told.map(each => each.part)).toEqual([1, 2, 3, 4, 5, 6].map(n => n / 6))
})

test('one that is stopped ends there', async () => {
  const given = setUp()
  const file = join(folder, 'stopped.csv')
  writeFileSync(file, ['id,title', ...Array.from({ length: 600 }, (_, i) => `w${i},One`)].join('\n'))
  expect(
    await importPages(given, readPages({ file, region: 'GB', language: 'en', now: AT }), {
      language: 'en',
      source: 'mine.csv',
      now: AT,
      signal: AbortSignal.abort(),
    }),
  ).toMatchObject({ videos: 200, pages: 0 })
})

test('the same file again changes nothing; a page with a hole gives no difficulty', async () => {
  const given = setUp()
  await given.load(CSV)
  expect(await given.load(CSV)).toMatchObject({ videos: 20, pages: 0, known: 1 })
  // Without a time, and with a hole in the page.
  const undated = CSV.split('\n')
    .slice(0, 21)
    .filter((_, i) => i !== 4)
    .map(line => line.replace('rank,at,', 'rank,').replace(',2026-04-01,v', ',v').replaceAll('bike chain', 'bike pump'))
    .join('\n')
  expect(await given.load(undated)).toMatchObject({ pages: 1, known: 0 })
  given.pass(60_000)
  expect(await given.load(undated)).toMatchObject({ pages: 0, known: 1 })
  // What has changed since is a page of its own.
  expect(await given.load(undated.replace(',v1,', ',v77,'))).toMatchObject({ pages: 1 })
  await given.load(
    CSV.replaceAll('bike chain', 'bike bell')
      .split('\n')
      .filter((_, i) => i !== 3)
      .join('\n'),
  )
  expect(given.phrases.known('bike bell', 'GB', 'en')!.difficulty).toBeNull()
})

test('JSON with pages, JSON Lines, JSON-LD and feeds are read as well', async () => {
  const given = setUp()
  expect(
    await given.load(
      JSON.stringify({
        pages: [
          {
            phrase: 'bike bell',
            region: 'US',
            results: [
              { id: 'a', title: 'Bike bell' },
              { id: 'b', title: 'Bells' },
            ],
          },
        ],
        videos: [{ id: 'c', title: 'More', views: 5 }],
      }),
    ),
  ).toMatchObject({ videos: 3, pages: 1 })
  expect(given.results.latest(given.phrases.phraseId('bike bell', 'en'), 'US')).toMatchObject({ complete: 1 })
  expect(await given.load('{"id":"d","title":"One"}\n\n{broken\n{"id":"e","title":"Two"}')).toMatchObject({
    videos: 2,
    rejected: [{ line: 3, reason: 'The line is not JSON.' }],
  })
  expect(
    await given.load(
      '{"@context":"https://schema.org","@type":"VideoObject","name":"Three","url":"https://videos.example/f"}',
    ),
  ).toMatchObject({ videos: 1 })
  expect(
    await given.load(
      '<feed><author><name>Shed</name><uri>https://videos.example/c7</uri></author><entry><title>Four</title><id>g</id></entry></feed>',
    ),
  ).toMatchObject({ videos: 1, channels: 1 })
  expect(channelStats(given.videos.channel('c7')!, given.videos.ofChannel('c7'))).toMatchObject({
    title: 'Shed',
    listed: 1,
    medianViews: null,
  })
})

test.each([
  ['', 'empty'],
  ['a,b\n1,2', 'No column is named title'],
  ['<a/>', 'not an Atom or RSS feed'],
  ['{"a"', 'looks like JSON'],
])('%j is refused: %s', async (text, reason) => {
  await expect(setUp().load(text)).rejects.toThrow(reason)
})

test('results of a page that stand too far apart for it to be held are told, and how to mend it', async () => {
  const given = setUp()
  const long = 'x'.repeat(50_000)
  const line = (phrase: number, rank: number) => `phrase ${phrase},${rank},p${phrase}-${rank},Title,${long}`
  const apart = [
    'phrase,rank,id,title,description',
    ...[1, 2].flatMap(rank => Array.from({ length: 900 }, (_, n) => line(n, rank))),
  ].join('\n')
  const answer = await given.load(apart)
  expect(answer.rejected[0]!.reason).toContain('Sort it by phrase')
  expect(answer.pages).toBe(900)
})

test('dates with a space are UTC, and a feed says in which encoding it is', async () => {
  const given = setUp()
  await given.load('id,title,published\nv,One,2026-01-02 03:04:05')
  expect(given.videos.video('v')!.published_at).toBe(Date.UTC(2026, 0, 2, 3, 4, 5))
  await given.load(
    Buffer.from(
      '<?xml version="1.0" encoding="ISO-8859-2"?><feed><title>Shed</title><entry><title>Jak vym\u011bnit &#39;\u0159et\u011bz&#39;</title><id>cz</id></entry></feed>'
        .replaceAll('\u011b', '\xec')
        .replaceAll('\u0159', '\xf8'),
      'latin1',
    ),
  )
  expect(given.videos.video('cz')!.title).toBe("Jak vyměnit 'řetěz'")
})

test('what a newer sight does not tell keeps what an older one told', async () => {
  const given = setUp()
  await given.load('id,title,views,tags,published\nv,Old title,5,a;b,2026-01-01')
  await given.load('id,title,views\nv,New title,9')
  expect(given.videos.video('v')).toMatchObject({
    title: 'New title',
    views: 9,
    tags: '["a","b"]',
    published_at: Date.UTC(2026, 0, 1),
  })
})
