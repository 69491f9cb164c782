import { spokenWords } from '../captions/spoken'
import { codePointOffset } from '../text/count'
import { readText, type ReadText } from '../text/match'
import { cutAt } from '../text/width'
import { chaptersOf } from '../chapters/lines'
import type { Draft, PlaceId } from './draft'
import { hashtagsOf } from './hashtags'
import type { LimitProfile } from './limits'

/** One text in which phrases are looked for; `offset` is where it begins in its field. */
export interface PlaceText {
  place: PlaceId
  item?: number
  offset: number
  text: ReadText
}

/** The first line of a description with words in it, and where it begins. */
export function firstLineOf(description: string): { text: string; start: number } {
  const found = /\S[^\n\r]*/u.exec(description)
  return found ? { text: found[0].trimEnd(), start: found.index } : { text: '', start: 0 }
}

/** What a result shows of a description: its first code points. */
export function openingOf(description: string, profile: LimitProfile): string {
  return description.slice(0, codePointOffset(description, profile.description.openingCodePoints))
}

/**
 * All texts of a draft by place. Absent fields give no text, so that a place which does not
 * apply can be told from one that lacks the phrase.
 */
export function placeTexts(draft: Draft, profile: LimitProfile, language: string): PlaceText[] {
  const places: PlaceText[] = []
  const add = (place: PlaceId, raw: string, offset = 0, item?: number) =>
    places.push({ place, offset, text: readText(raw, language), ...(item === undefined ? {} : { item }) })

  if (draft.fileName !== undefined) add('fileName', draft.fileName.replace(/\.[a-z0-9]{2,4}$/iu, ''))
  if (draft.title !== undefined) {
    add('title', draft.title)
    add('titleFront', draft.title.slice(0, cutAt(draft.title, profile.surfaces.phone)))
  }
  if (draft.description !== undefined) {
    const line = firstLineOf(draft.description)
    add('firstLine', line.text, line.start)
    add('opening', openingOf(draft.description, profile))
    add('description', draft.description)
    hashtagsOf(draft.description).forEach((tag, i) => add('hashtags', tag.text, tag.start, i))
    chaptersOf(draft.description).forEach((chapter, i) => add('chapters', chapter.title, chapter.titleStart, i))
  }
  draft.tags?.forEach((tag, i) => {
    if (i === 0) add('firstTag', tag, 0, 0)
    add('tags', tag, 0, i)
  })
  if (draft.playlist) add('playlist', `${draft.playlist.title}\n${draft.playlist.description}`)
  if (draft.captions) places.push({ place: 'spoken', offset: 0, text: spokenWords(draft.captions, language) })
  return places
}
