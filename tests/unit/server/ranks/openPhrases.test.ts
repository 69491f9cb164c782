import { DAY } from '../../../../core/time'
import { briefReleaseStore } from '../../../../server/data/briefReleases'
import { briefStore } from '../../../../server/data/briefs'
import { chanceModelStore } from '../../../../server/data/chanceModels'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { filmingPlanOf } from '../../../../server/ranks/filmingPlan'
import { openPhrasesOf } from '../../../../server/ranks/openPhrases'
import { Chances } from '../../../../server/rivals/chances'
import { viewsToWin } from '../../../../core/rivals/winnings'
import { pageForecast } from '../../../../server/rivals/pageForecast'
import { freshData, standingClock, temporaryFolder } from '../files'
import { pageOf, siteVideo } from '../pages'

const folder = temporaryFolder()

interface Told {
  phrase: string
  volume: number | null
  difficulty: number | null
  chance: number | null
}

function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const videos = videoStore(db)
  const phrases = phraseStore(db, clock)
  const results = resultStore(db)
  const workspaces = workspaceStore(db, videos, clock)
  const home = workspaces.create({ name: 'Shed', subscribers: 5000, channelId: 'mine', region: 'GB' }).id
  const briefs = briefStore(db, clock)
  const told: Told[] = []
  const asked: { seed: string[] }[] = []
  const stores = {
    briefs,
    briefReleases: briefReleaseStore(db),
    now: clock,
    chances: new Chances(chanceModelStore(db), null as never, clock),
    phrases,
    results,
    search: {
      answer: ({ query }: { query: { seed: string[] } }) => {
        asked.push(query)
        const rows = told.map(row => ({
          ...row,
          readAs: null,
          intent: null,
          results: row.difficulty === null ? null : 20,
        }))
        return Promise.resolve(JSON.stringify({ total: rows.length, rows }))
      },
    },
    videos,
    workspaces,
  } as unknown as Parameters<typeof filmingPlanOf>[0]
  const own = (...titles: string[]) => {
    videos.saveVideos(
      titles.map((title, i) =>
        siteVideo(`own${i}`, 'mine', { title, views: 20_000, publishedAt: clock() - 100 * DAY }),
      ),
      clock(),
    )
  }
  /** A phrase with its page; `seats` are the numbers of its videos. */
  const known = (phrase: string, volume: number, from: number, mine: string | null = null, chance = 0.6) => {
    phrases.save([{ phrase, region: 'GB', volume }], 'en', { name: 'list', kind: 'import' }, clock())
    const [id] = phrases.phraseIds([phrase], 'en')
    const others = Array.from({ length: 20 }, (_, i) => siteVideo(`r${from + i}`))
    const seats = mine === null ? others : [siteVideo(mine, 'mine', { title: 'Bike chain one' }), ...others]
    results.save([pageOf(id!, seats, { at: clock(), more: true })])
    told.push({ phrase, volume, difficulty: 40, chance })
    return id!
  }
  return { stores, home, clock, briefs, own, known, told, asked, open: () => openPhrasesOf(stores, home, 'GB') }
}

test('phrases of my topics without a video or a brief of mine, with what a video would win; those it wins along beside', async () => {
  const { stores, home, briefs, own, known, told, asked, open } = setUp()
  own('Bike chain one', 'Bike chain two', 'Chain three')
  const wash = known('wash a chain', 1000, 100)
  known('washing a chain', 400, 104)
  known('rusty chain', 5000, 200)
  known('chain held', 9000, 300, 'own0')
  known('chain planned', 9000, 400)
  known('chain out of reach', 9000, 500, null, 0.1)
  told.push({ phrase: 'chain unknown', volume: 900, difficulty: null, chance: null })
  briefs.create({ tray: { lead: null, support: [], setAside: ['chain planned'] } }, undefined, { workspace: home })
  const answer = await open()
  expect(asked[0]!.seed).toEqual(['chain'])
  expect(answer.phrases.map(({ phrase, also }) => [phrase, also.map(each => each.phrase)])).toEqual([
    ['rusty chain', []],
    ['wash a chain', ['washing a chain']],
  ])
  expect(answer).toMatchObject({ known: 7, looked: 7, unknown: 1 })
  expect(answer.topics).toEqual([{ word: 'chain', videos: 3, held: 1, open: 2 }])
  // By hand: the chances of each rank times the shares that look at it, a month.
  const { own: standing, settings } = stores.workspaces.standing(home)
  const page = stores.results.latest(wash, 'GB')!
  const { ahead } = pageForecast(stores, page, standing, { phrase: 'wash a chain', language: 'en' })
  const second = answer.phrases[1]!
  expect(second.views).toBeCloseTo(viewsToWin(1000, ahead!, settings.shares)!.expected / 3, 9)
  expect(second).toMatchObject({ searches: 1000, difficulty: 40, topics: ['chain'], chance: ahead!.pageOne })
})

test('without a channel, or titles that have a word in common, there are none', async () => {
  const { stores, own, open } = setUp()
  const none = stores.workspaces.create({ name: 'None', subscribers: 5 }).id
  expect(await openPhrasesOf(stores, none, 'GB')).toEqual({ topics: [], phrases: [], known: 0, looked: 0, unknown: 0 })
  own('One', 'Other', 'Third')
  expect((await open()).phrases).toEqual([])
})

test('a plan puts what waiting costs most first, leaves out what the calendar holds, and grows with its views', async () => {
  const { stores, home, clock, briefs, own, known } = setUp()
  own('Bike chain one', 'Bike chain two', 'Chain three')
  known('wash a chain', 1000, 100)
  known('rusty chain', 5000, 200)
  known('chain wax', 3000, 300)
  const budget = { hoursPerVideo: 8, hoursPerWeek: 8, weeks: 4 }
  const plan = await filmingPlanOf(stores, home, 'GB', budget)
  expect(plan).toMatchObject({ room: 4, planned: 0, ideas: 3 })
  expect(plan.films.map(({ phrase }) => phrase)).toEqual(['rusty chain', 'chain wax', 'wash a chain'])
  expect(plan.films.map(({ at }) => at - clock())).toEqual([7 * DAY, 14 * DAY, 21 * DAY])
  expect(plan.until).toBe(clock() + (21 + 90) * DAY)
  // 5,000 subscribers of 60,000 views, and each as the model says for an average month, until the plan ends.
  expect(plan.perThousand).toBeCloseTo(83.33, 1)
  const [first] = plan.films
  const open = (await openPhrasesOf(stores, home, 'GB')).phrases.find(({ phrase }) => phrase === 'rusty chain')!
  expect(first!.views).toBeCloseTo((open.views / 30) * (14 + 90))
  expect(first).toMatchObject({ chance: open.chance, chanceToday: open.chance, season: 1, peaks: null })
  expect(plan.films[2]!.subscribers).toBeGreaterThan(5000)
  expect(plan.films[2]!.chance).toBeGreaterThanOrEqual(plan.films[2]!.chanceToday)
  // A release that is planned takes its time; one that is out does not.
  briefs.create({ topic: 'Planned', releaseAt: clock() + 3 * DAY }, home)
  const after = await filmingPlanOf(stores, home, 'GB', budget)
  expect(after).toMatchObject({ room: 4, planned: 1 })
  expect(after.films[0]!.at - clock()).toBe(14 * DAY)
  expect(await filmingPlanOf(stores, home, 'GB', { ...budget, weeks: 1 })).toMatchObject({ films: [], until: null })
})
