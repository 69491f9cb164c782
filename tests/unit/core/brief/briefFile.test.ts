import { emptyFields, type BriefField } from '../../../../core/brief/brief'
import { readBriefFile, returnedChanges, returnedLocalised, writeBriefFile } from '../../../../core/brief/briefFile'
import { FileFault } from '../../../../core/formats/jsonFile'

const ID = '0190a000-0000-7000-8000-000000000001'
const MADE = Date.parse('2026-03-01T10:00:00Z')
const SENT = MADE + 3_600_000
const fields = () => ({
  ...emptyFields(),
  topic: 'Brakes',
  title: 'Quiet brakes',
  tags: ['brakes'],
  tray: { lead: 'squeaky brakes', support: [], setAside: [] },
})
const german = { language: 'de', region: 'DE', title: 'Leise Bremsen', description: '', tags: [], phrases: [] }
const post = { kind: 'short' as const, text: 'Quiet brakes.' }
const written = (more: object = {}, createdAt = MADE) =>
  writeBriefFile(
    { id: ID, createdAt, updatedAt: SENT, fields: { ...fields(), ...more } },
    { localised: [german], posts: [post] },
    SENT,
  )
const here = { createdAt: MADE, fields: fields() }
/** When fields were changed here last, and what stood in them before. */
const standing =
  (changed: Partial<Record<BriefField, number>> = {}, before: unknown[] = []) =>
  (field: BriefField, value: unknown) => ({ changedAt: changed[field] ?? MADE, before: before.includes(value) })

test('a brief written to a file is read as it was', () => {
  expect(readBriefFile(written())).toEqual({
    id: ID,
    createdAt: MADE,
    exportedAt: SENT,
    fields: fields(),
    localised: [german],
    posts: [post],
  })
})

test('only what differs is a change', () => {
  expect(returnedChanges(readBriefFile(written()), here, standing())).toEqual([])
  const [title, tags] = returnedChanges(
    readBriefFile(written({ title: 'Brakes that keep quiet', tags: ['brakes', 'bike brakes'] })),
    here,
    standing(),
  )
  expect(title).toEqual({
    field: 'title',
    here: 'Quiet brakes',
    file: 'Brakes that keep quiet',
    since: 'there',
    changedAt: MADE,
  })
  expect(tags).toMatchObject({ field: 'tags', since: 'there' })
})

test('a field that was changed here after the file left was changed on both sides', () => {
  const file = readBriefFile(written({ title: 'Other' }))
  const since = (changedAt: number) => returnedChanges(file, here, standing({ title: changedAt }))[0]!.since
  expect([since(SENT - 1), since(SENT + 1)]).toEqual(['there', 'both'])
})

test('a file of another store left when the brief was made there', () => {
  const there = SENT + 1000
  const file = readBriefFile(written({ title: 'Other' }, there))
  const since = (changedAt: number) => returnedChanges(file, here, standing({ title: changedAt }))[0]!.since
  expect([since(there - 1), since(there + 1)]).toEqual(['there', 'both'])
})

test('what only stood here earlier is nobody’s change', () => {
  const [change] = returnedChanges(
    readBriefFile(written({ title: 'First title' })),
    here,
    standing({ title: SENT + 5 }, ['First title']),
  )
  expect(change!.since).toBe('earlier')
})

test('a file without the time of its writing, and with a part of the fields, is read too', () => {
  const { exportedAt, title, localised, ...rest } = JSON.parse(written({ topic: 'Other' })) as Record<string, unknown>
  expect([exportedAt, title, localised]).not.toContain(undefined)
  const file = readBriefFile(JSON.stringify(rest))
  expect(file).toMatchObject({ exportedAt: null, localised: [] })
  expect(file.fields).not.toHaveProperty('title')
  expect(returnedChanges(file, here, standing({ topic: SENT + 5 }))).toMatchObject([
    { field: 'topic', since: 'unknown' },
  ])
})

test.each([
  ['no JSON', '{', 'This is not JSON'],
  ['another kind', '{"format":1,"kind":"fonetra-list"}', 'kind: This is not a file of a brief.'],
  ['a field of another type', written().replace('"Quiet brakes"', '7'), 'title'],
])('%s is refused with the reason', (_, text, said) => {
  expect(() => readBriefFile(text)).toThrow(FileFault)
  expect(() => readBriefFile(text)).toThrow(said)
})

test('texts in another language: new ones, changed there, changed here too, and the same', () => {
  const file = readBriefFile(written())
  const item = (value: object, savedAt: number) => ({ id: ID, revision: 4, savedAt, value: { ...german, ...value } })
  expect(returnedLocalised(file, here, [])).toEqual([
    { item: null, here: null, file: german, since: 'there', changedAt: null },
  ])
  expect(returnedLocalised(file, here, [item({}, MADE)])).toEqual([])
  const other = { phrases: [{ text: 'bremsen quietschen', from: null, counts: true }] }
  const since = (savedAt: number) => returnedLocalised(file, here, [item(other, savedAt)])[0]!
  expect(since(SENT - 1)).toMatchObject({ item: { id: ID, revision: 4 }, here: other, file: german, since: 'there' })
  expect(since(SENT + 1)).toMatchObject({ since: 'both', changedAt: SENT + 1 })
  expect(returnedLocalised({ ...file, exportedAt: null }, here, [item(other, MADE)])[0]!.since).toBe('unknown')
})
