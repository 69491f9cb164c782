import { DEFAULT_PROFILE } from '../../../../core/draft/limits'
import { BALANCED, SHORT_AND_SHARP } from '../../../../core/draft/ruleset'
import { seeded } from '../../../../core/random'
import { evidenceStore } from '../../../../server/data/evidence'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { evidenceAnswer, evidenceSteps, evidenceTotal } from '../../../../server/desk/evidence'
import { startEvidence } from '../../../../server/threads/startEvidence'
import { builtThread } from '../builtThread'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
let entry: string
const DAY = 86_400_000
beforeAll(() => {
  entry = builtThread('evidenceThread')
})

/** Threads of a test; one that fails would hold the run up for ever otherwise. */
const threads: ReturnType<typeof startEvidence>[] = []
afterEach(async () => {
  for (const thread of threads.splice(0)) await thread.close()
})

/** Pages on which a title with the phrase stands higher by some ranks, hashtags not. */
function planted(pages: number) {
  const db = freshData(folder)
  const phrases = phraseStore(db)
  const results = resultStore(db)
  const random = seeded(5)
  const add = (from: number, upTo: number, region = 'GB') => {
    results.save(
      Array.from({ length: upTo - from }, (_, i) => {
        const n = from + i
        const seats = Array.from({ length: 20 }, (_, seat) => {
          const worded = random() < 0.5
          return {
            at: random() * 10 - (worded ? 4 : 0),
            video: {
              id: `v${n}-${seat}`,
              title: worded ? `How to mend part ${n} yourself` : `Something else, number ${n}`,
              description: random() < 0.5 ? 'A text about it. #mending' : 'A text about it.',
              tags: null,
              channel: { id: 'c', title: 'Channel', subscribers: 1000 },
              views: 1000,
              likes: 5,
              dislikes: null,
              comments: 1,
              publishedAt: n % 2 ? 0 : 700 * DAY,
              durationSeconds: 60,
              thumbnail: null,
            },
            strength: { strength: 0.5, targeting: 0.5, reach: 0.4, pull: 0.3 },
          }
        }).sort((a, b) => a.at - b.at)
        return {
          phraseId: phrases.phraseId(`mend part ${n}`, 'en'),
          region,
          kind: 'site' as const,
          source: 'video site',
          at: 720 * DAY,
          depth: 20,
          complete: true,
          more: false,
          titleMatches: 1,
          videoBlock: null,
          intent: null,
          seats,
        }
      }),
    )
  }
  add(0, pages)
  const work = startEvidence(entry, db.name)
  threads.push(work)
  return { db, add, results, phrases, store: { evidence: evidenceStore(db), evidenceWork: work, now: () => 800 * DAY } }
}

async function workOut(
  { store }: ReturnType<typeof planted>,
  pages: { region: string | null; age?: 'new' | 'old'; about?: string; trade?: string } = { region: null },
  set = BALANCED,
) {
  let steps = 0
  for await (const _ of evidenceSteps(store, set, DEFAULT_PROFILE, pages, new AbortController().signal)) steps++
  return { steps, answer: await evidenceAnswer(store, set, DEFAULT_PROFILE, pages) }
}

test('the pages kept are read once, what is planted is found, and what came since is told', async () => {
  const world = planted(60)
  const none = await evidenceAnswer(world.store, BALANCED, DEFAULT_PROFILE, { region: null })
  expect(none).toMatchObject({ at: null, unread: 60, checks: [], weights: [] })
  expect(await evidenceTotal(world.store, BALANCED, DEFAULT_PROFILE)).toBe(61)

  const { steps, answer } = await workOut(world)
  expect(steps).toBe(61)
  expect(answer).toMatchObject({ at: 800 * DAY, pages: 60, families: 60, unread: 0 })
  const said = (id: string) => answer.checks.find(check => check.id === id)!
  expect(said('title-lead').verdict).toBe('higher')
  expect(said('title-lead').low).toBeGreaterThan(2)
  expect(said('hashtag-count').verdict).toBe('none')
  expect(said('tag-lead').verdict).toBe('untold')
  expect(said('lead-spoken').verdict).toBe('untold')
  expect(answer.weights.map(each => each.id)).toContain('title-lead')

  // Nothing is read again; a set with other weights and the same thresholds has the same readings.
  expect((await workOut(world)).steps).toBe(1)
  const lighter = { ...BALANCED, checks: { ...BALANCED.checks, 'title-lead': { weight: 1 } } }
  expect((await workOut(world, { region: null }, lighter)).steps).toBe(1)
  world.add(60, 70)
  expect((await evidenceAnswer(world.store, BALANCED, DEFAULT_PROFILE, { region: null })).unread).toBe(10)
  expect((await workOut(world)).answer).toMatchObject({ pages: 70, unread: 0 })
}, 60_000)

test('it can be narrowed to a region, an age, a subject', async () => {
  const world = planted(60)
  world.add(100, 130, 'US')
  expect((await workOut(world, { region: 'US' })).answer).toMatchObject({ pages: 30 })
  // Every other page holds results younger than a year.
  const young = (await workOut(world, { region: 'GB', age: 'new' })).answer
  expect(young.checks.find(check => check.id === 'title-lead')).toMatchObject({ pages: 30, verdict: 'higher' })
  expect((await workOut(world, { region: null, about: 'part 10' })).answer.pages).toBe(1)
  expect((await workOut(world, { region: 'DE' })).answer).toMatchObject({ pages: 0, families: 0 })
}, 60_000)

test('the trade of a phrase: what pages with results in common lead to, and no more', async () => {
  const world = planted(30)
  const { results, phrases } = world
  const pageOf = (phrase: string) => results.latest(phrases.known(phrase, 'GB', 'en')!.id, 'GB')!
  /** A page that begins with results of two others. */
  const bridge = (phrase: string, shared: number) => {
    const seats = ['mend part 3', 'mend part 4'].flatMap(each => results.seats(pageOf(each), shared))
    results.save([
      {
        phraseId: phrases.phraseId(phrase, 'en'),
        region: 'GB',
        kind: 'site',
        source: 'video site',
        at: 720 * DAY,
        depth: 20,
        complete: true,
        more: false,
        titleMatches: 1,
        videoBlock: null,
        intent: null,
        seats: seats.map(seat => ({
          video: {
            id: seat.code,
            title: seat.title,
            description: seat.description,
            tags: null,
            channel: { id: 'c', title: 'Channel', subscribers: 1000 },
            views: 1000,
            likes: 5,
            dislikes: null,
            comments: 1,
            publishedAt: 0,
            durationSeconds: 60,
            thumbnail: null,
          },
          strength: { strength: 0.5, targeting: 0.5, reach: 0.4, pull: 0.3 },
        })),
      },
    ])
  }
  bridge('mend both', 3)
  bridge('mend hardly', 1)
  expect((await workOut(world, { region: null, trade: 'Mend  part 3' })).answer.pages).toBe(3)
  expect((await workOut(world, { region: null, trade: 'mend part 5' })).answer.pages).toBe(1)
  expect((await workOut(world, { region: null, trade: 'nobody knows it' })).answer.pages).toBe(0)
}, 60_000)

test('stopped in the middle, it keeps what is read; other thresholds are read for themselves', async () => {
  const world = planted(100)
  const stop = new AbortController()
  for await (const _ of evidenceSteps(world.store, BALANCED, DEFAULT_PROFILE, { region: null }, stop.signal))
    stop.abort()
  const { at, unread } = await evidenceAnswer(world.store, BALANCED, DEFAULT_PROFILE, { region: null })
  expect(at).toBeNull()
  expect(unread).toBeGreaterThan(0)
  expect(unread).toBeLessThan(100)
  expect((await evidenceAnswer(world.store, SHORT_AND_SHARP, DEFAULT_PROFILE, { region: null })).unread).toBe(100)
}, 60_000)

test('a page that is forgotten takes its reading with it', async () => {
  const world = planted(30)
  await workOut(world)
  world.db.exec('DELETE FROM standing_page WHERE page_id <= 10')
  world.db.exec('DELETE FROM seat WHERE page_id <= 10')
  world.db.exec('DELETE FROM result_page WHERE id <= 10')
  expect(world.db.prepare('SELECT count(*) AS n FROM page_reading').get()).toEqual({ n: 20 })
  expect((await workOut(world)).answer.pages).toBe(20)
}, 60_000)
