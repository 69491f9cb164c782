import iconv from 'iconv-lite'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import type { ColumnMap, ListedPhrase } from '../../../../core/formats/phraseList'
import { unpackBatch } from '../../../../server/imports/listBatch'
import { fileText } from '../../../../server/imports/fileText'
import { readList, type ListEvent } from '../../../../server/imports/readList'
import { temporaryFolder } from '../files'

const folder = temporaryFolder()
let written = 0
function file(bytes: Buffer | string): string {
  const path = join(folder, `list-${written++}`)
  writeFileSync(path, bytes)
  return path
}

async function read(bytes: Buffer | string, columns: ColumnMap | null = null, ask = false) {
  const events: ListEvent[] = []
  for await (const event of readList(file(bytes), columns, ask)) events.push(event)
  return {
    first: events[0]!,
    parts: events.flatMap(event => (event.kind === 'batch' ? [event.part] : [])),
    phrases: events.flatMap(event => (event.kind === 'batch' ? unpackBatch(event.batch) : [])),
    rejected: events.flatMap(event => (event.kind === 'refused' ? event.lines : [])),
  }
}
const pairs = (phrases: ListedPhrase[]) => phrases.map(each => [each.phrase, each.volume])
const GOOD = [
  ['bike chain', 1200],
  ['tyre, tubeless', 3400.5],
]

describe('encodings', () => {
  const text = 'Keyword;Volume\r\nbike chain;1.200\r\n"tyre, tubeless";3.400,5\r\nkettenöl;7\r\n'
  test.each([
    ['UTF-8', iconv.encode(text, 'utf8')],
    ['UTF-8 with its mark', iconv.encode(text, 'utf8', { addBOM: true })],
    ['UTF-16 little end first', iconv.encode(text, 'utf16le', { addBOM: true })],
    ['UTF-16 big end first', iconv.encode(text, 'utf16be', { addBOM: true })],
    ['UTF-16 without a mark', iconv.encode(text, 'utf16le')],
    ['Windows-1252', iconv.encode(text, 'win1252')],
  ])('%s', async (_, bytes) => expect(pairs((await read(bytes)).phrases)).toEqual([...GOOD, ['kettenöl', 7]]))

  test('the first accent may stand at the end of a long file, across any border of what is read at once', () => {
    const long = (pad: number) => `${'a'.repeat((1 << 20) - pad)}é €𝄞 end`
    for (let pad = 0; pad < 12; pad++) {
      expect(fileText(file(Buffer.from(long(pad), 'utf8'))).encoding).toBe('utf-8')
      expect(fileText(file(iconv.encode(long(pad).replace('𝄞', ''), 'win1252'))).encoding).toBe('windows-1252')
    }
  })

  test('a file cut within a character is not UTF-8', () =>
    expect(fileText(file(Buffer.from('é'.repeat(10)).subarray(0, 19))).encoding).toBe('windows-1252'))
})

describe('columns that may tell searches', () => {
  const list = 'keyword;Anzahl im Monat;Note\nbike chain;1.200;x\nbike bell;30;y\n'
  test('are asked for where nothing else does', async () => {
    const asked = await read(list, null, true)
    expect(asked.first).toMatchObject({
      kind: 'unknown-columns',
      sample: [['bike chain', '1.200', 'x'], expect.anything()],
    })
    expect(asked.phrases).toEqual([])
    expect(pairs((await read(list, { phrase: 0, volume: 1 }, true)).phrases)).toEqual([
      ['bike chain', 1200],
      ['bike bell', 30],
    ])
    expect((await read('[{"keyword":"bike chain","Anzahl":3}]', null, true)).first.kind).toBe('unknown-columns')
  })
  test('are not asked for unasked, nor where there are none or searches are known', async () => {
    expect(pairs((await read(list)).phrases)).toEqual([
      ['bike chain', null],
      ['bike bell', null],
    ])
    expect((await read('keyword\nbike chain\n', null, true)).phrases).toHaveLength(1)
    expect(
      pairs(
        (await read('Suchbegriff;Suchanfragen pro Monat;Wettbewerb;Gebot\nkette;2.400;0,31;1\n', null, true)).phrases,
      ),
    ).toEqual([['kette', 2400]])
  })
})

describe('shapes', () => {
  test('tabs, commas, bars', async () => {
    expect(pairs((await read('keyword\tsearch volume\nbike chain\t1.2K\n')).phrases)).toEqual([['bike chain', 1200]])
    expect(pairs((await read('"Search term","Avg. monthly searches"\n"bike chain","1,200"\n')).phrases)).toEqual([
      ['bike chain', 1200],
    ])
  })

  test('JSON of objects and of texts, and JSON Lines', async () => {
    expect(
      pairs(
        (await read('[{"keyword":"bike chain","volume":1200},{"keyword":"tyre, tubeless","volume":"3400.5"}]')).phrases,
      ),
    ).toEqual(GOOD)
    expect(pairs((await read('{"phrases":["a","b"]}')).phrases)).toEqual([
      ['a', null],
      ['b', null],
    ])
    expect(pairs((await read('{"phrase":"a","volume":1}\n{"phrase":"b","volume":2}\n')).phrases)).toEqual([
      ['a', 1],
      ['b', 2],
    ])
  })

  test('a bare list of phrases has no header', async () =>
    expect(pairs((await read('bike chain\nbike bell\n')).phrases)).toEqual([
      ['bike chain', null],
      ['bike bell', null],
    ]))

  test('unknown headers ask to be mapped, with a sample, and a map is followed', async () => {
    const text = 'Was;Wie oft\nbike chain;5\nbike bell;6\n'
    expect((await read(text)).first).toEqual({
      kind: 'unknown-columns',
      headers: ['Was', 'Wie oft'],
      sample: [
        ['bike chain', '5'],
        ['bike bell', '6'],
      ],
    })
    expect(pairs((await read(text, { phrase: 0, volume: 1 })).phrases)).toEqual([
      ['bike chain', 5],
      ['bike bell', 6],
    ])
  })
})

test('each batch says what of the list is handed on with it', async () => {
  const rows = Array.from({ length: 5000 }, (_, n) => ({ phrase: `phrase ${n}`, volume: n }))
  for (const text of [
    `phrase,volume\n${rows.map(({ phrase, volume }) => `${phrase},${volume}\n`).join('')}`,
    JSON.stringify(rows),
  ]) {
    const { parts } = await read(text)
    expect(parts).toHaveLength(3)
    for (const [i, part] of [1 / 3, 2 / 3, 1].entries()) expect(parts[i]).toBeCloseTo(part)
  }
  // More than are put in order at once: the second window goes on where the first one ended.
  const { parts } = await read(
    `phrase\n${Array.from({ length: 250_000 }, (_, n) => `phrase ${1_000_000 + n}\n`).join('')}`,
  )
  expect(parts).toHaveLength(125)
  expect(parts.every((part, i) => part > (parts[i - 1] ?? 0))).toBe(true)
  expect(parts[99]).toBeCloseTo(0.8, 1)
  expect(parts.at(-1)).toBe(1)
})

describe('what is bad', () => {
  test('bad lines are told with number and reason, good ones kept', async () => {
    const { phrases, rejected } = await read('phrase,volume\ngood,5\n,5\nmany,lots\nalso good,"6"\n')
    expect(pairs(phrases)).toEqual([
      ['good', 5],
      ['also good', 6],
    ])
    expect(rejected).toEqual([
      { line: 3, reason: 'There is no phrase in this line.' },
      { line: 4, reason: '“lots” is not a number for volume.' },
    ])
  })

  test('a quotation mark that is never closed costs its own lines only', async () => {
    const { phrases, rejected } = await read('phrase,volume\ngood,5\n"bad,6\n')
    expect(pairs(phrases)).toEqual([['good', 5]])
    expect(rejected[0]!.reason).toMatch(/not closed/u)
  })

  test('lines with too few or too many cells are still read', async () =>
    expect(pairs((await read('phrase,volume\na\nb,2,3,4\n')).phrases)).toEqual([
      ['a', null],
      ['b', 2],
    ]))

  test('control characters and markup are no danger', async () => {
    expect(pairs((await read('phrase,volume\n<script>alert(1)</script>,5\na\u0000b,6\n')).phrases)).toEqual([
      ['<script>alert(1)</script>', 5],
      ['a b', 6],
    ])
  })

  test('one bad JSON line costs itself only, the first one too', async () => {
    for (const lines of [
      ['{"phrase":"a"}', '{"phrase":', '{"phrase":"b"}'],
      ['{"phrase":"x', '{"phrase":"a"}', '{"phrase":"b"}'],
    ]) {
      const { phrases, rejected } = await read(lines.join('\n'))
      expect(phrases.map(each => each.phrase)).toEqual(['a', 'b'])
      expect(rejected).toEqual([
        { line: lines.findIndex(line => !line.endsWith('}')) + 1, reason: 'The line is not JSON.' },
      ])
    }
  })

  test('a line that is too long is told as such', async () => {
    const { phrases, rejected } = await read(`phrase,volume\ngood,5\n${'x'.repeat(150_000)},6\nalso good,7\n`)
    expect(pairs(phrases)).toEqual([
      ['good', 5],
      ['also good', 7],
    ])
    expect(rejected).toEqual([{ line: 3, reason: 'This line is longer than 100,000 characters.' }])
  })

  test.each([
    ['a picture', Buffer.from('\x89PNG\r\n\x1a\n\0\0\0\rIHDR', 'latin1'), /not a text file but a picture/u],
    ['a spreadsheet', Buffer.from('PK\x03\x04\x14\0', 'latin1'), /save it as CSV/u],
    ['anything else', Buffer.from(Array.from({ length: 500 }, (_, i) => (i % 7 ? i % 256 : 0))), /not a text file/u],
  ])('%s is not taken for a list', async (_, bytes, message) => {
    await expect(read(bytes)).rejects.toThrow(message)
  })

  test('a large JSON list is read element by element, whichever way it is wrapped', async () => {
    const rows = Array.from({ length: 20_000 }, (_, n) => ({ phrase: `phrase ${n}`, volume: n, note: 'é'.repeat(100) }))
    for (const text of [JSON.stringify(rows), `${JSON.stringify({ made: 'today', phrases: rows }, null, 1)}\n`]) {
      expect(Buffer.byteLength(text)).toBeGreaterThan(4 * 1024 * 1024)
      const { phrases } = await read(text)
      expect(phrases).toHaveLength(20_000)
      expect(phrases.reduce((sum, each) => sum + each.volume!, 0)).toBe((20_000 * 19_999) / 2)
    }
    await expect(read(JSON.stringify(rows).slice(0, -5))).rejects.toThrow(/cannot be read/u)
  })

  test.each([
    ['', /empty/u],
    ['{"a": ', /cannot be read/u],
    ['{"a": 1}', /no list/u],
    ['\n\n', /no readable lines/u],
  ])('%j is refused with a message', async (text, message) => {
    await expect(read(text)).rejects.toThrow(message)
  })
})
