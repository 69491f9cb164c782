import { v7 as uuid } from 'uuid'
import { DAY } from '../../../../core/time'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { phraseStore } from '../../../../server/data/phrases'
import { publicationStore } from '../../../../server/data/publications'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { videoChangeStore } from '../../../../server/data/videoChanges'
import { videoStore } from '../../../../server/data/videos'
import { surroundingsOf } from '../../../../server/ranks/surroundings'
import type { SiteVideo } from '../../../../server/services/contract'
import { pageOf, siteVideo } from '../pages'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const MINE = 'ch-own'
const mine = siteVideo('me', MINE, { publishedAt: clock() - 90 * DAY })

function setUp() {
  const db = freshData(folder)
  const briefItems = briefItemStore(db, clock)
  const phrases = phraseStore(db, clock)
  const stores = {
    briefItems,
    phrases,
    briefs: briefStore(db, clock, briefItems),
    publications: publicationStore(db, clock),
    ranks: rankStore(db),
    results: resultStore(db),
    videoChanges: videoChangeStore(db),
    videos: videoStore(db),
  }
  const [phraseId] = phrases.phraseIds(['bike chain'], 'en') as [number]
  const page = (ago: number, videos: SiteVideo[], kind: 'site' | 'web' = 'site', source = 'site') => {
    stores.results.save([pageOf(phraseId, videos, { at: clock() - ago * DAY, kind, source })])
  }
  const ask = (more: Partial<Parameters<typeof surroundingsOf>[1]> = {}) =>
    surroundingsOf(stores, {
      video: 'me',
      phrase: 'Bike Chain',
      region: 'GB',
      language: 'en',
      kind: 'site',
      channel: MINE,
      ...more,
    })
  return { stores, phraseId, page, ask }
}

test('tells when a video came out, what was changed of it, and where it was told of, oldest first', () => {
  const { stores, page, ask } = setUp()
  page(1, [mine])
  const { id } = stores.briefs.create({ topic: 'Chains' })
  const publication = uuid()
  stores.publications.begin({ id: publication, briefId: id, channel: MINE, file: 'a.webm', bytes: 1, seconds: 9 })
  stores.publications.end(publication, { state: 'out', video: 'me' })
  const step = (what: string, doneAt: number | null) => {
    stores.briefItems.save(id, {
      id: uuid(),
      kind: 'spreadStep',
      revision: 0,
      value: { what, minutes: 5, post: null, outlet: null, by: '', doneAt, brought: null },
    })
  }
  step('Told the list', clock() - 80 * DAY)
  step('Not done yet', null)
  stores.videoChanges.save('me', [{ at: clock() - 10 * DAY, field: 'title', before: 'One', after: 'Two' }])
  stores.videoChanges.save('other', [{ at: clock(), field: 'tags', before: null, after: 'a' }])
  expect(ask().marks.map(({ kind, text }) => `${kind}: ${text}`)).toEqual([
    'released: Released',
    'told: Told the list',
    'changed: Title changed',
  ])
  // Of a video that is not known nothing is, and nothing is made up.
  expect(ask({ video: 'unknown' }).marks).toEqual([])
})

test('tells who came in above, who stands there, and where a rival stood', () => {
  const { stores, phraseId, page, ask } = setUp()
  const [a, b, fresh, own] = [siteVideo('a'), siteVideo('b'), siteVideo('new'), siteVideo('my', MINE)]
  page(14, [a, mine, b])
  page(7, [a, fresh, own, mine, b])
  page(3, [b], 'web')
  // A list that somebody imported is no look at the site: what is on it alone did not come in.
  page(10, [siteVideo('listed'), a, mine], 'site', 'mine.csv')
  expect(ask().arrivals).toEqual([
    { at: clock() - 7 * DAY, since: clock() - 14 * DAY, videoId: 'new', title: 'new', rank: 2 },
  ])
  expect(ask().rivals.map(({ videoId, rank }) => `${rank} ${videoId}`)).toEqual(['1 a', '2 new', '5 b'])
  const today = Math.floor(clock() / DAY)
  // Looked up on the day of a kept page it is known deeper, and that counts.
  stores.ranks.save({ phraseId, region: 'GB', kind: 'site' }, today - 7, new Map([['b', 33]]), 60)
  expect(ask({ rival: 'b' }).rival).toEqual({
    videoId: 'b',
    title: 'b',
    days: [
      { day: today - 14, rank: 3, depth: 3 },
      { day: today - 7, rank: 33, depth: 60 },
    ],
  })
  expect(ask({ rival: 'new' }).rival!.days[0]).toEqual({ day: today - 14, rank: null, depth: 3 })
  // Taken out as off-topic it is no rival; without a phrase nothing of a page is told.
  stores.results.setOffTopic(phraseId, ['a'], true, clock())
  expect(ask().rivals.map(({ videoId }) => videoId)).toEqual(['new', 'b'])
  expect(ask({ phrase: '' })).toMatchObject({ arrivals: [], rivals: [], rival: null })
  expect(ask({ phrase: 'never asked' })).toMatchObject({ arrivals: [], rivals: [], rival: null })
})
