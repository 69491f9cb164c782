import { v7 as uuid } from 'uuid'
import { briefStore } from '../../../../server/data/briefs'
import { fieldOf, type BriefField } from '../../../../core/brief/brief'
import { emptyFileBytes } from '../../../setup/emptyFile'
import { freshData, MIGRATIONS, standingClock, temporaryFolder } from '../files'

const folder = temporaryFolder()
const clock = standingClock()
const by = (client: string, writer: string | null = null) => ({ client, writer })
const store = () => briefStore(freshData(folder), clock)
const change = (field: BriefField, revision: number, value: unknown) => ({ [field]: { revision, value } })

test('a new brief has every field, at revision 1 where one was given and 0 where not', () => {
  const briefs = store()
  const made = briefs.create({ topic: 'Chains', tags: ['wax'] })
  expect(made.fields).toMatchObject({ topic: 'Chains', tags: ['wax'], title: '', ruleSet: 'balanced' })
  expect(made.revisions).toMatchObject({ topic: 1, tags: 1, title: 0 })
  expect(briefs.get(made.id)).toEqual(made)
  // The same id again makes no second one.
  expect(briefs.create({ topic: 'Other' }, made.id)).toEqual(made)
})

describe('saving', () => {
  test('each field moves by itself', () => {
    const briefs = store()
    const { id } = briefs.create({ topic: 'Chains' })
    expect(briefs.patch(id, uuid(), change('title', 0, 'One'))).toMatchObject({
      kind: 'saved',
      answer: { revisions: { title: 1 } },
    })
    expect(briefs.patch(id, uuid(), { ...change('title', 1, 'Two'), ...change('tags', 0, ['a']) })).toMatchObject({
      answer: { revisions: { title: 2, tags: 1 } },
    })
    expect(briefs.get(id)!.fields).toMatchObject({ title: 'Two', tags: ['a'], topic: 'Chains' })
  })

  test('a stale field is told with both versions, and nothing of the edit is saved', () => {
    const briefs = store()
    const { id } = briefs.create({})
    briefs.patch(id, uuid(), change('title', 0, 'Theirs'))
    const result = briefs.patch(id, uuid(), { ...change('title', 0, 'Mine'), ...change('fileName', 0, 'x.mp4') })
    expect(result).toEqual({
      kind: 'stale',
      conflicts: { title: { revision: 1, theirs: 'Theirs', yours: 'Mine', savedAt: clock.at } },
    })
    expect(briefs.get(id)!.fields).toMatchObject({ title: 'Theirs', fileName: '' })
  })

  test('the same value from two windows is no conflict', () => {
    const briefs = store()
    const { id } = briefs.create({})
    briefs.patch(id, uuid(), change('title', 0, 'Same'))
    expect(briefs.patch(id, uuid(), change('title', 0, 'Same'))).toMatchObject({
      kind: 'saved',
      answer: { revisions: { title: 1 } },
    })
  })

  test('a repeat of an edit is answered as before and changes nothing', () => {
    const briefs = store()
    const { id } = briefs.create({})
    const edit = uuid()
    const first = briefs.patch(id, edit, change('title', 0, 'One'))
    briefs.patch(id, uuid(), change('title', 1, 'Two'))
    clock.pass(5000)
    expect(briefs.patch(id, edit, change('title', 0, 'One'))).toEqual(first)
    expect(briefs.get(id)!.fields.title).toBe('Two')
  })

  test('what does not fit its field is refused by name, and nothing is saved', () => {
    const briefs = store()
    const { id } = briefs.create({})
    expect(() => briefs.patch(id, uuid(), { ...change('fileName', 0, 'a.mp4'), ...change('title', 0, 5) })).toThrow(
      expect.objectContaining({ issues: [expect.objectContaining({ path: ['title'] })] }) as Error,
    )
    expect(() => briefs.patch(id, uuid(), change('title', 0, 'x'.repeat(2001)))).toThrow(/longer than 2,000/u)
    expect(() => briefs.patch(id, uuid(), change('region', 0, 'ZZ'))).toThrow(/not a (known )?region/u)
    expect(briefs.get(id)!.revisions).toMatchObject({ title: 0, fileName: 0 })
  })

  test('unknown and deleted briefs take nothing', () => {
    const briefs = store()
    expect(briefs.patch(uuid(), uuid(), {})).toEqual({ kind: 'absent' })
    const { id } = briefs.create({})
    briefs.remove(id)
    expect(briefs.patch(id, uuid(), change('title', 0, 'x'))).toEqual({ kind: 'absent' })
  })
})

describe('history', () => {
  const titles = (briefs: ReturnType<typeof store>, id: string) => briefs.history(id, 'title').map(entry => entry.value)

  test('typing without a pause is one entry, a pause begins another', () => {
    const briefs = store()
    const { id } = briefs.create({})
    for (const [i, title] of ['W', 'Wa', 'Wax'].entries()) {
      briefs.patch(id, uuid(), change('title', i, title), by('window'))
      clock.pass(2000)
    }
    clock.pass(30_000)
    briefs.patch(id, uuid(), change('title', 3, 'Wax it'), by('window'))
    expect(titles(briefs, id)).toEqual(['Wax it', 'Wax'])
  })

  test('however fast, five minutes are the longest entry', () => {
    const briefs = store()
    const { id } = briefs.create({})
    for (let i = 0; i < 40; i++) {
      briefs.patch(id, uuid(), change('title', i, `Title ${i}`), by('window'))
      clock.pass(10_000)
    }
    expect(titles(briefs, id)).toEqual(['Title 39', 'Title 30'])
  })

  test('two windows never share an entry', () => {
    const briefs = store()
    const { id } = briefs.create({})
    briefs.patch(id, uuid(), change('title', 0, 'Hers'), by('one'))
    briefs.patch(id, uuid(), change('title', 1, 'His'), by('two'))
    expect(titles(briefs, id)).toEqual(['His', 'Hers'])
  })

  test('a version that gave way is kept below the one that stands', () => {
    const briefs = store()
    const { id } = briefs.create({})
    briefs.patch(id, uuid(), change('title', 0, 'Stands'))
    briefs.saveVersion(id, 'title', 'Gave way')
    expect(titles(briefs, id)).toEqual(['Stands', 'Gave way', 'Stands'])
  })

  test('deleting for good deletes it too', () => {
    const db = freshData(folder)
    const briefs = briefStore(db, clock)
    const { id } = briefs.create({ title: 'x' })
    expect(briefs.purge(id)).toBe(false)
    briefs.remove(id)
    expect(briefs.purge(id)).toBe(true)
    for (const table of ['brief', 'brief_field', 'field_history', 'brief_edit'])
      expect(db.prepare(`SELECT count(*) AS n FROM ${table}`).get()).toEqual({ n: 0 })
  })
})

test('an edit’s id is its own: of another brief, or with other content, it is refused and nothing is saved', () => {
  const briefs = store()
  const [one, two] = [briefs.create({}), briefs.create({})]
  const edit = uuid()
  expect(briefs.patch(one.id, edit, change('title', 0, 'A')).kind).toBe('saved')
  expect(briefs.patch(two.id, edit, change('title', 0, 'A'))).toEqual({ kind: 'other-edit' })
  expect(briefs.patch(one.id, edit, change('title', 0, 'B'))).toEqual({ kind: 'other-edit' })
  expect(briefs.patch(one.id, edit, change('title', 0, 'A')).kind).toBe('saved')
  expect([one, two].map(({ id }) => briefs.get(id)!.fields.title)).toEqual(['A', ''])
})

test('a clock that is set back drops no version from the history', () => {
  const briefs = store()
  const { id } = briefs.create({})
  briefs.patch(id, uuid(), change('title', 0, 'Before'), by('w'))
  clock.pass(-3_600_000)
  briefs.patch(id, uuid(), change('title', 1, 'After'), by('w'))
  expect(briefs.history(id, 'title').map(entry => entry.value)).toEqual(['After', 'Before'])
  clock.pass(3_600_000)
})

describe('the list', () => {
  test('newest change first, without deleted ones, and back after a restore', () => {
    const briefs = store()
    const first = briefs.create({ topic: 'first' })
    clock.pass(1)
    briefs.create({ topic: 'second' })
    clock.pass(1)
    briefs.patch(first.id, uuid(), change('title', 0, 'x'))
    const topics = () => briefs.list().lines.map(line => line.topic)
    expect(topics()).toEqual(['first', 'second'])
    expect(briefs.remove(first.id)).toBe(true)
    expect(briefs.remove(first.id)).toBe(false)
    expect(topics()).toEqual(['second'])
    expect(briefs.restore(first.id)).toBe(true)
    expect(topics()).toEqual(['first', 'second'])
  })

  test('a score is worked out once a change', () => {
    const briefs = store()
    const { id } = briefs.create({ title: 'x' })
    const [due] = briefs.list().unscored
    expect(due).toMatchObject({ id, fields: { title: 'x' } })
    briefs.saveScores([{ id, updatedAt: due!.updatedAt, percent: 40 }])
    expect(briefs.list()).toMatchObject({ lines: [{ percent: 40 }], unscored: [] })
    clock.pass(1)
    briefs.patch(id, uuid(), change('title', 1, 'y'))
    expect(briefs.list()).toMatchObject({ lines: [{ percent: 40 }], unscored: [{ id, fields: { title: 'y' } }] })
  })

  test('a rule set that changes makes the briefs under it be scored anew, and no others', () => {
    const briefs = store()
    const own = briefs.create({ title: 'x', ruleSet: 'mine' })
    const other = briefs.create({
      title: 'y',
      ruleSet: 'balanced',
      captions: 'WEBVTT\n\n00:01.000 --> 00:02.000\nHi\n',
    })
    briefs.saveScores(briefs.list().unscored.map(({ id, updatedAt }) => ({ id, updatedAt, percent: 40 })))
    briefs.rescore(own.workspaceId, 'mine')
    expect(briefs.list().unscored.map(each => each.id)).toEqual([own.id])
    // What is scored has its captions, which the lines of the list are made without.
    briefs.rescore(own.workspaceId, 'balanced')
    expect(briefs.list().unscored.find(each => each.id === other.id)!.fields.captions).toContain('Hi')
  })

  test('a copy has the texts and its own life', () => {
    const briefs = store()
    const from = briefs.create({ topic: 'Chains', title: 'A', tray: { lead: 'wax', support: [], setAside: [] } })
    const copy = briefs.duplicate(from.id)!
    expect(copy.fields).toEqual({ ...from.fields, topic: 'Chains (copy)' })
    briefs.patch(copy.id, uuid(), change('title', 1, 'B'))
    expect(briefs.get(from.id)!.fields.title).toBe('A')
    expect(briefs.duplicate(uuid())).toBeNull()
  })
})

test('a full file refuses the edit and keeps what was there', () => {
  const briefs = briefStore(freshData(folder, { limitBytes: emptyFileBytes(MIGRATIONS) + 60_000 }), clock)
  const { id } = briefs.create({ title: 'Kept' })
  let revision = 1
  expect(() => {
    for (let i = 0; i < 60; i++) {
      clock.pass(60_000)
      briefs.patch(id, uuid(), change('description', i, String(i).repeat(20_000).slice(0, 55_000)))
      revision = i + 1
    }
  }).toThrow(expect.objectContaining({ code: 'SQLITE_FULL' }) as Error)
  expect(briefs.get(id)!.fields.title).toBe('Kept')
  expect(briefs.get(id)!.revisions.description).toBe(revision)
})

test('a field stored in an older form is read, compared and told in its history in today’s', () => {
  const briefs = store()
  const { id } = briefs.create({ title: 'True a wheel' })
  const title = fieldOf('title')
  const { format, upgrade } = title
  Object.assign(title, { format: format + 1, upgrade: (value: unknown) => `${value as string}!` })
  try {
    expect(briefs.get(id)!.fields.title).toBe('True a wheel!')
    expect(briefs.history(id, 'title')).toMatchObject([{ value: 'True a wheel!' }])
    // The same as it is read is no change; another one is saved in the new form, which is not turned again.
    expect(briefs.patch(id, uuid(), change('title', 1, 'True a wheel!'))).toMatchObject({
      answer: { revisions: { title: 1 } },
    })
    briefs.patch(id, uuid(), change('title', 1, 'Lace a wheel'))
    expect(briefs.get(id)!.fields.title).toBe('Lace a wheel')
  } finally {
    Object.assign(title, { format, upgrade })
  }
})
