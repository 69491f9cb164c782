import type { Captions } from '../captions/cue'
import type { GRADES } from '../text/match'
import { applyList, applyText, textEdits, type ListEdit, type TextEdit } from './edits'

/** The texts of one video. A field that is absent does not apply; an empty one is missing. */
export interface Draft {
  fileName?: string
  title?: string
  description?: string
  tags?: string[]
  playlist?: { title: string; description: string }
  /** What is spoken, or is to be. */
  captions?: Captions
  durationSeconds?: number
  /** `false` for a video that nobody is to find by searching: nothing search-like is asked of it. */
  forSearch?: boolean
}

/** The texts of a video as they are kept and sent: what is spoken is not read yet. */
export interface DraftTexts extends Omit<Draft, 'captions'> {
  /** SRT, WebVTT, or what is said without times. */
  captions?: string
  /** Stands in for captions where there are none. */
  outline?: string
}

/** The phrases a text is written for. */
export interface DraftPhrases {
  lead: string
  support: string[]
}

/** The fields in which a check finds things and a fix changes them. */
export const FIELDS = ['title', 'description', 'tags', 'fileName', 'playlist', 'captions'] as const
export type Field = (typeof FIELDS)[number]

/** A stretch of a field's text, UTF-16 and half-open; for tags, `item` is the tag's index. */
export interface FieldRange {
  field: Field
  item?: number
  start: number
  end: number
}

/** A ready-made change that one click applies, as edits of one field. */
export type Fix = (
  | { label: string; field: 'title' | 'description' | 'fileName'; edits: TextEdit[] }
  | { label: string; field: 'tags'; edits: ListEdit[] }
) & {
  /** Points it brings under the rule set, where that was worked out. */
  gain?: number
}

/** A change that makes one text of another. */
export const textFix = (
  label: string,
  field: 'title' | 'description' | 'fileName',
  before: string,
  after: string,
): Fix => ({ label, field, edits: textEdits(before, after) })

/** What a field of a draft is once a fix is applied. */
export const fixed = (draft: Draft, fix: Fix): string | string[] =>
  fix.field === 'tags' ? applyList(draft.tags ?? [], fix.edits) : applyText(draft[fix.field] ?? '', fix.edits)

/** Where a phrase stands, for the placement grid. */
export interface Placement {
  phrase: string
  place: PlaceId
  /** The tag's, hashtag's, chapter's or cue's index, where the place holds several. */
  item?: number
  grade: (typeof GRADES)[number]
  /** Offsets in the place's own field, or in the tag named by `item`. */
  start: number
  end: number
}

/** Where a phrase can stand. */
export const PLACES = [
  'fileName',
  'title',
  'titleFront',
  'firstLine',
  'opening',
  'description',
  'firstTag',
  'tags',
  'hashtags',
  'chapters',
  'playlist',
  'spoken',
] as const
export type PlaceId = (typeof PLACES)[number]
