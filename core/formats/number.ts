const SUFFIX: Record<string, number> = { k: 1e3, m: 1e6, b: 1e9 }
const MARKS = /[.,'’\u00a0\u202f _]/u

/**
 * Reads a number as people's lists hold it: decimal points or commas, thousands marks, `1.2K`,
 * a percent sign. One mark followed by exactly three digits parts thousands unless a zero leads.
 *
 * @returns `null` for an empty cell or a dash; `NaN` for anything that is not a number.
 * @example looseNumber('1.234,5') // 1234.5
 * @example looseNumber('1.2K')    // 1200
 */
export function looseNumber(cell: string): number | null {
  // Most lists hold plain numbers: they need no second look.
  if (/^-?\d{1,15}(?:\.\d{1,2})?$/u.test(cell)) return Number(cell)
  let text = cell.trim()
  if (text === '' || /^[-–—]$|^n\/?a$/iu.test(text)) return null
  let factor = 1
  const suffix = /[kmb%]$/iu.exec(text)
  if (suffix) {
    factor = suffix[0] === '%' ? 0.01 : SUFFIX[suffix[0].toLowerCase()]!
    text = text.slice(0, suffix.index).trimEnd()
  }
  if (!/^[+-]?\d/u.test(text) || !/^[+-]?[\d.,'’\u00a0\u202f _]+(e[+-]?\d+)?$/iu.test(text)) return Number.NaN
  if (/e/iu.test(text)) return Number(text) * factor
  if (/[.,]$|[.,]{2}/u.test(text)) return Number.NaN
  const plain = text.replace(/['’\u00a0\u202f _]/gu, '')
  const dots = plain.split('.').length - 1
  const commas = plain.split(',').length - 1
  let decimal = ''
  if (dots && commas) decimal = plain.lastIndexOf('.') > plain.lastIndexOf(',') ? '.' : ','
  else if (dots + commas === 1) {
    const mark = dots ? '.' : ','
    const [before, after] = plain.split(mark) as [string, string]
    const thousands = after.length === 3 && !/^[+-]?0?$/u.test(before) && factor === 1
    decimal = thousands ? '' : mark
  }
  const digits =
    decimal === ','
      ? plain.replaceAll('.', '').replace(',', '.')
      : decimal === '.'
        ? plain.replaceAll(',', '')
        : plain.replace(new RegExp(MARKS, 'gu'), '')
  return Number(digits) * factor
}
