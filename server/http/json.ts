/** How deep a JSON text is nested at most, from its brackets alone. */
export function nesting(text: string): number {
  let [depth, deepest] = [0, 0]
  let inText = false
  for (let i = 0; i < text.length; i++) {
    const sign = text.charCodeAt(i)
    if (inText) {
      if (sign === BACKSLASH) i++
      else if (sign === QUOTE) inText = false
    } else if (sign === QUOTE) inText = true
    else if (sign === BRACKET || sign === BRACE) deepest = Math.max(deepest, ++depth)
    else if (sign === BRACKET_END || sign === BRACE_END) depth--
  }
  return deepest
}
const [QUOTE, BACKSLASH, BRACKET, BRACKET_END, BRACE, BRACE_END] = ['"', '\\', '[', ']', '{', '}'].map(sign =>
  sign.charCodeAt(0),
)

/** Whether every text in a value, names included, consists of whole characters. */
export function wellFormed(value: unknown): boolean {
  if (typeof value === 'string') return isWellFormed(value)
  if (Array.isArray(value)) return value.every(wellFormed)
  if (typeof value !== 'object' || value === null) return true
  return Object.entries(value).every(([name, each]) => isWellFormed(name) && wellFormed(each))
}
const isWellFormed = (text: string) =>
  !/[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/.test(text)
