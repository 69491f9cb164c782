import fc from 'fast-check'
import Papa from 'papaparse'
import { csvFile, csvLines } from '../../../../core/formats/csv'

/** One cell as it is written. */
const csvCell = (value: string | number | null) => csvLines([[value, 0]]).slice(0, -',0\r\n'.length)

describe('CSV out', () => {
  test('formulas are neutralised, numbers are not', () => {
    for (const text of ['=1+1', '+a', '-b', '@c', '＝1', '＋a', '－b', '＠c', '\n=1'])
      expect(csvCell(text)).toBe(`"'${text}"`)
    expect(csvCell('@cmd, "x"')).toBe('"\'@cmd, ""x"""')
    expect(csvCell(-5)).toBe('-5')
    expect(csvCell('a "b", c')).toBe('"a ""b"", c"')
    expect(csvCell(null)).toBe('')
    expect(csvLines([])).toBe('')
  })

  test('a file begins with its mark and its headers', () => {
    expect(csvFile(['a', 'b'], [[null, -1]])).toBe('\ufeffa,b\r\n,-1\r\n')
  })

  test('no text begins a cell with a formula sign', () => {
    fc.assert(
      fc.property(fc.string(), text => {
        expect(csvCell(text)).not.toMatch(/^"?[=+@-]/u)
      }),
    )
  })

  test('any text comes back from a reader as it went in', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string(), { minLength: 2, maxLength: 2 }), { maxLength: 5 }), rows => {
        const safe = rows.map(row => row.map(cell => cell.replace(/^[=+\-@\t\r]/u, 'x')))
        expect(
          Papa.parse(csvFile(['a', 'b'], safe), { delimiter: ',', newline: '\r\n', skipEmptyLines: true }).data,
        ).toEqual([['a', 'b'], ...safe])
      }),
    )
  })
})
