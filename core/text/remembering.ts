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
