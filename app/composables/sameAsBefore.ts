/**
 * A new answer in which every part that is the same as before is the object it was, so that what is drawn from it need
 * not be drawn anew. For plain data: lists, objects and values.
 *
 * Cost: each part of the answer is looked at once.
 *
 * @param before may be of any shape; it is not changed.
 */
export function sameAsBefore<Value>(before: unknown, next: Value): Value {
  if (before === next || !isData(before) || !isData(next)) return next
  if (Array.isArray(before) !== Array.isArray(next)) return next
  const parts = Object.keys(next).map((key): [string, unknown] => [
    key,
    sameAsBefore(Object.hasOwn(before, key) ? before[key] : undefined, next[key]),
  ])
  const same =
    parts.length === Object.keys(before).length &&
    parts.every(([key, part]) => Object.hasOwn(before, key) && Object.is(part, before[key]))
  if (same) return before as Value
  return (Array.isArray(next) ? parts.map(([, part]) => part) : Object.fromEntries(parts)) as Value
}

type Data = Record<string, unknown>
const isData = (value: unknown): value is Data => typeof value === 'object' && value !== null
