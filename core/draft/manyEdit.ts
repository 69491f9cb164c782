import { count } from '../text/count'
import { textEdits } from './edits'
import { tagKey, tagsCost, type LimitProfile } from './limits'

export const EDITED = ['title', 'description', 'tags'] as const
export type Edited = (typeof EDITED)[number]

/** A change that can be made in many texts. */
export type ManyEdit =
  /** Words give way to others, where they stand once, or `every` time. */
  | { field: 'title' | 'description'; find: string; put: string; every?: boolean }
  /** Text is put before all, or after all. */
  | { field: 'title' | 'description'; at: 'start' | 'end'; put: string }
  /** Tags are taken out, and others put in: in the place of the first that is taken out, or at an end. */
  | { field: 'tags'; remove: string[]; add: string[]; at?: 'start' | 'end' }

/** Why a change cannot be made in a text. */
export const MISFITS = ['absent', 'several', 'same', 'limits', 'unknown'] as const
export type Misfit = (typeof MISFITS)[number]

/** A text of a video, or its tags. */
export type EditedValue = string | string[]

const SPACE = /\s/u
/** What belongs to a sentence, and not to the word before it. */
const TRAILING = /^[.,;:!?)\]\s]$/u
const isSigned = (text: string, at: number) => at >= 0 && at < text.length && !SPACE.test(text[at]!)
const LETTER = /[\p{L}\p{M}\p{N}]/u

/**
 * The change that makes one text of another, in whole words, so that it can be made in other texts: words that give way
 * to others, or text put before or after all. Words put into the middle take the words before them along.
 *
 * @returns `null` where nothing changed.
 */
export function editLike(field: 'title' | 'description', before: string, after: string): ManyEdit | null
export function editLike(field: 'tags', before: string[], after: string[]): ManyEdit | null
export function editLike(field: Edited, before: EditedValue, after: EditedValue): ManyEdit | null {
  if (field === 'tags') return tagsLike(before as string[], after as string[])
  return textLike(field, before as string, after as string)
}

const lineStart = (text: string, at: number) => text.lastIndexOf('\n', at - 1) + 1

/**
 * Where a stretch that was put in or taken out begins and ends: of the places that come to the same, the one at the
 * start of a line, or of a word.
 */
function atWords(before: string, after: string, start: number, end: number): [number, number] {
  const endAfter = after.length - (before.length - end)
  const [text, from, to] = start === end ? [after, start, endAfter] : [before, start, end]
  if (start !== end && endAfter !== start) return [start, end]
  const rank = (at: number) => (at === 0 || text[at - 1] === '\n' ? 2 : SPACE.test(text[at - 1]!) ? 1 : 0)
  let best = 0
  for (let by = 0; from - by > 0 && text[from - by - 1] === text[to - by - 1];) {
    by++
    if (rank(from - by) > rank(from - best)) best = by
  }
  return [start - best, end - best]
}

function textLike(field: 'title' | 'description', before: string, after: string): ManyEdit | null {
  const edits = textEdits(before, after)
  if (!edits.length) return null
  let [start, end] = atWords(before, after, edits[0]!.start, edits.at(-1)!.end)
  const tail = before.length - end
  // Text that was put before or after all stands alike in all texts.
  if (start === end && start === 0) return { field, at: 'start', put: after.slice(0, after.length - tail) }
  if (start === end && tail === 0) return { field, at: 'end', put: after.slice(start) }
  const grown = (at: number, by: -1 | 1, to: number) => {
    while (at !== to && isSigned(before, by < 0 ? at - 1 : at)) at += by
    return at
  }
  const endAfter = (stop: number) => after.length - (before.length - stop)
  // No word is cut: neither one that gives way, nor one that is put there.
  if (isSigned(before, start - 1) && (isSigned(before, start) || isSigned(after, start))) start = grown(start, -1, 0)
  if (isSigned(before, end) && (isSigned(before, end - 1) || isSigned(after, endAfter(end) - 1)))
    end = grown(end, 1, before.length)
  if (!before.slice(start, end).trim()) {
    // Nothing of its own to be found by: the words before it, or those after it, are.
    const left = before.slice(0, start).trimEnd().length
    // A line is put after the whole of the line before it.
    if (left > 0) start = before.slice(left, end).includes('\n') ? lineStart(before, left) : grown(left, -1, 0)
    else end = grown(end + before.slice(end).search(/\S/u), 1, before.length)
  }
  const isAlike = () => TRAILING.test(before[end - 1]!) && before[end - 1] === after[endAfter(end) - 1]
  while (end > start + 1 && endAfter(end) > start && isAlike()) end--
  return { field, find: before.slice(start, end), put: after.slice(start, endAfter(end)) }
}

function tagsLike(before: string[], after: string[]): ManyEdit | null {
  const without = (list: string[], those: string[]) => {
    const keys = new Set(those.map(tagKey))
    return list.filter(tag => !keys.has(tagKey(tag)))
  }
  const [remove, add] = [without(before, after), without(after, before)]
  if (!remove.length && !add.length) return null
  const isFirst = add.length > 0 && tagKey(after[0]!) === tagKey(add[0]!)
  return { field: 'tags', remove, add, at: isFirst ? 'start' : 'end' }
}

/** Where words stand as whole words. */
function* placesOf(text: string, find: string): Generator<number> {
  const isWord = (at: number) => at >= 0 && at < text.length && LETTER.test(text[at]!)
  const [opens, closes] = [LETTER.test(find[0]!), LETTER.test(find.at(-1)!)]
  for (let at = text.indexOf(find); at >= 0; at = text.indexOf(find, at + 1))
    if (!(opens && isWord(at - 1)) && !(closes && isWord(at + find.length))) yield at
}

/**
 * Makes a change in a text of another video.
 *
 * @param value `null` where it was never told.
 * @returns the text with it, or why it does not fit: its words do not stand there, or `several` times, it is so
 *   already, or the limits do not allow it.
 */
export function withEdit(
  edit: ManyEdit,
  value: EditedValue | null,
  profile: LimitProfile,
): { after: EditedValue } | { misfit: Misfit } {
  if (value === null) return { misfit: 'unknown' }
  if (edit.field === 'tags') return tagsWith(edit, value as string[], profile)
  const text = value as string
  let after: string
  if ('at' in edit) {
    const { at, put } = edit
    if (put.trim() && (at === 'start' ? text.startsWith(put) : text.endsWith(put))) return { misfit: 'same' }
    after = at === 'start' ? put + text : text + put
  } else {
    const { find, put, every } = edit
    if (find === put) return { misfit: 'same' }
    const places = [...placesOf(text, find)].filter((at, i, all) => i === 0 || at >= all[i - 1]! + find.length)
    if (!places.length) return { misfit: put.trim() && !placesOf(text, put).next().done ? 'same' : 'absent' }
    if (places.length > 1 && !every) return { misfit: 'several' }
    after = ''
    let from = 0
    for (const at of places) {
      after += text.slice(from, at) + put
      from = at + find.length
    }
    after += text.slice(from)
  }
  const { limit, unit, forbidden } = profile[edit.field]
  if (count(after, unit) > limit || forbidden.some(sign => after.includes(sign) && !text.includes(sign)))
    return { misfit: 'limits' }
  if (edit.field === 'title' && !after.trim()) return { misfit: 'limits' }
  return { after }
}

function tagsWith(
  { remove, add, at }: Extract<ManyEdit, { field: 'tags' }>,
  tags: string[],
  profile: LimitProfile,
): { after: string[] } | { misfit: Misfit } {
  const gone = new Set(remove.map(tagKey))
  const first = tags.findIndex(tag => gone.has(tagKey(tag)))
  const has = new Set(tags.map(tagKey))
  const fresh = add.filter(tag => !has.has(tagKey(tag)))
  if (remove.length && first < 0) return { misfit: add.length && !fresh.length ? 'same' : 'absent' }
  if (!remove.length && !fresh.length) return { misfit: 'same' }
  const kept = tags.filter(tag => !gone.has(tagKey(tag)))
  const place =
    first >= 0 ? tags.slice(0, first).filter(tag => !gone.has(tagKey(tag))).length : at === 'start' ? 0 : kept.length
  const after = kept.toSpliced(place, 0, ...fresh)
  return tagsCost(after, profile) > profile.tags.limit ? { misfit: 'limits' } : { after }
}

/** One text for what has several lines: tags each on a line of their own. */
export const editedText = (value: EditedValue) => (Array.isArray(value) ? value.join('\n') : value)
