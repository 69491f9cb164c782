/** Numbers, plurals and lists as Fonetra's own texts write them. */

const digits = new Intl.NumberFormat('en')
const plural = new Intl.PluralRules('en')
const both = new Intl.ListFormat('en', { type: 'conjunction' })
const either = new Intl.ListFormat('en', { type: 'disjunction' })

/** A number in digits, with its thousands apart: 12,400. */
export const inDigits = (n: number): string => digits.format(n)

/** `1 phrase`, `3 phrases`. */
export const counted = (n: number, one: string, many = `${one}s`): string =>
  `${inDigits(n)} ${plural.select(n) === 'one' ? one : many}`

/** `a, b, and c`. */
export const listed = (parts: Iterable<string>): string => both.format(parts)

/** `a, b, or c`. */
export const listedOr = (parts: Iterable<string>): string => either.format(parts)
