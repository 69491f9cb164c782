import { PROFILES } from '../../../../core/draft/limits'
import { readDraft } from '../../../../core/draft/read'
import { pointsOf } from '../../../../core/draft/score'
import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { aimedStore } from '../../../../server/data/aimed'
import { chanceModelStore } from '../../../../server/data/chanceModels'
import { phraseStore } from '../../../../server/data/phrases'
import { putOffStore } from '../../../../server/data/putOff'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { videoBriefStore } from '../../../../server/data/videoBriefs'
import { videoDayStore } from '../../../../server/data/videoDays'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { outVideosOf } from '../../../../server/ranks/outVideos'
import { pointsAnswer } from '../../../../server/ranks/pointsAnswer'
import { Chances } from '../../../../server/rivals/chances'
import type { TextToScore } from '../../../../server/threads/scoringThread'
import { freshData, standingClock, temporaryFolder } from '../files'
import { siteVideo } from '../pages'

const folder = temporaryFolder()

function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const phrases = phraseStore(db, clock)
  const ranks = rankStore(db)
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', channelId: 'mine', region: 'GB' }).id
  const stores = {
    aimed: aimedStore(db),
    chances: new Chances(chanceModelStore(db), null as never, clock),
    phrases,
    putOff: putOffStore(db),
    ranks,
    results: resultStore(db),
    scoring: {
      lanes: 2,
      many: (_: number, texts: TextToScore[], set: Parameters<typeof pointsOf>[2]) =>
        Promise.all(
          texts.map(async ({ draft, phrases: of, language }) => ({
            ...pointsOf(await readDraft(draft), of, set, PROFILES[0]!, language),
            checks: [],
          })),
        ),
    },
    videoBriefs: videoBriefStore(db),
    videoDays: videoDayStore(db),
    videos,
    workspaceItems: workspaceItemStore(db),
    workspaces,
    now: clock,
  }
  phrases.save([{ phrase: 'bike chain', region: 'GB', volume: 900 }], 'en', { name: 'list', kind: 'import' }, clock())
  const [chain] = phrases.phraseIds(['bike chain'], 'en')
  /** A video whose lead stands further back the higher its number, watched the less. */
  const own = (i: number, { age = 60 + i, days = 28, tags = ['bike chain'] } = {}) => {
    const code = `v${i}`
    const title = `${'Well, '.repeat(i % 8)}bike chain ${i}`
    videos.saveVideos(
      [siteVideo(code, 'mine', { title, tags, description: 'Look.', publishedAt: clock() - age * DAY })],
      clock(),
    )
    const from = rankDay(clock() - age * DAY)
    stores.videoDays.saveSite(
      code,
      Array.from({ length: days }, (_, d) => ({
        video: code,
        day: from + d,
        impressions: 1000,
        clicks: 20,
        views: 100 - 10 * (i % 8),
        watchedSeconds: null,
        search: null,
        suggested: null,
        subscribers: null,
        web: null,
        elsewhere: null,
      })),
      { source: 'the site', at: clock(), retention: null },
    )
    ranks.save({ phraseId: chain!, region: 'GB', kind: 'site' }, from + 30, new Map([[code, null]]), 60)
  }
  return { stores, home, own, answer: async () => pointsAnswer(stores, home, await outVideosOf(stores, home, 'GB')) }
}

test('points of one’s own videos beside what became of them, set by set; a planted relation is found', async () => {
  const { own, answer } = setUp()
  for (let i = 0; i < 32; i++) own(i)
  const { videos, sets } = await answer()
  expect(videos).toBe(32)
  expect(sets.map(({ id }) => id)).toContain('balanced')
  const [views, clickRate, rank] = sets.find(({ id }) => id === 'exact-line')!.outcomes
  expect(views).toMatchObject({ outcome: 'views', n: 32, verdict: 'more' })
  // A set that asks for long titles sees it the other way round.
  expect(sets.find(({ id }) => id === 'full-width')!.outcomes[0]).toMatchObject({ verdict: 'less' })
  // What never varies, or is not known, tells nothing.
  expect(clickRate).toMatchObject({ n: 32, r: null, verdict: 'few' })
  expect(rank).toMatchObject({ n: 0, r: null, verdict: 'few' })
})

test('videos in their first weeks, and those that nothing is known of, are left out', async () => {
  const { own, answer } = setUp()
  own(1, { age: 20 })
  own(2, { days: 10 })
  own(3)
  const { videos, sets } = await answer()
  expect(videos).toBe(2)
  expect(sets[0]!.outcomes[0]).toMatchObject({ outcome: 'views', n: 1 })
})

test('a rule set of one’s own is among them; without a channel there are no videos', async () => {
  const { stores, home, answer } = setUp()
  stores.workspaceItems.save(home, {
    id: 'mine',
    kind: 'ruleSet',
    revision: 0,
    value: { name: 'Mine', note: '', checks: { 'title-lead': { weight: 10 } } },
  })
  expect((await answer()).sets.map(({ name }) => name)).toContain('Mine')
  const none = stores.workspaces.create({ name: 'None' }).id
  expect(await pointsAnswer(stores, none, await outVideosOf(stores, none, 'GB'))).toMatchObject({ videos: 0 })
})
