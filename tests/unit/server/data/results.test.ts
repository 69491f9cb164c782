import { phraseStore } from '../../../../server/data/phrases'
import { resultStore, type PageToKeep } from '../../../../server/data/results'
import type { SiteVideo } from '../../../../server/services/contract'
import { freshData, temporaryFolder } from '../files'

const folder = temporaryFolder()
const DAY = 86_400_000
const video = (n: number, more: Partial<SiteVideo> = {}): SiteVideo => ({
  id: `v${n}`, title: `Title ${n}`, description: 'Text', tags: ['a'], channel: { id: `c${n % 3}`, title: `Channel ${n % 3}`, subscribers: n * 10 },
  views: 1000, likes: 5, comments: 1, publishedAt: 0, durationSeconds: 60, ...more,
})
const difficulty = { page: 40, front: 50, middle: 40, rest: 30 }
const page = (phraseId: number, at: number, more: Partial<PageToKeep> = {}): PageToKeep => ({
  phraseId, region: 'GB', source: 'video site', at, depth: 20, complete: true, titleMatches: 12, videoBlock: true, difficulty,
  seats: [1, 2, 3].map(n => ({ video: video(n), strength: n / 10 })), ...more,
})

function stores() {
  const db = freshData(folder)
  const phrases = phraseStore(db)
  return { db, phrases, results: resultStore(db), id: phrases.phraseId('bike chain', 'en') }
}

test('a page comes back seat by seat, as it was observed', () => {
  const { results, phrases, id } = stores()
  results.keep([page(id, 10 * DAY)])
  const kept = results.latest(id, 'GB')!
  expect(kept).toMatchObject({ at: 10 * DAY, complete: 1, title_matches: 12, difficulty: 40, front: 50 })
  const rows = results.rows(kept, 20)
  expect(rows.map(row => [row.rank, row.videoId, row.strength])).toEqual([[1, 'v1', 0.1], [2, 'v2', 0.2], [3, 'v3', 0.3]])
  // A thousand views over ten days, at the time of the observation.
  expect(rows[0]).toMatchObject({ viewsPerDay: 100, channel: { id: 'c1', title: 'Channel 1', subscribers: 10 }, tags: ['a'] })
  expect(results.rows(kept, 2)).toHaveLength(2)
  expect(phrases.known('bike chain', 'GB', 'en')).toMatchObject({ difficulty: 40, titleMatches: 12, videoBlock: 1 })
  expect(results.latest(id, 'US')).toBeNull()
})

test('the newest whole page stands; half a page does not push it out', () => {
  const { db, results, phrases, id } = stores()
  results.keep([page(id, 1 * DAY, { complete: false, difficulty: null })])
  expect(results.latest(id, 'GB')).toMatchObject({ complete: 0 })
  results.keep([page(id, 2 * DAY), page(id, 3 * DAY, { complete: false, difficulty: null })])
  expect(results.latest(id, 'GB')).toMatchObject({ at: 2 * DAY, complete: 1 })
  results.keep([page(id, 4 * DAY, { difficulty: { ...difficulty, page: 60 } })])
  expect(phrases.known('bike chain', 'GB', 'en')!.difficulty).toBe(60)
  // All of them are kept: history and evidence come from them.
  expect(db.prepare('SELECT count(*) AS n FROM result_page').get()).toEqual({ n: 4 })
})

test('a page keeps the views of its day when a video is seen again', () => {
  const { results, id } = stores()
  results.keep([page(id, 1 * DAY)])
  const early = results.latest(id, 'GB')!
  results.keep([page(id, 2 * DAY, { seats: [{ video: video(1, { views: 9000, title: 'New title' }), strength: 0.9 }] })])
  expect(results.rows(early, 20)[0]).toMatchObject({ views: 1000, title: 'New title' })
})

test('hidden subscribers stay unknown', () => {
  const { results, id } = stores()
  results.keep([page(id, DAY, { seats: [{ video: video(1, { channel: { id: 'c', title: 'C', subscribers: null } }), strength: 0.5 }] })])
  expect(results.rows(results.latest(id, 'GB')!, 20)[0]!.channel.subscribers).toBeNull()
})
