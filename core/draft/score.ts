import { count } from '../text/count'
import { match, readPhrase, type Match, type ReadPhrase, type ReadText } from '../text/match'
import { chaptersOf } from '../chapters/lines'
import { notApplicable, type Check, type CheckInput, type Need, type Outcome, type Question } from './check'
import { CHECKS } from './checks'
import { NO_CONTEXT, type DraftContext } from './context'
import type { Draft, DraftPhrases, Field, Fix, PlaceId, Placement } from './draft'
import { hashtagsOf } from './hashtags'
import { tagsCost, type LimitProfile } from './limits'
import { placements } from './placements'
import { placeTexts, type PlaceText } from './places'
import type { RuleSet } from './ruleset'
import { settingValues, type Setting, type SettingValues } from './settings'

export type CheckState = 'met' | 'partly' | 'missing' | 'n/a'

export interface CheckResult extends Omit<Outcome, 'fraction' | 'fixes'> {
  id: string
  version: number
  field: Field
  question: Question
  title: string
  why: string
  state: CheckState
  /** Points won, unrounded, of the points it can bring; both 0 when it does not apply. */
  points: number
  outOf: number
  /** What it is worth in this rule set, also where it does not apply. */
  weight: number
  /** What the draft lacks for it to apply; `null` where it applies, or has nothing to look at. */
  lacks: Need | null
  fixes: Fix[]
}

export interface Tally {
  used: number
  limit: number
  unit: string
}

export interface Points {
  points: number
  outOf: number
  /**
   * 0 to 100; `null` when no check applies, or there is no lead phrase that checks of the rule set need: a share of the
   * rest would promise too much.
   */
  percent: number | null
}

export interface Score extends Points {
  checks: CheckResult[]
  counts: { title: Tally; description: Tally & { characters: number }; tags: Tally; hashtags: Tally; chapters: Tally }
  placements: Placement[]
}

const NEEDED: Record<Check['needs'][number], (input: CheckInput) => boolean> = {
  lead: input => input.lead !== null,
  support: input => input.support.length > 0,
  title: input => input.draft.title !== undefined,
  description: input => input.draft.description !== undefined,
  tags: input => input.draft.tags !== undefined,
  fileName: input => input.draft.fileName !== undefined,
  playlist: input => input.draft.playlist !== undefined,
  captions: input => input.draft.captions !== undefined,
}

/** How a check stands by its fraction. */
export function stateOf(fraction: number | null): CheckState {
  if (fraction === null) return 'n/a'
  return fraction >= 0.9995 ? 'met' : fraction > 0 ? 'partly' : 'missing'
}

/** The texts of one draft, read once however many checks and phrases ask. */
export interface DraftReading {
  draft: Draft
  places: PlaceText[]
  byPlace: Map<PlaceId, PlaceText[]>
  /** The number of each text among them. */
  columns: Map<ReadText, number>
}

export function draftReading(draft: Draft, profile: LimitProfile, language: string): DraftReading {
  const places = placeTexts(draft, profile, language)
  const byPlace = new Map<PlaceId, PlaceText[]>()
  for (const text of places) {
    const list = byPlace.get(text.place)
    if (list) list.push(text)
    else byPlace.set(text.place, [text])
  }
  return { draft, places, byPlace, columns: new Map(places.map((place, i) => [place.text, i])) }
}

/** A draft with the playlist it stands in, unless it names one itself. */
const inPlaylist = (draft: Draft, { playlist }: DraftContext): Draft =>
  playlist && !draft.playlist ? { ...draft, playlist } : draft

const NO_PHRASES: DraftPhrases = { lead: '', support: [] }
/** Whether a check asks whether a video is found. */
const aboutSearch = ({ question, needs }: Check) =>
  question === 'found' || needs.includes('lead') || needs.includes('support')

/** What checks are tried with; each match is made once. */
export function inputFor(
  { draft, places, byPlace, columns }: DraftReading,
  phrases: DraftPhrases,
  profile: LimitProfile,
  language: string,
  context: DraftContext,
): CheckInput {
  const asked = draft.forSearch === false ? NO_PHRASES : phrases
  const lead = readPhrase(asked.lead, language)
  const support = asked.support.map(phrase => readPhrase(phrase, language)).filter(phrase => phrase.norms.length)
  const rows = new Map<ReadPhrase, number>([lead, ...support].map((phrase, i) => [phrase, i]))
  const matches: Match[] = []
  return {
    draft,
    profile,
    language,
    context,
    lead: lead.norms.length ? lead : null,
    support,
    at: place => byPlace.get(place) ?? [],
    match: (phrase, text) => (matches[rows.get(phrase)! * places.length + columns.get(text)!] ??= match(phrase, text)),
  }
}

/** A check of the rule set as tried on a draft. */
export interface TriedCheck {
  check: Check
  weight: number
  lacks: Need | null
  outcome: Outcome
}

const lacking = (need: Need): Outcome =>
  notApplicable(`Needs ${need === 'support' ? 'support phrases' : need === 'lead' ? 'a lead phrase' : `the ${need}`}.`)

/** What a check makes of a draft. @param settings its thresholds, as `settingValues` gives them. */
export function tryCheck(
  check: Check,
  settings: SettingValues<Record<string, Setting>>,
  input: CheckInput,
): { lacks: Need | null; outcome: Outcome } {
  if (input.draft.forSearch === false && aboutSearch(check))
    return { lacks: null, outcome: notApplicable('The video is not meant for search.') }
  const lacks = check.needs.find(need => !NEEDED[need](input)) ?? null
  if (lacks) return { lacks, outcome: lacking(lacks) }
  // By way of the prototype: whoever made the input can tell what of it was looked at.
  return { lacks, outcome: check.run(Object.assign(Object.create(input) as CheckInput, { settings })) }
}

interface CountedCheck {
  check: Check
  weight: number
  settings: SettingValues<Record<string, Setting>>
}
/** A set scores many texts before it is changed; a changed one is another object. */
const counted = new WeakMap<RuleSet['checks'], CountedCheck[]>()

/** The checks of a rule set that count, each with its thresholds. */
export function checksOf({ checks }: RuleSet): readonly CountedCheck[] {
  let found = counted.get(checks)
  if (!found) {
    found = CHECKS.flatMap(check => {
      const rule = checks[check.id]
      return rule && rule.weight > 0
        ? [{ check, weight: rule.weight, settings: settingValues(check.settings, rule.settings) }]
        : []
    })
    counted.set(checks, found)
  }
  return found
}

const tryChecks = (input: CheckInput, ruleSet: RuleSet): TriedCheck[] =>
  checksOf(ruleSet).map(({ check, weight, settings }) => ({ check, weight, ...tryCheck(check, settings, input) }))

/** Points a check brings. */
export const pointsFor = ({ weight, outcome: { fraction } }: TriedCheck) => (fraction === null ? 0 : fraction * weight)

function sumOf(tried: readonly TriedCheck[]): Points {
  let [points, outOf] = [0, 0]
  for (const each of tried) {
    points += pointsFor(each)
    outOf += each.outcome.fraction === null ? 0 : each.weight
  }
  return {
    points,
    outOf,
    percent: outOf && !tried.some(({ lacks }) => lacks === 'lead') ? (100 * points) / outOf : null,
  }
}

/**
 * Points won of points that apply, check by check, with the fixes and the placements of every phrase.
 *
 * A field absent from the draft does not apply; an empty one is missing; a check with nothing to
 * look at does not apply rather than pass.
 *
 * @param language BCP 47: which stems and stop words to use. @param context what is known around the draft.
 */
export function scoreDraft(
  draft: Draft,
  phrases: DraftPhrases,
  ruleSet: RuleSet,
  profile: LimitProfile,
  language: string,
  context: DraftContext = NO_CONTEXT,
): Score {
  const reading = draftReading(inPlaylist(draft, context), profile, language)
  const input = inputFor(reading, phrases, profile, language, context)
  const tried = tryChecks(input, ruleSet)
  const all = [...(input.lead ? [input.lead] : []), ...input.support]
  return {
    ...sumOf(tried),
    checks: tried.map(each => {
      const { check, weight, lacks, outcome } = each
      const { id, version, field, question, title, why } = check
      return {
        id,
        version,
        field,
        question,
        title,
        why,
        state: stateOf(outcome.fraction),
        points: pointsFor(each),
        outOf: outcome.fraction === null ? 0 : weight,
        weight,
        lacks,
        message: outcome.message,
        ranges: outcome.ranges,
        fixes: outcome.fixes(),
      }
    }),
    counts: countsOf(draft, profile),
    placements: placements(all, reading.places, input.match),
  }
}

/** The points alone, at some half of the cost; the same as `scoreDraft` gives. */
export function pointsOf(
  draft: Draft,
  phrases: DraftPhrases,
  ruleSet: RuleSet,
  profile: LimitProfile,
  language: string,
  context: DraftContext = NO_CONTEXT,
): Points & { tried: TriedCheck[] } {
  const reading = draftReading(inPlaylist(draft, context), profile, language)
  const tried = tryChecks(inputFor(reading, phrases, profile, language, context), ruleSet)
  return { ...sumOf(tried), tried }
}

/** How much of each limit a draft uses. */
export function countsOf(draft: Draft, profile: LimitProfile): Score['counts'] {
  const description = draft.description ?? ''
  return {
    title: { used: count(draft.title ?? '', profile.title.unit), limit: profile.title.limit, unit: profile.title.unit },
    description: {
      used: count(description, profile.description.unit),
      limit: profile.description.limit,
      unit: profile.description.unit,
      characters: count(description, 'codePoints'),
    },
    tags: { used: tagsCost(draft.tags ?? [], profile), limit: profile.tags.limit, unit: profile.tags.unit },
    hashtags: { used: hashtagsOf(description).length, limit: profile.hashtags.ignoredPast, unit: 'hashtags' },
    chapters: { used: chaptersOf(description).length, limit: profile.chapters.least, unit: 'chapters' },
  }
}
