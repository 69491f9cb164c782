import { rankDay } from '../../../../core/ranks/standing'
import { DAY } from '../../../../core/time'
import { phraseStore } from '../../../../server/data/phrases'
import { rankStore } from '../../../../server/data/ranks'
import { resultStore } from '../../../../server/data/results'
import { MOST_WATCHES, watchStore } from '../../../../server/data/watches'
import { Jobs } from '../../../../server/jobs/jobs'
import { RankWatch, type WatchDeps } from '../../../../server/ranks/rankWatch'
import { readHere } from '../../../../server/rivals/pageReader'
import { serviceError, type Services } from '../../../../server/services/contract'
import type { Workspace } from '../../../../shared/workspace'
import { siteVideo } from '../pages'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const HOME = 'w1'
const PAGE = [siteVideo('a'), siteVideo('m1', 'mine'), siteVideo('b'), siteVideo('m2', 'mine')]

function setUp() {
  const clock = standingClock()
  const db = freshData(folder)
  const workspace = db.prepare('INSERT INTO workspace (id, name, time_zone, created_at) VALUES (?, ?, ?, 0)')
  for (const id of [HOME, 'w2']) workspace.run(id, id, 'UTC')
  const asked: string[] = []
  const site = { answers: true, complete: true, none: false, wait: () => Promise.resolve() }
  const services = {
    isNone: () => site.none,
    site: {
      search: async (phrase: string, region: string | null) => {
        asked.push(`${phrase} ${region ?? ''}`)
        await site.wait()
        if (!site.answers) throw serviceError('NoService', 'The site does not answer.')
        return {
          source: 'site',
          at: clock(),
          complete: site.complete,
          data: { titleMatches: 5, videos: site.complete ? PAGE : PAGE.slice(0, 1) },
        }
      },
    },
    web: { videoBlock: () => Promise.resolve({ source: 'web', at: clock(), complete: true, data: true }) },
  } as unknown as Services & { isNone: () => boolean }
  const ranks = rankStore(db)
  const phrases = phraseStore(db, clock)
  const jobs = new Jobs(db)
  const deps: WatchDeps = {
    phrases,
    ranks,
    jobs,
    services,
    results: resultStore(db),
    reader: readHere,
    watches: watchStore(db, ranks, clock),
    workspaces: { get: id => ({ id, channelId: 'mine' }) as Workspace },
    now: clock,
  }
  const made = () =>
    new RankWatch(
      () => deps,
      () => undefined,
      [1, 1],
    )
  const add = (video: string, texts: string[], regions: string[], every = 1, workspaceId = HOME) =>
    deps.watches.add(
      workspaceId,
      regions.flatMap(region =>
        phrases.phraseIds(texts, 'en').map(phraseId => ({ video, page: { phraseId, region, kind: 'site' as const } })),
      ),
      every,
    )
  const ended = async (id: string) => {
    while (jobs.get(id)!.state === 'running') await new Promise(resolve => setImmediate(resolve))
    return jobs.get(id)!
  }
  const run = async (watch: RankWatch, byHand = false) => {
    const job = watch.check(byHand)
    return job && (await ended(job.id))
  }
  return { db, deps, clock, asked, site, add, run, ended, jobs, watch: made(), made }
}

test('each page is looked up once a day for all videos on it, also after a new start', async () => {
  const { deps, clock, asked, add, run, watch, made } = setUp()
  add('m1', ['bike chain', 'bike bell'], ['GB', ''])
  add('m2', ['bike chain'], ['GB'])
  expect(deps.watches.cost(HOME)).toEqual({ pages: 4, aMonth: 120 })
  expect(await run(watch)).toMatchObject({ state: 'done', done: 4, total: 4 })
  expect(asked.sort()).toEqual(['bike bell ', 'bike bell GB', 'bike chain ', 'bike chain GB'])
  expect(await run(watch)).toBeNull()
  expect(await run(made())).toBeNull()
  expect(deps.ranks.of({ video: 'm2', phrase: 'bike chain', region: 'GB' })[0]!.days).toEqual([
    { day: rankDay(clock()), rank: 4, depth: expect.any(Number) as number },
  ])
  clock.pass(DAY)
  expect(await run(watch)).toMatchObject({ total: 4 })
})

test('as often as was said, and no more once it is not watched; what is known stays', async () => {
  const { deps, clock, asked, add, run, watch } = setUp()
  add('m1', ['bike chain'], ['GB'], 3)
  for (let day = 0; day < 7; day++, clock.pass(DAY)) await run(watch)
  const days = () => deps.ranks.of({ video: 'm1' })[0]!.days.map(({ day }) => day)
  const first = days()[0]!
  expect(days()).toEqual([first, first + 3, first + 6])
  // Said again it is another rhythm, not a second watch.
  add('m1', ['bike chain'], ['GB'], 1)
  const [kept, ...more] = deps.watches.ofVideo(HOME, 'm1')
  expect([kept!.every, more]).toEqual([1, []])
  expect(deps.watches.remove('w2', [kept!.id])).toBe(0)
  expect(deps.watches.remove(HOME, [kept!.id])).toBe(1)
  clock.pass(9 * DAY)
  expect(await run(watch)).toBeNull()
  expect(asked).toHaveLength(3)
  expect(days()).toHaveLength(3)
})

test('a page that two workspaces watch is due for the one that looks more often', async () => {
  const { deps, clock, add, run, watch } = setUp()
  add('m1', ['bike chain'], ['GB'], 7)
  add('m1', ['bike chain'], ['GB'], 1, 'w2')
  await run(watch)
  clock.pass(DAY)
  expect(await run(watch)).toMatchObject({ total: 1 })
  deps.workspaces.get(HOME)
  expect([deps.watches.cost(HOME).aMonth, deps.watches.cost('w2').aMonth]).toEqual([4, 30])
})

test('work that was cut off goes on under its own name with what is left', async () => {
  const { deps, asked, site, add, ended, jobs, watch, made, db } = setUp()
  add(
    'm1',
    Array.from({ length: 10 }, (_, i) => `chain ${i}`),
    ['GB'],
  )
  let go!: () => void
  const held = new Promise<void>(resolve => {
    go = resolve
  })
  // The first four are asked for at once; the next four wait when the program ends.
  site.wait = () => (asked.length > 4 ? held : Promise.resolve())
  const { id } = watch.check()!
  while (asked.length < 5) await new Promise(resolve => setImmediate(resolve))
  jobs.close()
  go()
  expect((await ended(id)).state).toBe('interrupted')
  const again = new Jobs(db)
  expect(new RankWatch(() => ({ ...deps, jobs: again })).check()).toMatchObject({ id, total: 2 })
  while (again.get(id)!.state === 'running') await new Promise(resolve => setImmediate(resolve))
  expect([...new Set(asked)].sort()).toEqual(asked.sort())
  for (const { days } of deps.ranks.of({ video: 'm1' })) expect(days).toHaveLength(1)
  expect(deps.ranks.of({ video: 'm1' })).toHaveLength(10)
  expect(made().check()).toBeNull()
})

test('what is watched while it works is looked up right after', async () => {
  const { asked, add, deps, watch } = setUp()
  add('m1', ['a chain'], ['GB'])
  watch.begin(0)
  while (!asked.length) await new Promise(resolve => setTimeout(resolve, 5))
  add('m1', ['b chain'], ['GB'])
  while (deps.watches.some(HOME, 100, 0).some(({ last }) => last === null))
    await new Promise(resolve => setTimeout(resolve, 20))
  watch.close()
  expect(asked.sort()).toEqual(['a chain GB', 'b chain GB'])
})

test('what a person stops goes on the next day, or when a person wants it', async () => {
  const { clock, add, ended, run, jobs, watch } = setUp()
  add('m1', ['a chain', 'b chain', 'c chain', 'd chain', 'e chain', 'f chain'], ['GB'])
  const { id } = watch.check()!
  jobs.stop(id)
  expect((await ended(id)).state).toBe('stopped')
  expect(watch.check()).toBeNull()
  clock.pass(DAY)
  expect(await run(watch)).toMatchObject({ state: 'done', total: 6 })
  clock.pass(DAY)
  jobs.stop(watch.check()!.id)
  await new Promise(resolve => setTimeout(resolve, 20))
  expect(await run(watch, true)).toMatchObject({ state: 'done' })
})

test('while no service answers it waits longer and longer, gives up, and says so', async () => {
  const { asked, site, add, run, watch, deps } = setUp()
  const failed = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  add('m1', ['bike chain'], ['GB'])
  site.answers = false
  expect(await run(watch, true)).toMatchObject({ state: 'done', done: 1 })
  // A few pages fail before anything is given up: they are put off all the same.
  expect(watch.check()).toBeNull()
  add(
    'm1',
    Array.from({ length: 20 }, (_, i) => `chain ${i}`),
    ['GB'],
  )
  expect(await run(watch, true)).toMatchObject({
    state: 'failed',
    problem: 'The site does not answer. 13 pages could not be read; they are tried again in 60 minutes.',
  })
  expect(failed).toHaveBeenCalledTimes(1)
  // Put off for everybody but a person who wants it now.
  expect(watch.check()).toBeNull()
  site.answers = true
  expect(await run(watch, true)).toMatchObject({ state: 'done', done: 21 })
  expect(deps.watches.some(HOME, 100, 0).every(({ last }) => last !== null)).toBe(true)
  failed.mockRestore()
  site.none = true
  asked.length = 0
  expect(watch.check(true)).toBeNull()
})

test('a page that tells of one video and not of another is not asked for without end', async () => {
  const { asked, site, add, run, watch } = setUp()
  add('a', ['bike chain'], ['GB'])
  add('m1', ['bike chain'], ['GB'])
  site.complete = false
  for (let time = 0; time < 5; time++) await run(watch, true)
  expect(asked).toHaveLength(3)
})

test('what ends by an error is put off as well', async () => {
  const { add, run, watch, deps } = setUp()
  const told = jest.spyOn(console, 'error').mockImplementation(() => undefined)
  add('m1', ['bike chain'], ['GB'])
  const save = jest.spyOn(deps.ranks, 'save').mockImplementation(() => {
    throw Object.assign(new Error('disk full'), { code: 'SQLITE_FULL' })
  })
  expect(await run(watch)).toMatchObject({ state: 'failed', problem: 'disk full' })
  expect(watch.check()).toBeNull()
  save.mockRestore()
  expect(await run(watch, true)).toMatchObject({ state: 'done' })
  told.mockRestore()
})

test('what a person wants while it works is looked up right after, although the rest is put off', async () => {
  const { asked, site, add, deps, watch } = setUp()
  site.answers = false
  add('m1', ['a chain'], ['GB'])
  watch.begin(0)
  while (!asked.length) await new Promise(resolve => setTimeout(resolve, 1))
  site.answers = true
  add('m1', ['b chain'], ['GB'])
  watch.check(true)
  while (deps.watches.some(HOME, 100, 0).some(({ last }) => last === null))
    await new Promise(resolve => setTimeout(resolve, 20))
  watch.close()
  expect(new Set(asked)).toEqual(new Set(['a chain GB', 'b chain GB']))
})

test('a page that comes by halves is asked for three times a day, and tells nothing of what is not on it', async () => {
  const { clock, asked, site, add, run, watch, deps } = setUp()
  add('m1', ['bike chain'], ['GB'])
  site.complete = false
  for (let time = 0; time < 5; time++) await run(watch, true)
  expect(asked).toHaveLength(3)
  expect(deps.ranks.of({ video: 'm1' })[0]!.days).toEqual([])
  clock.pass(DAY)
  site.complete = true
  await run(watch, true)
  expect(deps.ranks.of({ video: 'm1' })[0]!.days).toHaveLength(1)
})

test('too many are refused as a whole', () => {
  const { deps, db } = setUp()
  db.prepare('INSERT INTO phrase (id, language, text, words) VALUES (1, ?, ?, 1)').run('en', 'chain')
  const wanted = (count: number, from: number) =>
    Array.from({ length: count }, (_, i) => ({
      video: `v${from + i}`,
      page: { phraseId: 1, region: '', kind: 'site' as const },
    }))
  expect(deps.watches.add(HOME, wanted(MOST_WATCHES, 0), 1)).toBe(true)
  expect(deps.watches.add(HOME, wanted(1, MOST_WATCHES), 1)).toBe(false)
  // One that is there can still be watched more seldom.
  expect(deps.watches.add(HOME, wanted(1, 0), 7)).toBe(true)
  expect(deps.watches.count(HOME)).toBe(MOST_WATCHES)
})
