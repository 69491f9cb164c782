import fc from 'fast-check'
import { writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { delimitedLines, delimiterOf, type DelimitedLine } from '../../../../server/imports/delimited'
import { temporaryFolder } from '../files'
import { runs } from '../../../setup/runs'

const folder = temporaryFolder()
const path = join(folder, 'list.csv')
async function read(text: string, piece = 7): Promise<DelimitedLine[]> {
  writeFileSync(path, text)
  const all: DelimitedLine[] = []
  for await (const lines of delimitedLines({ file: path, size: text.length, encoding: 'utf-8' }, ',', undefined, piece))
    all.push(...lines)
  return all
}
const quoted = (cell: string) => `"${cell.replaceAll('"', '""')}"`

test('what was written comes back, whatever it holds and wherever a piece ends', async () => {
  const cell = fc
    .oneof(
      fc.constantFrom('', 'bike chain', 'a,b', 'a"b', '"', 'a\nb', 'ü', '€', '🚲', ' x '),
      fc.string({ maxLength: 6 }),
    )
    .map(text => text.replace(/\r/gu, ''))
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.array(cell, { minLength: 2, maxLength: 4 }), { minLength: 1, maxLength: 8 }),
      fc.integer({ min: 1, max: 40 }),
      fc.constantFrom('\n', '\r\n', '\r'),
      fc.boolean(),
      async (rows, piece, end, ended) => {
        const text = rows.map(row => row.map(quoted).join(',')).join(end) + (ended ? end : '')
        const found = await read(text, piece)
        expect(found.map(({ cells }) => cells)).toEqual(rows)
        // A record begins behind the line ends of all before it.
        let line = 1
        for (const [i, row] of rows.entries()) {
          expect(found[i]!.line).toBe(line)
          line += 1 + row.join('').split('\n').length - 1
        }
      },
    ),
    { numRuns: runs(60) },
  )
})

describe('quotation marks that make no sense', () => {
  const good = (from: number, n: number) => Array.from({ length: n }, (_, i) => `phrase ${from + i},${i}`)
  test('one never closed costs its own line, at the end, in the middle, and where pieces part', async () => {
    for (const piece of [3, 50, 1 << 17]) {
      const lines = await read(['phrase,volume', ...good(0, 5), '"open,6', ...good(6, 5)].join('\n'), piece)
      expect(lines.filter(({ cells }) => cells === null)).toEqual([
        { line: 7, cells: null, reason: 'A quotation mark in this line is not closed.' },
      ])
      expect(lines).toHaveLength(12)
      expect(lines.at(-1)).toEqual({ line: 12, cells: ['phrase 10', '4'] })
    }
  })

  test('it swallows no more than a line may be long, and what follows is read', async () => {
    const lines = await read(
      ['phrase,volume', '"open,1', ...good(2, 30_000), '"open too,1', ...good(0, 10)].join('\n'),
      1 << 16,
    )
    expect(lines.filter(({ cells }) => cells === null).map(({ line }) => line)).toEqual([2, 30_003])
    expect(lines).toHaveLength(30_013)
  })

  test('two of them do not join into one cell', async () => {
    const lines = await read('a,b\n"one,1\n"two,2\nthree,3\n')
    expect(lines.map(({ cells }) => cells)).toEqual([['a', 'b'], null, null, ['three', '3']])
  })

  test('a pair within a cell is taken as it stands', async () => {
    expect((await read('"best" bike chain,5\n5" pipe,6\n')).map(({ cells }) => cells)).toEqual([
      ['"best" bike chain', '5'],
      ['5" pipe', '6'],
    ])
  })

  test('a line longer than any honest one is refused and passed over', async () => {
    const lines = await read(`a,1\n${'x'.repeat(300_000)}\nb,2\n`, 1 << 15)
    expect(lines).toEqual([
      { line: 1, cells: ['a', '1'] },
      { line: 2, cells: null, reason: 'This line is longer than 100,000 characters.' },
      { line: 3, cells: ['b', '2'] },
    ])
  })
})

test('a file that is not there fails whoever reads it', async () => {
  await expect(delimitedLines({ file: join(folder, 'none'), size: 1, encoding: 'utf-8' }, ',').next()).rejects.toThrow(
    'ENOENT',
  )
})

test('the delimiter is the mark that parts most of the first line, quoted ones aside', () =>
  expect(delimiterOf('a|b|"c,d,e,f"')).toBe('|'))
