import { join } from 'node:path'
import { readBriefFile } from '../../../../core/brief/briefFile'
import { EMPTY_SHEET } from '../../../../core/release/sheet'
import { readPackage } from '../../../../core/release/package'
import { accountStore } from '../../../../server/data/accountChannels'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { pictureStore } from '../../../../server/data/pictures'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { briefPackage } from '../../../../server/release/package'
import { takeBrief } from '../../../../server/release/takeBrief'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
function stores() {
  const db = freshData(folder)
  const briefItems = briefItemStore(db)
  return {
    db,
    accounts: accountStore(db),
    briefItems,
    briefs: briefStore(db, clock, briefItems),
    workspaces: workspaceStore(db, videoStore(db), clock),
    workspaceItems: workspaceItemStore(db, clock),
    pictures: pictureStore(join(folder, 'pictures')),
  }
}
const LOCALISED = {
  language: 'de',
  region: 'DE',
  title: 'Kette',
  description: '',
  tags: [],
  phrases: [{ text: 'kette', from: null, counts: true }],
}

test('a package imports into an empty store as the same brief; a second time it is refused', async () => {
  const from = stores()
  const made = from.briefs.create({
    topic: 'Chains',
    title: 'Clean a chain',
    tags: ['chain'],
    sheet: { ...EMPTY_SHEET, comments: 'open' },
    releaseAt: clock(),
    ticked: { a: 1 },
  })
  from.briefItems.save(made.id, {
    id: '0190a000-0000-7000-8000-00000000beef',
    kind: 'localised',
    revision: 0,
    value: LOCALISED,
  })
  from.briefItems.save(made.id, {
    id: '0190a000-0000-7000-8000-00000001beef',
    kind: 'post',
    revision: 0,
    value: { kind: 'answer', text: 'Oil it. {link}' },
  })
  const file = readBriefFile(readPackage(await briefPackage(from, from.briefs.get(made.id)!, clock())).brief)

  const to = stores()
  const home = { workspace: to.workspaces.list()[0]!.id }
  expect(takeBrief(to, file, home)).toEqual({ briefId: made.id })
  expect(to.briefs.get(made.id)!.fields).toEqual(made.fields)
  expect(to.briefItems.list(made.id, 'localised').map(({ value }) => value)).toEqual([LOCALISED])
  expect(to.briefItems.list(made.id, 'post').map(({ value }) => value)).toEqual([
    { kind: 'answer', text: 'Oil it. {link}' },
  ])
  expect(() => takeBrief(to, file, home)).toThrow(/is here already/u)
  to.briefs.remove(made.id)
  expect(() => takeBrief(to, file, home)).toThrow(/was deleted here/u)
})

test('a brief whose texts in other languages cannot be kept is not taken at all', () => {
  const to = stores()
  const home = { workspace: to.workspaces.list()[0]!.id }
  const file = {
    id: '0190a000-0000-7000-8000-00000000cafe',
    createdAt: 1,
    exportedAt: 2,
    fields: { topic: 'Chains' },
    localised: [{ ...LOCALISED, language: 'not a language at all' }],
    posts: [],
  }
  expect(() => takeBrief(to, file, home)).toThrow()
  expect(to.briefs.get(file.id)).toBeNull()
})
