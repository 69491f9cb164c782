/** Brackets and marks of which one half opens and the other closes. */
export const PAIRS = [
  ['(', ')'],
  ['[', ']'],
  ['{', '}'],
  ['«', '»'],
  ['「', '」'],
  ['『', '』'],
  ['¿', '?'],
  ['¡', '!'],
] as const

/**
 * Quotation marks of which one opens in some languages and closes in others: their halves cannot be counted against
 * each other.
 */
export const CURLED_PAIRS = [
  ['“', '”'],
  ['„', '“'],
] as const

/** Two halves with nothing between them. */
export const EMPTY_PAIRS = /\(\s*\)|\[\s*\]|\{\s*\}|«\s*»|“\s*”|„\s*“|‘\s*’|「\s*」|『\s*』|"\s*"/gu
