/** A number as typed, with thousands separators or spaces; `undefined` for an empty field, `NaN` for anything else. */
export const typedNumber = (value: string): number | undefined =>
  value.trim() === '' ? undefined : Number(value.replaceAll(/[, ]/gu, ''))

/** Why a typed number cannot be used; empty where it can. */
export function numberProblem(value: string): string {
  const number = typedNumber(value)
  return number !== undefined && !(number >= 0) ? 'Enter a number of 0 or more.' : ''
}
