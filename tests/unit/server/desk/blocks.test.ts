import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { videoStore } from '../../../../server/data/videos'
import { workspaceItemStore } from '../../../../server/data/workspaceItems'
import { workspaceStore } from '../../../../server/data/workspaces'
import { follow, usesOf } from '../../../../server/desk/blocks'
import { draftContext } from '../../../../server/desk/draftContext'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const ID = '0190a000-0000-7000-8000-00000000000'
const NOBODY = { client: null, writer: null }

function stores() {
  const db = freshData(folder)
  const now = standingClock()
  const briefItems = briefItemStore(db, now)
  const deps = {
    db,
    now,
    briefItems,
    briefs: briefStore(db, now, briefItems),
    phrases: phraseStore(db, now),
    results: resultStore(db),
    workspaces: workspaceStore(db, videoStore(db), now),
    workspaceItems: workspaceItemStore(db, now),
  }
  const workspace = deps.workspaces.get()!.id
  return { ...deps, workspace }
}
const block = (text: string, standing = false) => ({ name: 'Links', text, standing })

test('a changed block is followed where it stands live and unedited, and found wherever it stands', () => {
  const deps = stores()
  const { briefs, briefItems, workspaces, workspace, now } = deps
  workspaces.putSettings(workspace, { texts: { variables: { shop: 'wheelshed.example' } } })
  const old = block('{title} at {shop}')
  const make = (topic: string, description: string) =>
    briefs.create({ topic, title: topic, description }, undefined, { workspace, writer: null }).id
  const live = make('Live', 'Intro\n\nLive at wheelshed.example\n\nMore')
  const edited = make('Edited', 'Edited at the shop')
  const plain = make('Plain', 'Plain at wheelshed.example')
  make('Other', 'Nothing of it')
  for (const [n, id] of [live, edited].entries())
    briefItems.save(id, {
      id: `${ID}${n}`,
      kind: 'placed',
      revision: 0,
      value: { block: `${ID}9`, text: `${n ? 'Edited' : 'Live'} at wheelshed.example` },
    })
  expect(
    usesOf(deps, workspace, `${ID}9`, old)
      .map(({ topic, live, edited }) => [topic, live, edited])
      .sort(),
  ).toEqual([
    ['Edited', true, true],
    ['Live', true, false],
    ['Plain', false, false],
  ])

  now.pass(3_600_000)
  const next = block('Visit {shop} in {year}')
  expect([live, edited, plain, 'nobody'].map(id => follow(deps, `${ID}9`, old, next, id, NOBODY))).toEqual([
    true,
    false,
    false,
    false,
  ])
  expect(briefs.get(live)!.fields.description).toBe('Intro\n\nVisit wheelshed.example in 2026\n\nMore')
  expect(briefs.get(edited)!.fields.description).toBe('Edited at the shop')
  // What was before is in the history, and the next change finds the new text.
  expect(briefs.history(live, 'description').length).toBeGreaterThan(1)
  expect(follow(deps, `${ID}9`, next, old, live, NOBODY)).toBe(true)
  expect(briefs.get(live)!.fields.description).toBe('Intro\n\nLive at wheelshed.example\n\nMore')
})

test('blocks are saved against their revision; a deleted one comes back with its id', () => {
  const { workspaceItems, workspace, workspaces } = stores()
  const item = (text: string, revision = 0) => ({ id: `${ID}1`, kind: 'block' as const, revision, value: block(text) })
  expect(workspaceItems.save(workspace, item('One'))).toMatchObject({ kind: 'saved', item: { revision: 1 } })
  expect(workspaceItems.save(workspace, item('Two', 0))).toMatchObject({ kind: 'stale' })
  expect(workspaceItems.save(workspace, item('Two', 1))).toMatchObject({ kind: 'saved', item: { revision: 2 } })
  expect(workspaceItems.get(`${ID}1`, 'tagList')).toBeNull()
  const other = workspaces.create({ name: 'Client' }).id
  expect(workspaceItems.save(other, item('Two', 2))).toEqual({ kind: 'other-item' })
  expect(workspaceItems.remove(workspace, `${ID}1`)).toBe(true)
  expect(workspaceItems.get(`${ID}1`, 'block')).toBeNull()
  const back = workspaceItems.get(`${ID}1`, 'block', true)!.item.revision
  expect(workspaceItems.save(workspace, item('Two', back))).toMatchObject({ kind: 'saved' })
  expect(workspaceItems.list(workspace, 'block').map(each => each.value.text)).toEqual(['Two'])
})

test('what is known around a draft: searches, the standing blocks filled in, no page where none is kept', () => {
  const deps = stores()
  const { briefs, briefItems, phrases, workspaceItems, workspace } = deps
  phrases.save(
    [{ phrase: 'bike chain', region: 'GB', volume: 90 }],
    'en',
    { name: 'list.csv', kind: 'import' },
    Date.UTC(2026, 4, 1),
  )
  workspaceItems.save(workspace, {
    id: `${ID}1`,
    kind: 'block',
    revision: 0,
    value: block('On {lead} in {town}', true),
  })
  workspaceItems.save(workspace, { id: `${ID}2`, kind: 'block', revision: 0, value: block('Not this') })
  const question = { title: 'T', tags: ['Bike  Chain', 'unknown', ''], region: 'GB', language: 'en', workspace }
  expect(draftContext(deps, { ...question, lead: 'bike chain', town: 'Marrowby' })).toEqual({
    page: [],
    searches: { 'bike chain': 90 },
    ownName: '',
    standing: ['On bike chain in Marrowby'],
    playlist: null,
    placed: [null],
  })
  const { id } = briefs.create({ topic: 'A' }, undefined, { workspace, writer: null })
  briefItems.save(id, {
    id: `${ID}3`,
    kind: 'placed',
    revision: 0,
    value: { block: `${ID}1`, text: 'On oil in Marrowby' },
  })
  expect(draftContext(deps, { ...question, lead: 'bike chain', brief: id }).placed).toEqual(['On oil in Marrowby'])
  expect(draftContext(deps, { ...question, lead: ' ' }).standing).toEqual(['On […] in […]'])
})
