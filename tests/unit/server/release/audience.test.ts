import { accountStore } from '../../../../server/data/accountChannels'
import { askedStore } from '../../../../server/data/asked'
import { audienceStore } from '../../../../server/data/audiences'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { audienceAnswer, lookAtAudience } from '../../../../server/release/audience'
import { serviceError, type Services, type SiteAudience } from '../../../../server/services/contract'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()

const clock = standingClock()
const WEEK = Array.from({ length: 168 }, (_, hour) => (hour === 0 ? 0.5 : 0.5 / 167))

function setUp(tells: () => SiteAudience | null, complete = true) {
  const db = freshData(folder)
  const workspaces = workspaceStore(db, videoStore(db), clock)
  const workspace = workspaces.create({ name: 'Shed', timeZone: 'Europe/Berlin', channelId: 'ch-own' })
  let asked = 0
  const site = {
    audience: () => {
      asked++
      try {
        return Promise.resolve({ source: 'the site', at: clock(), complete, data: tells() })
      } catch (error) {
        return Promise.reject(error as Error)
      }
    },
  } as unknown as Services['site']
  const deps = {
    audiences: audienceStore(db),
    accounts: accountStore(db),
    asked: askedStore(db, clock),
    services: { site },
    now: clock,
  }
  return { deps, workspace, asked: () => asked }
}

test('the site tells it once a week, and it is shown by the channel’s clock', async () => {
  const { deps, workspace, asked } = setUp(() => ({ hours: WEEK }))
  const found = await lookAtAudience(deps, workspace)
  // Monday 0:00 UTC is 1:00 or 2:00 in Berlin.
  expect([1, 2]).toContain(found.hours!.indexOf(0.5))
  expect(found.best[0]!.times).toBeGreaterThan(20)
  expect(found).toMatchObject({ source: 'the site', timeZone: 'Europe/Berlin', readIn: false, problem: null })
  await lookAtAudience(deps, workspace)
  expect(asked()).toBe(1)
  clock.pass(8 * 86_400_000)
  await lookAtAudience(deps, workspace)
  expect(asked()).toBe(2)
  await lookAtAudience(deps, workspace, true)
  expect(asked()).toBe(3)
})

test('what is not told is not known, and a fault keeps what is there', async () => {
  const { deps, workspace } = setUp(() => null)
  expect(await lookAtAudience(deps, workspace)).toMatchObject({
    hours: null,
    best: [],
    problem: 'The site has no viewing hours for this channel.',
  })
  const half = setUp(() => ({ hours: WEEK }), false)
  expect(await lookAtAudience(half.deps, half.workspace)).toMatchObject({ hours: null, problem: /part/u })
  let fails = false
  const later = setUp(() => {
    if (fails) throw serviceError('NotAsked', 'The service cannot be reached.')
    return { hours: WEEK }
  })
  await lookAtAudience(later.deps, later.workspace)
  fails = true
  const found = await lookAtAudience(later.deps, later.workspace, true)
  expect(found.hours).not.toBeNull()
  expect(found.problem).toBe('The service cannot be reached.')
})

test('where no service may be asked, none is', async () => {
  const { deps, workspace, asked } = setUp(() => ({ hours: WEEK }))
  expect(await lookAtAudience({ ...deps, mayAsk: false }, workspace)).toMatchObject({ hours: null, problem: null })
  expect(asked()).toBe(0)
})

test('a table that was read in goes before what the site tells, until it is taken back', async () => {
  const { deps, workspace } = setUp(() => ({ hours: WEEK }))
  await lookAtAudience(deps, workspace)
  const hours = WEEK.map((_, hour) => (hour === 40 ? 90 : 1))
  deps.audiences.saveReadIn(workspace.id, { hours, zone: 'Europe/Berlin', source: 'A table', at: clock() })
  expect(audienceAnswer(deps, workspace)).toMatchObject({ hours, source: 'A table', readIn: true })
  // The same hours of the day by another clock, after the workspace moved.
  const moved = audienceAnswer(deps, { ...workspace, timeZone: 'UTC' })
  expect([38, 39]).toContain(moved.hours!.indexOf(90))
  expect(deps.audiences.forgetReadIn(workspace.id)).toBe(true)
  expect(audienceAnswer(deps, workspace)).toMatchObject({ source: 'the site', readIn: false })
  deps.audiences.forgetTold()
  expect(audienceAnswer(deps, workspace).hours).toBeNull()
})
