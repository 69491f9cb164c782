import type { Match, Range, ReadPhrase, ReadText } from '../text/match'
import type { DraftContext } from './context'
import type { Draft, Field, FieldRange, Fix, PlaceId } from './draft'
import type { LimitProfile } from './limits'
import type { PlaceText } from './places'
import type { Setting, SettingValues } from './settings'

/**
 * The question a check answers, by which the ledger groups: can search match it, would a person
 * pick it among its neighbours, does it promise what the video delivers, are limits and form right.
 */
export const QUESTIONS = ['found', 'chosen', 'kept', 'sound'] as const
export type Question = (typeof QUESTIONS)[number]

/** What a check sees. Texts are read once per draft and shared by all checks. */
export interface CheckInput {
  draft: Draft
  lead: ReadPhrase | null
  support: ReadPhrase[]
  profile: LimitProfile
  language: string
  /** What is known around the draft, such as its neighbours on the page. */
  context: DraftContext
  /** The texts at a place, in order; empty where the place does not apply. */
  at: (place: PlaceId) => PlaceText[]
  /** A memoised match of a phrase in a text at a place. */
  match: (phrase: ReadPhrase, text: ReadText) => Match
}

/** What a check may need to have something to look at. */
export type Need = 'lead' | 'support' | 'title' | 'description' | 'tags' | 'fileName' | 'playlist' | 'captions'

export interface Outcome {
  /** 0 to 1; `null` when there is nothing to look at, and the check then does not apply. */
  fraction: number | null
  /** What was found and, where it falls short, what to do. */
  message: string
  ranges: FieldRange[]
  /** Worked out only when asked for: most who score a text want its points. */
  fixes: () => Fix[]
}

export interface Check<Settings extends Record<string, Setting> = Record<string, Setting>> {
  id: string
  version: number
  field: Field
  question: Question
  /** A short name of the thing looked at. */
  title: string
  /** Why it may matter; one sentence, no promise. */
  why: string
  /** Without these the check does not apply. */
  needs: readonly Need[]
  /** Its thresholds as declared; a rule set may give other values. */
  settings: Settings
  run: (input: CheckInput & { settings: SettingValues<Settings> }) => Outcome
}

/** Declares a check; what it is run with has the types of its settings. */
export function defineCheck<Settings extends Record<string, Setting>>(check: Check<Settings>): Check {
  return check as unknown as Check
}

const noFixes = () => []
const outcome = (fraction: number | null, message: string, extra: Partial<Outcome>): Outcome => ({
  fraction,
  message,
  ranges: extra.ranges ?? [],
  fixes: extra.fixes ?? noFixes,
})

/** The check is met in full. */
export const met = (message: string, extra: Partial<Outcome> = {}) => outcome(1, message, extra)
/** The check is met in part. */
export const partly = (fraction: number, message: string, extra: Partial<Outcome> = {}) =>
  outcome(Math.min(1, Math.max(0, fraction)), message, extra)
/** Nothing of it is there. */
export const missing = (message: string, extra: Partial<Outcome> = {}) => outcome(0, message, extra)
/** There is nothing to look at. */
export const notApplicable = (message: string) => outcome(null, message, {})

/** The same ranges, placed in a field. */
export function inField(field: Field, ranges: readonly Range[], offset = 0): FieldRange[] {
  return ranges.map(range => ({ field, start: range.start + offset, end: range.end + offset }))
}

/** A phrase as it would begin a sentence. @param language BCP 47, which says what a capital is. */
export const asSentence = (phrase: string, language: string) => {
  const trimmed = phrase.trim()
  const first = String.fromCodePoint(trimmed.codePointAt(0) ?? 0x20)
  return first.toLocaleUpperCase(language) + trimmed.slice(first.length)
}
