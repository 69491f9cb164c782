import { listStore } from '../../../../server/data/lists'
import { phraseStore } from '../../../../server/data/phrases'
import { placeStore } from '../../../../server/data/places'
import { rivalSetStore } from '../../../../server/data/rivalSets'
import { STALE_MS } from '../../../../core/demand/stale'
import { sourceStore } from '../../../../server/data/sources'
import { videoStore } from '../../../../server/data/videos'
import { workspaceStore } from '../../../../server/data/workspaces'
import { briefStore } from '../../../../server/data/briefs'
import { forPlace } from '../../../../server/demand/series'
import { emptyFields } from '../../../../core/brief/brief'
import { freshData, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const DAY = 86_400_000
function setUp() {
  const db = freshData(folder)
  const phrases = phraseStore(db, clock)
  const videos = videoStore(db)
  return {
    db,
    phrases,
    videos,
    lists: listStore(db, phrases, clock),
    workspaces: workspaceStore(db, videos, clock),
    places: placeStore(db),
    sources: sourceStore(db, undefined, clock),
    briefs: briefStore(db, clock),
    rivals: rivalSetStore(db, clock),
  }
}
const nothing = { add: [], remove: [], notes: {} }

describe('lists', () => {
  test('keep phrases in order with notes, and lose and regain them', () => {
    const { lists, workspaces } = setUp()
    const { id: workspace } = workspaces.get()!
    const list = lists.create(workspace, 'Ideas', ['bike chain', 'Bike  Bell', 'bike bell'], 'en')!
    expect(lists.phrases(list.id).map(each => each.phrase)).toEqual(['bike chain', 'bike bell'])
    const { revision } = lists.list(list.id)!
    expect(lists.patch(list.id, { ...nothing, name: 'Mine', revision }, 'en')).toMatchObject({
      kind: 'saved',
      list: { name: 'Mine', revision: revision + 1 },
    })
    expect(lists.patch(list.id, { ...nothing, name: 'Theirs', revision }, 'en')).toMatchObject({
      kind: 'stale',
      list: { name: 'Mine' },
    })
    // Phrases of two windows go together.
    expect(lists.patch(list.id, { ...nothing, add: ['bike pump'], revision }, 'en').kind).toBe('saved')
    lists.patch(list.id, { ...nothing, remove: ['bike pump'] }, 'en')
    lists.patch(list.id, { ...nothing, add: ['saddle'], remove: ['bike chain'], notes: { 'bike bell': 'loud' } }, 'en')
    expect(lists.phrases(list.id)).toMatchObject([
      { phrase: 'bike bell', note: 'loud' },
      { phrase: 'saddle', note: '' },
    ])
    expect(lists.remove(list.id)).toBe(true)
    expect(lists.lists(workspace)).toEqual([])
    expect(lists.patch(list.id, nothing, 'en')).toEqual({ kind: 'absent' })
    lists.restore(list.id)
    expect(lists.lists(workspace)).toMatchObject([{ name: 'Mine', phrases: 2 }])
  })
  test('what is taken out comes back to its place with its note, and leaves what was put in meanwhile', () => {
    const { lists, workspaces } = setUp()
    const list = lists.create(workspaces.get()!.id, 'Ideas', ['a', 'b', 'c', 'd'], 'en')!
    lists.patch(list.id, { ...nothing, notes: { b: 'loud', c: 'slow' } }, 'en')
    const before = lists.phrases(list.id)
    const out = lists.patch(list.id, { ...nothing, remove: ['b', 'c', 'never in it'] }, 'en')
    if (out.kind !== 'saved') throw new Error(out.kind)
    expect(out.list).toMatchObject({
      phrases: 2,
      added: [],
      taken: [
        { phrase: 'b', note: 'loud' },
        { phrase: 'c', note: 'slow' },
      ],
    })
    // Another window puts one of them back first, with a note of its own.
    const other = lists.patch(list.id, { ...nothing, add: ['c', 'a'], notes: { c: 'theirs' } }, 'en')
    expect(other).toMatchObject({ list: { added: ['c'] } })
    lists.patch(list.id, { ...nothing, putBack: out.list.taken }, 'en')
    expect(lists.phrases(list.id)).toEqual([
      before[0],
      before[1],
      before[3],
      { phrase: 'c', note: 'theirs', addedAt: expect.any(Number) as number },
    ])
  })
  test('that were changed since are not taken back', () => {
    const { lists, briefs, workspaces } = setUp()
    const { id: workspace } = workspaces.get()!
    const list = lists.create(workspace, 'Ideas', ['a'], 'en')!
    expect(lists.remove(list.id, list.updatedAt - 1)).toBe(false)
    expect(lists.remove(list.id, list.updatedAt)).toBe(true)
    const brief = briefs.create({ topic: 'One' })
    expect(briefs.remove(brief.id, brief.updatedAt - 1)).toBe(false)
    expect(briefs.get(brief.id)?.deletedAt).toBeNull()
    expect(briefs.remove(brief.id, brief.updatedAt)).toBe(true)
    expect(briefs.get(brief.id)?.deletedAt).not.toBeNull()
  })
  test('are merged and subtracted into new ones', () => {
    const { lists, workspaces } = setUp()
    const { id: workspace } = workspaces.get()!
    const [a, b] = [lists.create(workspace, 'a', ['x', 'y'], 'en')!, lists.create(workspace, 'b', ['y', 'z'], 'en')!]
    const of = (how: 'merge' | 'subtract') =>
      lists
        .phrases(lists.create(workspace, how, [], 'en', { how, first: a.id, second: b.id })!.id)
        .map(each => each.phrase)
    expect(of('merge')).toEqual(['x', 'y', 'z'])
    expect(of('subtract')).toEqual(['x'])
    expect(lists.create(workspace, 'c', [], 'en', { how: 'merge', first: a.id, second: 'gone' })).toBeNull()
    expect(lists.lists(workspace)).toHaveLength(4)
  })
  test('filters are saved under a name, notes by workspace', () => {
    const { lists, workspaces, phrases } = setUp()
    const { id } = workspaces.get()!
    const other = workspaces.create({ name: 'Client' })
    const set = lists.addFilterSet(id, 'Easy', { maxDifficulty: '30' })
    expect(lists.filterSets(id)).toEqual([set])
    expect(lists.filterSets(other.id)).toEqual([])
    expect(lists.removeFilterSet(set.id)).toBe(true)
    const phrase = phrases.phraseId('bike chain', 'en')
    lists.setNote(id, phrase, 'ask Ida')
    expect([lists.note(id, phrase), lists.note(other.id, phrase)]).toEqual([
      { text: 'ask Ida', revision: 1 },
      { text: '', revision: 0 },
    ])
    lists.setNote(id, phrase, ' ', 1)
    expect(lists.note(id, phrase)).toEqual({ text: '', revision: 2 })
    // Another window that knows the first version overwrites nothing, unless it would write the same.
    expect(lists.setNote(id, phrase, 'ask Tom', 1)).toEqual({ kind: 'stale', note: { text: '', revision: 2 } })
    expect(lists.setNote(id, phrase, '', 1).kind).toBe('saved')
  })
})

describe('places', () => {
  test('are found by population range, those of unknown population only without one', () => {
    const { places } = setUp()
    places.save(
      [
        { region: 'GB', name: 'Marrowby', population: 41_200 },
        { region: 'GB', name: 'Dunmere', population: null },
        { region: 'US', name: 'Fenwold', population: 9 },
      ],
      'a',
    )
    places.save([{ region: 'GB', name: 'Marrowby', population: null }], 'b')
    expect(places.find({ region: 'GB' }).map(each => each.name)).toEqual(['Marrowby', 'Dunmere'])
    expect(places.find({ minPopulation: 10 }).map(each => [each.name, each.population])).toEqual([['Marrowby', 41_200]])
    expect(places.find({ contains: '%' })).toEqual([])
    expect(places.regions()).toEqual([
      { region: 'GB', n: 2 },
      { region: 'US', n: 1 },
    ])
    expect(places.forget('b')).toBe(1)
  })
})

describe('sources', () => {
  test('the order a person gives decides, for figures that stand already too', async () => {
    const { sources, phrases } = setUp()
    const figure = (volume: number) => [{ phrase: 'bike chain', region: 'GB', volume }]
    phrases.save(figure(10), 'en', { name: 'demand data', kind: 'service' }, clock.at - STALE_MS - 1)
    phrases.save(figure(20), 'en', { name: 'list.csv', kind: 'import' }, clock.at)
    expect(phrases.known('bike chain', 'GB', 'en')!.volume).toBe(20)
    const before = sources.list()
    expect(before.map(each => [each.name, each.figures, each.stale])).toEqual([
      ['list.csv', 1, false],
      ['demand data', 1, true],
    ])
    await sources.order([before[1]!.id, before[0]!.id])
    expect(phrases.known('bike chain', 'GB', 'en')!.volume).toBe(10)
    expect(sources.list().map(each => each.name)).toEqual(['demand data', 'list.csv'])
    // A new list is believed first again.
    phrases.save(figure(30), 'en', { name: 'newer.csv', kind: 'import' }, clock.at)
    expect(phrases.known('bike chain', 'GB', 'en')!.volume).toBe(30)
  })
})

describe('workspaces', () => {
  const video = (i: number) => ({
    id: `v${i}`,
    title: 't',
    description: null,
    tags: null,
    channel: { id: 'c', title: 'Shed', subscribers: 999 },
    views: 100 * i,
    likes: null,
    dislikes: null,
    comments: null,
    publishedAt: clock.at - 10 * DAY,
    durationSeconds: null,
    thumbnail: null,
  })
  test('a channel is known by what was observed, or as stated, or not at all', () => {
    const { workspaces, videos } = setUp()
    const first = workspaces.get()!
    expect(workspaces.standing()).toMatchObject({ own: null, workspace: { own: null } })
    videos.saveVideos([1, 2, 3].map(video), clock.at)
    const seen = workspaces.update(first.id, { channelId: 'c' })!
    expect(seen).toMatchObject({ channelTitle: 'Shed', subscribers: 999, own: { viewsPerDay: 20, videos: 3 } })
    const stated = workspaces.create({
      name: 'Client',
      subscribers: 10,
      videos: [{ id: 'a', title: 'A', views: 50, publishedAt: clock.at - 5 * DAY }],
    })
    expect(stated.own).toMatchObject({ viewsPerDay: 10, videos: 1 })
    expect(stated.own!.strength).toBeLessThan(seen.own!.strength)
    expect(workspaces.list().map(each => each.name)).toEqual(['My channel', 'Client'])
  })
  test('settings stand over the product’s own and can be taken back', () => {
    const { workspaces } = setUp()
    const { id } = workspaces.get()!
    const shipped = workspaces.settings(id)
    expect(workspaces.putSettings(id, { weights: { demand: 1, ease: 0, trend: 0 } }).weights.demand).toBe(1)
    expect(workspaces.settings(id).shares).toEqual(shipped.shares)
    expect(workspaces.putSettings(id, { weights: null }).weights).toEqual(shipped.weights)
  })
  test('one with briefs, or the only one, is not deleted', () => {
    const { workspaces, briefs } = setUp()
    const { id } = workspaces.get()!
    expect(workspaces.remove(id)).toBe(false)
    const other = workspaces.create({ name: 'Client' })
    briefs.create({ topic: 'A' }, undefined, { workspace: other.id })
    expect(workspaces.remove(other.id)).toBe(false)
    expect(briefs.list(other.id).lines).toHaveLength(1)
    expect(workspaces.get(other.id)).toMatchObject({ briefs: 1 })
    expect(workspaces.remove(id)).toBe(true)
  })
  test('a rival set is of one workspace', () => {
    const { rivals, workspaces, videos } = setUp()
    videos.saveVideos([video(1)], clock.at)
    const { id } = workspaces.get()!
    rivals.watch(id, 'c', true)
    rivals.watch(id, 'c', true)
    expect(rivals.of(id)).toEqual(['c'])
    rivals.watch(id, 'c', false)
    expect(rivals.holds(id, 'c')).toBe(false)
  })
})

test('a series says something else in every place', () => {
  const { briefs } = setUp()
  const fields = {
    ...emptyFields(),
    topic: 'Bike repair',
    tray: { lead: 'bike repair', support: ['mobile bike repair'], setAside: ['x'] },
    title: 'Bike repair near you, bike repair fast',
    description: 'Bike  Repair by us.',
    tags: ['bike repair', 'bikes'],
    fileName: 'bike-repair.mp4',
  }
  const made = briefs.createSeries(
    ['Marrowby', 'Dunmere'].map(place => ({ place, fields: forPlace(fields, place, '{phrase} {place}') })),
    briefs.create({}).workspaceId,
  )
  expect(made[0]!.seriesId).toBe(made[1]!.seriesId)
  expect(made[0]).toMatchObject({
    seriesPlace: 'Marrowby',
    fields: {
      topic: 'Bike repair, Marrowby',
      tray: { lead: 'bike repair marrowby', support: ['mobile bike repair marrowby'] },
      title: 'Bike repair Marrowby near you, bike repair Marrowby fast',
      description: 'Bike repair Marrowby by us.',
      tags: ['bike repair marrowby', 'bikes'],
      fileName: 'bike-repair-marrowby.mp4',
    },
  })
  expect(made[1]!.fields.title).toContain('Dunmere')
})

test('phrases chosen for a place lead its brief where nothing did, and join the others', () => {
  const chosen = ['bike repair marrowby', 'bike service marrowby']
  const without = forPlace({ ...emptyFields(), topic: 'Repair' }, 'marrowby', '{phrase} {place}', chosen)
  expect(without.tray).toEqual({ lead: chosen[0], support: [chosen[1]], setAside: [] })
  const led = { ...emptyFields(), tray: { lead: 'bike repair', support: ['bike service'], setAside: [] } }
  expect(forPlace(led, 'marrowby', '{phrase} {place}', [...chosen, 'bike shop marrowby']).tray).toEqual({
    lead: 'bike repair marrowby',
    support: ['bike service marrowby', 'bike shop marrowby'],
    setAside: [],
  })
})
