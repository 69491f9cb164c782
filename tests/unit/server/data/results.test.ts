import { phraseStore } from '../../../../server/data/phrases'
import { resultStore, type PageToKeep } from '../../../../server/data/results'
import type { SiteVideo } from '../../../../server/services/contract'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
const DAY = 86_400_000
const video = (n: number, more: Partial<SiteVideo> = {}): SiteVideo => ({
  id: `v${n}`,
  title: `Title ${n}`,
  description: 'Text',
  tags: ['a'],
  channel: { id: `c${n % 3}`, title: `Channel ${n % 3}`, subscribers: n * 10 },
  views: 1000,
  likes: 5,
  dislikes: null,
  comments: 1,
  publishedAt: 0,
  durationSeconds: 60,
  thumbnail: null,
  ...more,
})
const seat = (n: number, strength: number, more: Partial<SiteVideo> = {}) => ({
  video: video(n, more),
  strength: { strength, targeting: strength, reach: 0.5, pull: null },
})
const page = (phraseId: number, at: number, more: Partial<PageToKeep> = {}): PageToKeep => ({
  phraseId,
  region: 'GB',
  kind: 'site',
  source: 'video site',
  at,
  depth: 20,
  complete: true,
  more: false,
  titleMatches: 12,
  videoBlock: true,
  intent: 'do',
  seats: [1, 2, 3].map(n => seat(n, n / 10)),
  ...more,
})

function stores() {
  const db = freshData(folder)
  const phrases = phraseStore(db)
  return { db, phrases, results: resultStore(db), id: phrases.phraseId('bike chain', 'en') }
}

test('a page comes back seat by seat, as it was observed', () => {
  const { results, phrases, id } = stores()
  results.save([page(id, 10 * DAY)])
  const kept = results.latest(id, 'GB')!
  expect(kept).toMatchObject({ at: 10 * DAY, complete: 1, title_matches: 12 })
  const rows = results.seats(kept, 20)
  expect(rows.map(row => [row.rank, row.code, row.strength])).toEqual([
    [1, 'v1', 0.1],
    [2, 'v2', 0.2],
    [3, 'v3', 0.3],
  ])
  expect(rows[0]).toMatchObject({
    views: 1000,
    channel_id: 'c1',
    channel_title: 'Channel 1',
    subscribers: 10,
    tags: '["a"]',
    targeting: 0.1,
    pull: null,
    off: 0,
  })
  expect(results.seats(kept, 2)).toHaveLength(2)
  expect(phrases.known('bike chain', 'GB', 'en')).toMatchObject({
    difficulty: kept.difficulty,
    titleMatches: 12,
    videoBlock: 1,
    intent: 'do',
    strengths: [0.1, 0.2, 0.3].map(n => expect.closeTo(n, 6)),
    more: false,
  })
  expect(results.latest(id, 'US')).toBeNull()
})

test('the newest whole page stands; half a page does not push it out', () => {
  const { db, results, phrases, id } = stores()
  results.save([page(id, 1 * DAY, { complete: false })])
  expect(results.latest(id, 'GB')).toMatchObject({ complete: 0 })
  results.save([page(id, 2 * DAY), page(id, 3 * DAY, { complete: false })])
  expect(results.latest(id, 'GB')).toMatchObject({ at: 2 * DAY, complete: 1 })
  results.save([page(id, 4 * DAY, { seats: Array.from({ length: 20 }, (_, i) => seat(i, 0.6)) })])
  expect(phrases.known('bike chain', 'GB', 'en')!.difficulty).toBeCloseTo(60)
  // One seen earlier and told later, as an import of old pages does, is history at once.
  results.save([page(id, 3.5 * DAY)])
  expect(results.latest(id, 'GB')).toMatchObject({ at: 4 * DAY })
  expect(results.past(id, 'GB').map(each => each.at)).toEqual([4 * DAY, 3.5 * DAY, 2 * DAY])
  // All of them are kept: history and evidence come from them.
  expect(db.prepare('SELECT count(*) AS n FROM result_page').get()).toEqual({ n: 5 })
})

test('a page keeps the views of its day when a video is seen again', () => {
  const { results, id } = stores()
  results.save([page(id, 1 * DAY)])
  const early = results.latest(id, 'GB')!
  results.save([page(id, 2 * DAY, { seats: [seat(1, 0.9, { views: 9000, title: 'New title' })] })])
  expect(results.seats(early, 20)[0]).toMatchObject({ views: 1000, title: 'New title' })
})

test('hidden subscribers stay unknown', () => {
  const { results, id } = stores()
  results.save([page(id, DAY, { seats: [seat(1, 0.5, { channel: { id: 'c', title: 'C', subscribers: null } })] })])
  expect(results.seats(results.latest(id, 'GB')!, 20)[0]!.subscribers).toBeNull()
})

describe('a result taken out', () => {
  const twenty = Array.from({ length: 20 }, (_, i) => seat(i, i === 0 ? 1 : 0.5))
  test('counts in nothing, is remembered for the phrase, and comes back', () => {
    const { results, phrases, id } = stores()
    results.save([page(id, DAY, { seats: twenty, more: true })])
    const before = phrases.known('bike chain', 'GB', 'en')!
    results.setOffTopic(id, ['v0'], true, DAY)
    const after = phrases.known('bike chain', 'GB', 'en')!
    // What is left is all alike, and the seat nobody read counts neither as strong nor as empty.
    expect(after.difficulty).toBeCloseTo(50)
    expect(after.strengths).toHaveLength(19)
    results.save([page(id, 9 * DAY, { seats: twenty, more: true })])
    expect(phrases.known('bike chain', 'GB', 'en')!.difficulty).toBeCloseTo(50)
    expect(
      results
        .seats(results.latest(id, 'GB')!, 20)
        .filter(row => row.off)
        .map(row => row.code),
    ).toEqual(['v0'])
    results.setOffTopic(id, ['v0'], false, DAY)
    expect(phrases.known('bike chain', 'GB', 'en')!.difficulty).toBeCloseTo(before.difficulty!)
  })
  test('earlier looks and the web’s page follow as well, several results in one go', () => {
    const { results, id } = stores()
    results.save([
      page(id, DAY, { seats: twenty, more: true }),
      page(id, 9 * DAY, { seats: twenty, more: true }),
      page(id, 9 * DAY, { kind: 'web', seats: twenty, more: true }),
    ])
    const figures = () => [...results.past(id, 'GB'), results.latest(id, 'GB', 'web')!].map(each => each.difficulty!)
    const before = figures()
    results.setOffTopic(id, ['v0', 'v1'], true, DAY)
    for (const difficulty of figures()) expect(difficulty).toBeCloseTo(50)
    results.setOffTopic(id, ['v0', 'v1'], false, DAY)
    for (const [i, difficulty] of figures().entries()) expect(difficulty).toBeCloseTo(before[i]!)
  })
  test('leaves other phrases as they are, and an empty seat empty', () => {
    const { results, phrases, id } = stores()
    const other = phrases.phraseId('gold chain', 'en')
    results.save([page(id, DAY, { seats: twenty.slice(0, 4) }), page(other, DAY, { seats: twenty })])
    const before = phrases.known('gold chain', 'GB', 'en')!.difficulty
    results.setOffTopic(id, ['v0'], true, DAY)
    expect(phrases.known('gold chain', 'GB', 'en')!.difficulty).toBe(before)
    expect(phrases.known('bike chain', 'GB', 'en')!.difficulty).toBeLessThan(40)
  })
})

test('the web’s block is a page of its own that stands for no phrase', () => {
  const { results, phrases, id } = stores()
  results.save([page(id, DAY, { kind: 'web', seats: [seat(7, 0.9)] })])
  expect(results.latest(id, 'GB')).toBeNull()
  expect(results.latest(id, 'GB', 'web')).toMatchObject({ kind: 'web' })
  expect(phrases.known('bike chain', 'GB', 'en')!.difficulty).toBeNull()
})

test('earlier looks are told with who stood there, and pages that share videos are neighbours', () => {
  const { results, phrases, id } = stores()
  const other = phrases.phraseId('bike chain oil', 'en')
  results.save([
    page(id, DAY),
    page(id, 9 * DAY, { seats: [seat(3, 0.5), seat(4, 0.5)] }),
    page(other, DAY, { seats: [seat(4, 0.1), seat(9, 0.1)] }),
  ])
  expect(results.past(id, 'GB').map(each => [each.at / DAY, each.ids])).toEqual([
    [9, ['v3', 'v4']],
    [1, ['v1', 'v2', 'v3']],
  ])
  expect(results.neighbours(results.latest(id, 'GB')!.id, 'GB')).toMatchObject([{ phrase_id: other, shared: 1 }])
  expect(results.firstPage(other, 'GB')).toHaveLength(2)
})

describe('a misspelling with the results of a more searched spelling', () => {
  const twenty = (strength: number, from = 0) => Array.from({ length: 20 }, (_, i) => seat(from + i, strength))
  function spelled() {
    const given = stores()
    const { phrases } = given
    phrases.save(
      [
        { phrase: 'hydraulic brake', region: 'GB', volume: 9000 },
        { phrase: 'hydrolic brake', region: 'GB', volume: 300 },
      ],
      'en',
      { name: 'searches', kind: 'service' },
      DAY,
    )
    return {
      ...given,
      right: phrases.phraseId('hydraulic brake', 'en'),
      wrong: phrases.phraseId('hydrolic brake', 'en'),
      known: (phrase: string) => phrases.known(phrase, 'GB', 'en')!,
    }
  }

  test.each([
    ['first', ['right', 'wrong']],
    ['last', ['wrong', 'right']],
  ] as const)('takes its difficulty, strengths and competition, whichever is read %s', (_, order) => {
    const { results, known, ...ids } = spelled()
    for (const name of order)
      results.save([
        page(ids[name], DAY, { seats: twenty(name === 'right' ? 0.7 : 0.3), titleMatches: name === 'right' ? 500 : 2 }),
      ])
    expect(known('hydrolic brake')).toMatchObject({
      readAs: 'hydraulic brake',
      difficulty: expect.closeTo(70),
      titleMatches: 500,
      volume: 300,
      results: 20,
      strengths: Array<unknown>(20).fill(expect.closeTo(0.7)),
    })
    expect(known('hydraulic brake')).toMatchObject({ readAs: null, difficulty: expect.closeTo(70), volume: 9000 })
    expect(results.effective(ids.wrong, 'GB')!.phrase_id).toBe(ids.right)
    expect(results.latest(ids.wrong, 'GB')!.phrase_id).toBe(ids.wrong)
  })

  test('not where its results are others, nor where it is searched as much', () => {
    const { results, phrases, known, right, wrong } = spelled()
    results.save([page(right, DAY, { seats: twenty(0.7) }), page(wrong, DAY, { seats: twenty(0.3, 6) })])
    expect(known('hydrolic brake')).toMatchObject({ readAs: null, difficulty: expect.closeTo(30) })
    phrases.save(
      [{ phrase: 'hydrolic brake', region: 'GB', volume: 9000 }],
      'en',
      { name: 'searches', kind: 'service' },
      DAY,
    )
    results.save([page(wrong, 2 * DAY, { seats: twenty(0.3) })])
    expect(known('hydrolic brake').readAs).toBeNull()
  })

  test('is told anew when the page of the right spelling changes', () => {
    const db = freshData(folder)
    const told: number[][] = []
    const phrases = phraseStore(db)
    const results = resultStore(db, ids => {
      told.push([...ids])
    })
    phrases.save(
      [
        { phrase: 'hydraulic brake', region: 'GB', volume: 9000 },
        { phrase: 'hydrolic brake', region: 'GB', volume: 300 },
      ],
      'en',
      { name: 'searches', kind: 'service' },
      DAY,
    )
    const [right, wrong] = [phrases.phraseId('hydraulic brake', 'en'), phrases.phraseId('hydrolic brake', 'en')]
    results.save([page(right, DAY, { seats: twenty(0.7) }), page(wrong, DAY, { seats: twenty(0.3) })])
    results.save([page(right, 2 * DAY, { seats: twenty(0.5) })])
    expect(told.at(-1)!.sort()).toEqual([right, wrong].sort())
    expect(phrases.known('hydrolic brake', 'GB', 'en')!.difficulty).toBeCloseTo(50)
    results.setOffTopic(right, ['v0'], true, 3 * DAY)
    expect(told.at(-1)!.sort()).toEqual([right, wrong].sort())
  })
})

test('a page without any result says nothing of how hard a phrase is', () => {
  const { results, phrases, id } = stores()
  results.save([page(id, DAY, { seats: [] })])
  expect(phrases.known('bike chain', 'GB', 'en')).toMatchObject({ difficulty: null, results: 0, strengths: [] })
  expect(phrases.known('bike chain', 'US', 'en')).toMatchObject({ difficulty: null, results: null, strengths: null })
})
