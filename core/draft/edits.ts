/**
 * A change of a text: what stands from `start` to `end` gives way to `insert`. UTF-16 offsets into the text before any
 * edit, half-open.
 */
export interface TextEdit {
  start: number
  end: number
  insert: string
}

/** A change of a list: so many items from `item` on give way to others. Indexes refer to the list before any edit. */
export interface ListEdit {
  item: number
  remove: number
  insert: string[]
}

/** The text with edits applied. They stand in order and do not overlap. */
export function applyText(text: string, edits: readonly TextEdit[]): string {
  let [done, at] = ['', 0]
  for (const { start, end, insert } of edits) {
    done += text.slice(at, start) + insert
    at = end
  }
  return done + text.slice(at)
}

/** The list with edits applied. They stand in order and do not overlap. */
export function applyList(list: readonly string[], edits: readonly ListEdit[]): string[] {
  const done: string[] = []
  let at = 0
  for (const { item, remove, insert } of edits) {
    done.push(...list.slice(at, item), ...insert)
    at = item + remove
  }
  return [...done, ...list.slice(at)]
}

const isHigh = (code: number) => code >= 0xd800 && code <= 0xdbff
const isLow = (code: number) => code >= 0xdc00 && code <= 0xdfff

/** The one stretch in which two texts differ, no character cut in half. */
function hull(before: string, after: string, offset: number): TextEdit[] {
  if (before === after) return []
  const shorter = Math.min(before.length, after.length)
  let start = 0
  while (start < shorter && before[start] === after[start]) start++
  if (start > 0 && isHigh(before.charCodeAt(start - 1))) start--
  let tail = 0
  while (tail < shorter - start && before[before.length - 1 - tail] === after[after.length - 1 - tail]) tail++
  if (tail > 0 && isLow(before.charCodeAt(before.length - tail))) tail--
  return [
    { start: offset + start, end: offset + before.length - tail, insert: after.slice(start, after.length - tail) },
  ]
}

/**
 * Edits that make one text of another: line by line where both have as many, else the stretch from the first difference
 * to the last.
 */
export function textEdits(before: string, after: string): TextEdit[] {
  // Most fixes add at the end; neither text need be cut into lines then.
  if (after.length > before.length && after.startsWith(before))
    return [{ start: before.length, end: before.length, insert: after.slice(before.length) }]
  const [old, now] = [before.split('\n'), after.split('\n')]
  if (old.length !== now.length) return hull(before, after, 0)
  let offset = 0
  return old.flatMap((line, i) => {
    const edits = hull(line, now[i]!, offset)
    offset += line.length + 1
    return edits
  })
}
