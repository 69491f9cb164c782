import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { handOverSteps } from '../../../../core/release/handOver'
import { DAY } from '../../../../core/time'
import { accountStore } from '../../../../server/data/accountChannels'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { outletVisits } from '../../../../server/data/outletVisits'
import { pictureStore } from '../../../../server/data/pictures'
import { publicationStore } from '../../../../server/data/publications'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { readinessFrom } from '../../../../server/release/readiness'
import { stagesOf } from '../../../../server/release/stages'
import { ANSWERED } from '../../../setup/sheet'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
function stores() {
  const db = freshData(folder)
  const given = {
    db,
    accounts: accountStore(db),
    briefs: briefStore(db, clock),
    workspaces: workspaceStore(db, videoStore(db), clock),
    workspaceItems: workspaceItemStore(db, clock),
    briefItems: briefItemStore(db, clock),
    pictures: pictureStore(join(folder, 'pictures')),
    publications: publicationStore(db, clock),
    now: clock,
  }
  given.briefs.create({})
  return given
}
const WRITTEN = {
  tray: { lead: 'chain', support: [], setAside: [] },
  title: 'Chain',
  description: 'A chain.',
  tags: ['chain'],
  sheet: { ...ANSWERED, recordedOn: '2026-03-14' },
}
/** Points that only a person with a video can see to. */
const OFF = ['file', 'captions', 'thumbnail', 'cards', 'endScreen', 'playlist', 'chapters', 'automaticCaptions']

function stageOf(given: ReturnType<typeof stores>, id: string) {
  return stagesOf(given, given.briefs.list().listed).get(id)
}

test('the list tells the stage as the sheet would, with what only the whole brief says', () => {
  const given = stores()
  const home = given.workspaces.list()[0]!.id
  given.workspaces.putSettings(home, { checklist: { own: [], off: OFF, order: [] } })
  const make = (fields: object) => given.briefs.create(fields, undefined, { workspace: home }).id
  expect(stageOf(given, make({}))).toBe('collecting')
  expect(stageOf(given, make({ tray: WRITTEN.tray }))).toBe('settled')
  expect(stageOf(given, make({ ...WRITTEN, releaseAt: null }))).toBe('written')
  const ready = make({ ...WRITTEN, releaseAt: clock() + DAY })
  expect(stageOf(given, ready)).toBe('ready')
  // The hour goes by.
  clock.pass(2 * DAY)
  expect(stageOf(given, ready)).toBe('written')
  // Captions are not in the list, and decide all the same: left to be removed or kept.
  given.workspaces.putSettings(home, {
    checklist: { own: [], off: OFF.filter(each => each !== 'automaticCaptions'), order: [] },
  })
  const captions = '1\n00:00:00,000 --> 00:00:01,000\nHi.\n'
  const sheet = { ...WRITTEN.sheet, automaticCaptions: null }
  expect(stageOf(given, make({ ...WRITTEN, sheet, captions, releaseAt: 'now' }))).toBe('written')
  expect(stageOf(given, make({ ...WRITTEN, sheet, releaseAt: 'now' }))).toBe('ready')
})

test('handed over whole, and published', () => {
  const given = stores()
  const home = given.workspaces.list()[0]!.id
  const brief = given.briefs.create({ ...WRITTEN, captions: 'Hi.' }, undefined, { workspace: home })
  const from = readinessFrom(given, brief, null)
  const handed = Object.fromEntries(
    handOverSteps(brief.fields, from).map(({ id, digest }) => [id, { at: clock(), digest }]),
  )
  const hand = (value: object, revision: number) =>
    given.briefs.patch(brief.id, uuid(), { handed: { revision, value } })
  const { title: _, ...without } = handed
  hand(without, 0)
  expect(stageOf(given, brief.id)).toBe('written')
  hand(handed, 1)
  expect(stageOf(given, brief.id)).toBe('handed over')
  const id = uuid()
  given.publications.begin({ id, briefId: brief.id, channel: 'c', file: 'a.mp4', bytes: 1, seconds: 1 })
  expect(stageOf(given, brief.id)).toBe('handed over')
  given.publications.end(id, { state: 'out', video: 'v' })
  expect(stageOf(given, brief.id)).toBe('out')
})

test('what each outlet was told, and what it brought, over all briefs of the workspace', () => {
  const given = stores()
  const home = given.workspaces.list()[0]!.id
  const [page, group, elsewhere] = [uuid(), uuid(), uuid()]
  const step = (outlet: string | null, doneAt: number | null, brought: number | null) => ({
    what: 'Tell',
    post: null,
    outlet,
    minutes: 0,
    by: '',
    doneAt,
    brought,
  })
  const brief = (workspace: string) => given.briefs.create({}, undefined, { workspace }).id
  const add = (of: string, value: ReturnType<typeof step>) => {
    const id = uuid()
    given.briefItems.save(of, { id, kind: 'spreadStep', revision: 0, value })
    return id
  }
  const [one, two] = [brief(home), brief(home)]
  add(one, step(page, 5, 40))
  add(two, step(page, 6, null))
  add(two, step(page, null, null))
  add(one, step(group, 7, null))
  add(one, step(null, 8, 9))
  given.briefItems.remove(one, add(one, step(page, 9, 1000)))
  const other = given.workspaces.create({ name: 'Other', timeZone: 'UTC' })
  add(brief(other.id), step(elsewhere, 1, 1))
  expect(Object.fromEntries(outletVisits(given.db)(home))).toEqual({
    [page]: { told: 2, visits: 40 },
    // Nobody read it off: that is unknown, not none.
    [group]: { told: 1, visits: null },
  })
})
