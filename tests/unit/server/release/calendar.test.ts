import { v7 as uuid } from 'uuid'
import { MINUTE } from '../../../../core/time'
import { briefReleaseStore } from '../../../../server/data/briefReleases'
import { briefStore } from '../../../../server/data/briefs'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { releaseCalendar } from '../../../../server/release/calendar'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const AT = Date.UTC(2031, 6, 1, 17)
const inWords = (at: number) => new Date(at).toISOString().slice(0, 16)

function planned() {
  const db = freshData(folder)
  const briefs = briefStore(db, clock)
  const workspaces = workspaceStore(db, videoStore(db), clock)
  const home = { workspace: workspaces.list()[0]!.id }
  const tray = { lead: 'clean a chain', support: [], setAside: [] }
  const second = briefs.create({ topic: 'Second', releaseAt: AT + MINUTE }, uuid(), home)
  const first = briefs.create({ title: 'Chains; oil, wax', tray, seconds: 301, releaseAt: AT }, uuid(), home)
  briefs.create({ topic: 'No hour', releaseAt: null }, uuid(), home)
  briefs.create({ topic: 'At once', releaseAt: 'now' }, uuid(), home)
  briefs.remove(briefs.create({ topic: 'Deleted', releaseAt: AT }, uuid(), home).id)
  briefs.create({ topic: 'Elsewhere', releaseAt: AT }, uuid(), { workspace: workspaces.create({ name: 'Client' }).id })
  return { releases: briefReleaseStore(db).planned(home.workspace), first: first.id, second: second.id }
}

test('briefs that have an hour, by that hour; those without, deleted, or of another workspace are left out', () => {
  const { releases, first, second } = planned()
  expect(releases.map(({ id, releaseAt }) => [id, releaseAt])).toEqual([
    [first, AT],
    [second, AT + MINUTE],
  ])
  expect(releases[0]).toMatchObject({ title: 'Chains; oil, wax', seconds: 301, tray: { lead: 'clean a chain' } })
})

test('a calendar tells when, how long and by when it has to be uploaded, under the id of the brief', () => {
  const { releases, first } = planned()
  const lines = releaseCalendar(releases, 'Wheel Shed', inWords).replaceAll('\r\n\t', '').split('\r\n')
  expect(lines.filter(line => line === 'BEGIN:VEVENT')).toHaveLength(2)
  for (const line of [
    `UID:${first}@fonetra`,
    'SUMMARY:Chains\\; oil\\, wax',
    'DTSTART:20310701T170000Z',
    'DURATION:PT6M',
    'DURATION:PT15M',
    'X-WR-CALNAME:Releases of Wheel Shed',
  ])
    expect(lines).toContain(line)
  // Ten minutes and the length, in whole minutes.
  expect(lines.join('\n')).toContain('Lead: clean a chain\\nHave it uploaded by 2031-07-01T16:44.')
})

test('without releases it is an empty calendar', () => {
  expect(releaseCalendar([], 'Wheel Shed', inWords)).toMatch(/^BEGIN:VCALENDAR\r\n[^]*END:VCALENDAR\r\n$/u)
})
