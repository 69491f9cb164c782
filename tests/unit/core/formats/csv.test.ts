import fc from 'fast-check'
import Papa from 'papaparse'
import { csvCell, csvFile } from '../../../../core/formats/csv'

describe('CSV out', () => {
  test('formulas are neutralised, numbers are not', () => {
    expect(csvCell('=1+1')).toBe("'=1+1")
    expect(csvCell('@cmd, "x"')).toBe('"\'@cmd, ""x"""')
    expect(csvCell(-5)).toBe('-5')
    expect(csvCell(null)).toBe('')
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
