import { rankDay } from '../../../../core/ranks/standing'
import { SHARES } from '../../../../core/rivals/winnings'
import { DAY } from '../../../../core/time'
import { channelSeriesStore } from '../../../../server/data/channelSeries'
import { earnedStore } from '../../../../server/data/earned'
import { phraseStore } from '../../../../server/data/phrases'
import { placeStore } from '../../../../server/data/places'
import { putOffStore } from '../../../../server/data/putOff'
import { rankStore } from '../../../../server/data/ranks'
import { videoDayStore, type ToldDay } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { watchStore } from '../../../../server/data/watches'
import { workspaceStore } from '../../../../server/data/workspaces'
import type { PhraseSearch } from '../../../../server/demand/search'
import { channelRanks } from '../../../../server/ranks/channelRanks'
import { startOverviews, type Overviews } from '../../../../server/threads/startOverviews'
import type { EarnedAnswer } from '../../../../shared/earned'
import type { NextAnswer } from '../../../../shared/next'
import type { OpenPhrasesAnswer } from '../../../../shared/openPhrases'
import { builtThread } from '../builtThread'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()
let entry: string
beforeAll(() => {
  entry = builtThread('overviewThread')
})

const started: Overviews[] = []
afterEach(async () => {
  for (const each of started.splice(0)) await each.close()
})

/** A channel whose video fell for a phrase, and the thread that tells of it. */
function setUp() {
  const clock = standingClock(Date.now() + 40 * DAY)
  const db = freshData(folder)
  const videos = videoStore(db)
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db)
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', subscribers: 5000, channelId: 'mine', region: 'GB' }).id
  const titles = ['Bike chain, cleaned', 'Bike chain, worn', 'Bike chain, joined']
  videos.saveVideos(
    titles.map((title, i) => siteVideo(`own-${i}`, 'mine', { title, publishedAt: clock() - (200 + i) * DAY })),
    clock(),
  )
  phrases.save([{ phrase: 'bike chain', region: 'GB', volume: 1000 }], 'en', { name: 'list', kind: 'import' }, clock())
  const on = { phraseId: phrases.phraseIds(['bike chain'], 'en')[0]!, region: 'GB', kind: 'site' as const }
  watchStore(db, ranks, clock).add(home, [{ video: 'own-0', page: on }], 1)
  const today = rankDay(clock())
  const fell = [...Array.from({ length: 20 }, () => 3), 14, 15, 16]
  for (const [i, rank] of fell.entries()) ranks.save(on, today - fell.length + 1 + i, new Map([['own-0', rank]]), 60)
  const asked: Parameters<PhraseSearch['answer']>[0][] = []
  const search = {
    problem: null as Error | null,
    answer(question: Parameters<PhraseSearch['answer']>[0]) {
      asked.push(question)
      return search.problem ? Promise.reject(search.problem) : Promise.resolve('{"total":0,"rows":[]}')
    },
  }
  const overviews = startOverviews(entry, db.name, search, clock)
  started.push(overviews)
  return { asked, clock, db, home, overviews, search, today }
}

test('the channel’s table is the one that is read without a thread', async () => {
  const { db, home, overviews, today } = setUp()
  const question = { channel: 'mine', region: 'GB', kind: 'site' as const, shares: SHARES, today }
  const { rows } = JSON.parse(await overviews.tell('channelRanks', home, question)) as ReturnType<typeof channelRanks>
  expect(rows).toMatchObject([{ phrase: 'bike chain', videoId: 'own-0', standing: { now: { rank: 16 } } }])
  expect(rows).toEqual(channelRanks(channelSeriesStore(db), question).rows)
})

test('what is written is told at once, by the time of the services', async () => {
  const { clock, db, home, overviews } = setUp()
  const next = async () => JSON.parse(await overviews.tell('next', home)) as NextAnswer
  const fell = (await next()).rows.find(({ kind }) => kind === 'fell')!
  expect(fell).toMatchObject({ video: 'own-0', phrase: 'bike chain' })
  putOffStore(db).put(home, fell.key, clock() + DAY, clock())
  expect((await next()).off).toMatchObject([{ key: fell.key }])
  clock.pass(2 * DAY)
  expect((await next()).off).toEqual([])
})

test('a place that was added since is known', async () => {
  const { clock, db, home, overviews, today } = setUp()
  const line = { video: 'own-0', day: today - 1, kind: 'call' as const, link: '', count: 3, value: null }
  earnedStore(db).save(home, [line])
  const of = { impressions: null, clicks: null, watchedSeconds: null, search: 90 }
  const days = Array.from({ length: 30 }, (_, i): ToldDay => ({
    ...{ video: 'own-0', day: today - 1 - i, views: 100, suggested: null, subscribers: null, web: null },
    ...{ elsewhere: null, ...of },
  }))
  videoDayStore(db).save(days, [], { source: 'table', at: clock() })
  const intentOf = async () => {
    const answer = JSON.parse(await overviews.tell('earned', home, {})) as EarnedAnswer
    return answer.phrases.find(({ phrase }) => phrase === 'bike chain')!.intent
  }
  const before = await intentOf()
  placeStore(db).save([{ region: 'GB', name: 'Chain', population: 900 }], 'towns')
  expect(before).not.toBe('near')
  expect(await intentOf()).toBe('near')
})

test('the index is asked about the channel’s topics, and what keeps it from answering is told as it is', async () => {
  const { asked, home, overviews, search } = setUp()
  const open = async () => JSON.parse(await overviews.tell('openPhrases', home, 'GB')) as OpenPhrasesAnswer
  expect((await open()).topics).toMatchObject([{ word: 'bike', videos: 3 }, { word: 'chain' }])
  expect(asked).toMatchObject([{ query: { seed: ['bike', 'chain'], region: 'GB' } }])
  class Odd extends Error {}
  search.problem = new Odd('The index is gone.')
  await expect(open()).rejects.toBe(search.problem)
  search.problem = null
  expect((await open()).known).toBe(0)
})
