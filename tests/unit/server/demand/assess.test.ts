import { assess, keptPage, PAGE_AGE_MS } from '../../../../server/demand/assess'
import { fetchMissingVolumes, lookUp } from '../../../../server/demand/lookUp'
import { answerDetail } from '../../../../server/demand/sheet'
import { serviceError } from '../../../../server/services/contract'

import { siteVideo } from '../pages'
import { all, answer, anyone, ask, clock, deps, pageOf, services, standin } from './standin'

describe('assessing', () => {
  test('gives each phrase the difficulty that its own result page answers with', async () => {
    const given = deps()
    const look = await lookUp(given, 'bike chain', 'GB', 'en')
    const names = answer(given, ask({ limit: 15 }), look).rows.map(row => row.phrase)
    const assessed = await all(assess(given, names, 'GB', 'en'))
    expect(assessed.map(row => row.phrase)).toEqual(names)
    for (const row of assessed) {
      const { page, seats } = await pageOf(given, row.phrase)
      expect(page.difficulty).toBe(row.difficulty)
      expect(page.title_matches).toBe(row.competition)
      // By hand: the mean of the strengths weighted by 1 / log2(rank + 1), over twenty seats.
      const weights = Array.from({ length: 20 }, (_, i) => 1 / Math.log2(i + 2))
      const mean =
        weights.reduce((sum, weight, i) => sum + weight * (seats[i]?.strength ?? 0), 0) /
        weights.reduce((sum, weight) => sum + weight, 0)
      expect(page.difficulty).toBeCloseTo(100 * mean, 6)
    }
    // Assessing asked; looking at the pages afterwards did not.
    expect(given.services.asked.search).toBe(names.length)
    const detail = answerDetail(given.phrases, given.results, names[0]!, 'GB', 'en', anyone)!
    expect(detail.worth.anyone).toBeCloseTo(assessed[0]!.worth.anyone!)
    expect(detail.figures.map(each => each.region)).toEqual(['GB', null])
  })

  test('equal requests at one time ask for a page once, and keep it once', async () => {
    const given = deps()
    await Promise.all([
      pageOf(given, 'bike chain'),
      pageOf(given, 'bike chain'),
      all(assess(given, ['bike chain'], 'GB', 'en')),
      pageOf(given, 'bike chain'),
    ])
    expect(given.services.asked.search).toBe(1)
    expect(given.results.past(given.phrases.phraseId('bike chain', 'en'), 'GB')).toHaveLength(1)
  })

  test('an old page is asked for anew, a deeper one too', async () => {
    const given = deps()
    await pageOf(given, 'bike chain')
    const deep = await pageOf(given, 'bike chain', 60)
    expect(deep.seats.length).toBeGreaterThan(20)
    expect(given.services.asked.search).toBe(2)
    // Page one is a page of twenty seats whatever depth was read.
    expect((await pageOf(given, 'bike chain')).seats).toHaveLength(20)
    expect(given.services.asked.search).toBe(2)
    // A page is as old as the service says, which reads the machine's own clock.
    clock.pass(PAGE_AGE_MS + 60_000)
    await pageOf(given, 'bike chain')
    expect(given.services.asked.search).toBe(3)
  })

  test('a page that a person imported stays at any age and depth, until one looks again', async () => {
    const given = deps()
    const phraseId = given.phrases.phraseId('bike chain', 'en')
    const { page: told, seats } = await pageOf(given, 'bike chain')
    const page = {
      phraseId,
      region: 'GB',
      kind: 'site' as const,
      source: 'mine.csv',
      at: told.at + 1,
      depth: 20,
      complete: true,
      more: true,
      titleMatches: null,
      videoBlock: null,
      intent: null,
      imported: true,
      seats: seats.map(({ code, title, strength }) => ({
        video: siteVideo(code, 'c', { title }),
        strength: { strength: strength / 2, targeting: strength / 2, reach: null, pull: null },
      })),
    }
    given.results.save([page])
    const asked = given.services.asked.search
    clock.pass(PAGE_AGE_MS + 1)
    expect((await pageOf(given, 'bike chain', 60)).page).toMatchObject({ source: 'mine.csv', imported: 1 })
    expect((await all(assess(given, ['bike chain'], 'GB', 'en')))[0]!.difficulty).toBeCloseTo(told.difficulty! / 2, 6)
    expect(given.services.asked.search).toBe(asked)
    const again = await keptPage(given, 'bike chain', 'GB', 'en', 20, 'site', true)
    expect(again.page).toMatchObject({ imported: 0, difficulty: expect.closeTo(told.difficulty!, 4) })
  })

  test('a page that was made up is asked for again once a live service is there', async () => {
    const given = deps()
    await pageOf(given, 'bike chain')
    const live = { ...given, services: { ...given.services, superseded: (source: string) => source === 'video site' } }
    await pageOf(live, 'bike chain')
    await all(assess(live, ['bike chain'], 'GB', 'en'))
    expect(given.services.asked.search).toBe(3)
  })

  test('who may not ask is answered from what is kept: nothing is asked, nothing written', async () => {
    const given = services()
    const open = deps(given)
    await pageOf(open, 'bike chain')
    const before = given.asked.search
    const closed = { ...open, now: Date.now, mayAsk: false }
    const changes = () => open.db.prepare('SELECT total_changes() AS n').get()
    const written = changes()
    expect(await keptPage(closed, 'bike chain', 'GB', 'en', 60)).toMatchObject({
      page: { depth: 20 },
      problem: expect.stringContaining('not contacted') as string,
    })
    await expect(keptPage(closed, 'bike bell', 'GB', 'en', 20)).rejects.toThrow('No saved results for “bike bell”')
    expect(await lookUp(closed, 'bike bell', 'GB', 'en')).toEqual({
      id: null,
      missing: [expect.stringContaining('not requested yet')],
    })
    expect(await fetchMissingVolumes(closed, ['bike bell'], 'GB', 'en')).toEqual([
      'figures for GB',
      'figures everywhere',
    ])
    const rows = await all(assess(closed, ['bike chain', 'bike bell'], 'GB', 'en'))
    expect(rows.map(row => row.problem)).toEqual([null, expect.stringContaining('not contacted')])
    expect(rows[0]!.difficulty).not.toBeNull()
    expect([given.asked.search, given.asked.related, changes()]).toEqual([before, 0, written])
  })

  test('half a page gives no difficulty and says so', async () => {
    const given = deps(
      services({ search: async (...args) => ({ ...(await standin.site.search(...args)), complete: false }) }),
    )
    const [row] = await all(assess(given, ['bike chain'], 'GB', 'en'))
    expect(row).toMatchObject({ complete: false, difficulty: null, worth: { anyone: null } })
    expect((await pageOf(given, 'bike chain')).page.difficulty).toBeNull()
  })

  test('a failing search is told in its row; the others are done', async () => {
    const given = deps(
      services({
        search: (...args) =>
          args[0] === 'bike bell'
            ? Promise.reject(serviceError('ServiceFailed', 'down'))
            : standin.site.search(...args),
      }),
    )
    const rows = await all(assess(given, ['bike chain', 'bike bell'], 'GB', 'en'))
    expect(rows[0]!.difficulty).not.toBeNull()
    expect(rows[1]).toMatchObject({ difficulty: null, problem: 'down' })
  })

  test('a stop keeps what was done', async () => {
    const given = deps()
    const look = await lookUp(given, 'bike chain', 'GB', 'en')
    const names = answer(given, ask({ limit: 60 }), look).rows.map(row => row.phrase)
    const stop = new AbortController()
    let done = 0
    for await (const row of assess(given, names, 'GB', 'en', stop.signal))
      if (row.difficulty !== null && ++done === 5) stop.abort()
    expect(done).toBeLessThan(30)
    expect(answer(given, ask(), look).rows.filter(row => row.difficulty !== null).length).toBeGreaterThanOrEqual(done)
  })
})
