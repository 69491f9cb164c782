/**
 * A text without some signs at its ends. A pattern that looks for them up to the end of a text begins anew at each of
 * them: with thousands in a row that takes seconds.
 *
 * @param sign matches one sign.
 * @example trimSigns('—a—', /—/u) // 'a'
 */
export function trimSigns(text: string, sign: RegExp, where: 'start' | 'end' | 'both' = 'both'): string {
  let [start, end] = [0, text.length]
  if (where !== 'start') while (end > 0 && sign.test(text[end - 1]!)) end--
  if (where !== 'end') while (start < end && sign.test(text[start]!)) start++
  return text.slice(start, end)
}
