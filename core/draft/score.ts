import { count } from '../text/count'
import { match, readPhrase, type Match, type ReadPhrase, type ReadText } from '../text/match'
import { chaptersOf } from '../chapters/lines'
import type { Check, CheckInput, Need, Outcome, Question } from './check'
import { CHECKS } from './checks'
import { NO_CONTEXT, type DraftContext } from './context'
import type { Draft, DraftPhrases, Field, PlaceId, Placement } from './draft'
import { hashtagsOf } from './hashtags'
import { tagsCost, type LimitProfile } from './limits'
import { placements } from './placements'
import { placeTexts, type PlaceText } from './places'
import type { RuleSet } from './ruleset'
import { settingValues } from './settings'

export type CheckState = 'met' | 'partly' | 'missing' | 'n/a'

export interface CheckResult extends Omit<Outcome, 'fraction'> {
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
}

export interface Tally {
  used: number
  limit: number
  unit: string
}

export interface Score {
  points: number
  outOf: number
  /**
   * 0 to 100; `null` when no check applies, or there is no lead phrase that checks of the rule set need: a share of the
   * rest would promise too much.
   */
  percent: number | null
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

function stateOf(fraction: number | null): CheckState {
  if (fraction === null) return 'n/a'
  return fraction >= 0.9995 ? 'met' : fraction > 0 ? 'partly' : 'missing'
}

/** Texts and matches of one draft, each made once however many checks ask. */
function inputFor(
  draft: Draft,
  phrases: DraftPhrases,
  profile: LimitProfile,
  language: string,
  context: DraftContext,
): CheckInput & { places: PlaceText[] } {
  const places = placeTexts(draft, profile, language)
  const byPlace = new Map<PlaceId, PlaceText[]>()
  for (const text of places) {
    const list = byPlace.get(text.place)
    if (list) list.push(text)
    else byPlace.set(text.place, [text])
  }
  const lead = readPhrase(phrases.lead, language)
  const support = phrases.support.map(phrase => readPhrase(phrase, language)).filter(phrase => phrase.norms.length)
  const columns = new Map<ReadText, number>(places.map((place, i) => [place.text, i]))
  const rows = new Map<ReadPhrase, number>([lead, ...support].map((phrase, i) => [phrase, i]))
  const matches: Match[] = []
  return {
    draft,
    places,
    profile,
    language,
    context,
    lead: lead.norms.length ? lead : null,
    support,
    at: place => byPlace.get(place) ?? [],
    match: (phrase, text) => (matches[rows.get(phrase)! * places.length + columns.get(text)!] ??= match(phrase, text)),
  }
}

/**
 * Points won of points that apply, check by check, with the placements of every phrase.
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
  const input = inputFor(draft, phrases, profile, language, context)
  const checks: CheckResult[] = []
  let points = 0
  let outOf = 0
  for (const check of CHECKS) {
    const rule = ruleSet.checks[check.id]
    if (!rule || rule.weight <= 0) continue
    const lacking = check.needs.find(need => !NEEDED[need](input))
    const { fraction, ...rest }: Outcome = lacking
      ? {
          fraction: null,
          message: `Needs ${lacking === 'support' ? 'support phrases' : lacking === 'lead' ? 'a lead phrase' : `the ${lacking}`}.`,
          ranges: [],
          fixes: [],
        }
      : check.run({ ...input, settings: settingValues(check.settings, rule.settings) })
    const possible = fraction === null ? 0 : rule.weight
    const won = fraction === null ? 0 : fraction * rule.weight
    points += won
    outOf += possible
    const { id, version, field, question, title, why } = check
    checks.push({
      id,
      version,
      field,
      question,
      title,
      why,
      state: stateOf(fraction),
      points: won,
      outOf: possible,
      weight: rule.weight,
      lacks: lacking ?? null,
      ...rest,
    })
  }
  const all = [...(input.lead ? [input.lead] : []), ...input.support]
  return {
    points,
    outOf,
    percent: outOf && !checks.some(check => check.lacks === 'lead') ? (100 * points) / outOf : null,
    checks,
    counts: countsOf(draft, profile),
    placements: placements(all, input.places, input.match),
  }
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
