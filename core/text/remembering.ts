/**
 * A function of a text that keeps its last answers: several checks ask the same of one text, and a fix leaves most
 * texts as they are.
 * @param most answers kept; past it they are forgotten all at once.
 */
export function remembering<Value>(most: number, make: (text: string) => Value): (text: string) => Value {
  const kept = new Map<string, Value>()
  return text => {
    let value = kept.get(text)
    if (value === undefined) {
      if (kept.size >= most) kept.clear()
      kept.set(text, (value = make(text)))
    }
    return value
  }
}

/** Languages whose answers are kept at a time. */
const LANGUAGES_KEPT = 4

/**
 * The same for a function of a text and its language.
 * @param most answers kept for each language. @param longest texts longer than this are not kept: thousands of them
 * would fill the memory.
 */
export function rememberingIn<Value extends object>(
  most: number,
  longest: number,
  make: (text: string, language: string) => Value,
): (text: string, language: string) => Value {
  const byLanguage = new Map<string, Map<string, Value>>()
  return (text, language) => {
    if (text.length > longest) return make(text, language)
    let kept = byLanguage.get(language)
    if (!kept || kept.size >= most) {
      if (!kept && byLanguage.size >= LANGUAGES_KEPT) byLanguage.clear()
      byLanguage.set(language, (kept = new Map<string, Value>()))
    }
    let value = kept.get(text)
    if (!value) kept.set(text, (value = make(text, language)))
    return value
  }
}
