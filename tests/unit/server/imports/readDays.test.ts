import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { dayName } from '../../../../core/ranks/standing'
import { readDays, type DaysEvent } from '../../../../server/imports/readDays'
import { temporaryFolder } from '../files'
import { AWKWARD, type AwkwardFile } from './awkwardDays'

const folder = temporaryFolder()
let written = 0
async function read({ bytes, ask }: Pick<AwkwardFile, 'bytes' | 'ask'>) {
  const file = join(folder, `days-${written++}`)
  writeFileSync(file, bytes)
  const events: DaysEvent[] = []
  const question = {
    file,
    columns: null,
    order: null,
    decimal: null,
    zone: 'utc',
    today: Date.UTC(2026, 10, 28) / 864e5,
  }
  for await (const event of readDays({ ...question, ...ask })) events.push(event)
  return {
    kinds: events.map(({ kind }) => kind),
    rows: events.flatMap(event => (event.kind === 'days' ? event.list.map(({ row }) => row) : [])),
    lines: events.flatMap(event => (event.kind === 'days' ? event.list.map(({ line }) => line) : [])),
    totals: events.reduce((sum, event) => sum + (event.kind === 'days' ? event.totals : 0), 0),
    refused: events.flatMap(event => (event.kind === 'refused' ? event.lines : [])),
  }
}

test('there are sixty awkward files, and each has a name of its own', () => {
  expect(AWKWARD.length).toBeGreaterThanOrEqual(60)
  expect(new Set(AWKWARD.map(({ name }) => name)).size).toBe(AWKWARD.length)
})

test.each(AWKWARD.map(file => [file.name, file] as const))('%s', async (_, file) => {
  const { rows, refused = [], totals = 0, question, fault } = file
  if (fault) return expect(read(file)).rejects.toThrow(fault)
  const found = await read(file)
  if (question) return expect(found.kinds).toEqual([`unknown-${question}`])
  expect(found.rows.map(row => ({ ...row, day: dayName(row.day) }))).toEqual(
    rows!.map(row => expect.objectContaining(row) as unknown),
  )
  expect(found.refused.map(({ line }) => line)).toEqual(refused.map(([line]) => line))
  refused.forEach(([, reason], i) => {
    expect(found.refused[i]!.reason).toMatch(reason)
  })
  expect(found.totals).toBe(totals)
})

test('lines are numbered as in the file, whatever stands above or is empty', async () => {
  const { lines } = await read({ bytes: 'Report\n\nDate,Views\n2026-03-14,1\n\n2026-03-15,2\n' })
  expect(lines).toEqual([4, 6])
})

test('a long table comes in parts', async () => {
  const days = Array.from({ length: 2500 }, (_, i) => `${dayName(18_000 + (i % 2500))},${i}`)
  const found = await read({ bytes: `Date,Views\n${days.join('\n')}\n` })
  expect(found.rows).toHaveLength(2500)
  expect(found.kinds.filter(kind => kind === 'days').length).toBeGreaterThanOrEqual(3)
})
