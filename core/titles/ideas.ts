import { seeded } from '../random'
import { asSentence } from '../draft/check'
import type { DraftPhrases } from '../draft/draft'
import type { LimitProfile } from '../draft/limits'
import type { RuleSet } from '../draft/ruleset'
import { pointsOf } from '../draft/score'
import { contextOf } from './measure'
import { count } from '../text/count'
import { readText } from '../text/match'
import { mistakes } from '../text/misspelt'
import { primaryLanguage } from '../text/stems'
import { closeness, closestAmong, stemsOf, type Closest } from './closeness'
import { foldPhrases } from './fold'
import { formOf, type PhraseForm } from './form'
import { patternsOf, type PatternKind } from './pattern'

export interface TitleIdea {
  title: string
  /** What it adds to the phrase. */
  pattern: PatternKind
  /** What it brings under the rule set, and could bring: of the checks that look at a title alone. */
  points: number
  outOf: number
  /** The title of the page that it is closest to; `null` where no page is known. */
  closest: Closest | null
}

export interface IdeasQuestion {
  phrases: DraftPhrases
  /** BCP 47. */
  language: string
  ruleSet: RuleSet
  profile: LimitProfile
  /** Titles of the pages known, which no idea comes close to. */
  pageTitles?: readonly string[]
  /** Lower-case names of places. */
  places?: ReadonlySet<string>
  /** What may be put in. */
  year?: number
  brand?: string
  seed?: number
  /** As many ideas at most. */
  count?: number
}

/** An idea this close to a title of the page, or to another idea, is not offered. */
const TOO_CLOSE = 0.8
/** How much points count against difference from the ideas above. */
const POINTS_SHARE = 0.6
/** What it costs to have the pattern of one above. */
const SAME_PATTERN = 0.12
/** How far luck moves an idea. */
const LUCK = 0.06
const NUMBERS = [3, 4, 5, 6, 7]
const MINUTES = [4, 5, 6, 8, 10]
/** Phrases beside the lead that ideas are built on. */
const MOST_SUPPORT = 6

interface Candidate {
  title: string
  pattern: PatternKind
}

/**
 * A phrase as it begins a title: with a capital, and in English the “I” with its own.
 *
 * @param capitals lower-case words that are written with a capital wherever they stand.
 */
export function titleStart(phrase: string, language: string, capitals: ReadonlySet<string> = new Set()): string {
  const named = phrase.replace(/[\p{L}\p{M}'’-]+/gu, word =>
    capitals.has(word) || (word === 'i' && primaryLanguage(language) === 'en') ? asSentence(word, language) : word,
  )
  return asSentence(named, language)
}

/** Words that titles write with a capital wherever they stand: in German, the nouns. */
function nounsOf(titles: readonly string[], language: string): Set<string> {
  if (primaryLanguage(language) !== 'de') return new Set()
  const seen = new Map<string, number>()
  for (const title of titles)
    for (const word of title.match(/(?<=[\p{L}\p{N},–-] )[\p{L}-]+/gu) ?? []) {
      const key = word.toLowerCase()
      seen.set(key, (seen.get(key) ?? 0) + (word === key ? -1 : 1))
    }
  return new Set([...seen].filter(([, capitals]) => capitals > 0).map(([word]) => word))
}

/** A question opens where Spanish opens it. */
const opened = (title: string, language: string) =>
  primaryLanguage(language) === 'es' && /^[^¿]*\?/u.test(title) ? `¿${title}` : title

/** How a question ends: after a narrow space in French, with a sign of its own in Japanese. */
const MARKS: Record<string, string> = { fr: '\u202f?', ja: '？' }
const questionMark = (language: string) => MARKS[primaryLanguage(language)] ?? '?'

const ASKED: readonly PhraseForm[] = ['question', 'reason']
/** What ends a title: nothing follows it. */
const ENDS: readonly PatternKind[] = ['series', 'brand', 'year']

/** Everything that patterns make of the phrases. @param capitals words that are written with one. */
function* candidates(
  question: IdeasQuestion,
  capitals: ReadonlySet<string>,
  random: () => number,
): Generator<Candidate> {
  const { phrases, language, year, brand, places, ruleSet } = question
  const pick = <Value>(list: readonly Value[]): Value => list[Math.floor(random() * list.length)]!
  const fill = (tail: string): string | null => {
    if (tail.includes('{year}') && year === undefined) return null
    if (tail.includes('{brand}') && !brand) return null
    return tail
      .replace('{n}', String(pick(NUMBERS)))
      .replace('{n}', String(pick(NUMBERS)))
      .replace('{minutes}', String(pick(MINUTES)))
      .replace('{year}', String(year))
      .replace('{part}', '1')
      .replace('{brand}', brand ?? '')
  }
  const start = (phrase: string) => titleStart(phrase, language, capitals).replace(/\s?[?？]$/u, '')
  const whole = (phrase: string) =>
    opened(
      `${start(phrase)}${ASKED.includes(formOf(phrase, language, places)) ? questionMark(language) : ''}`,
      language,
    )

  yield { title: whole(phrases.lead), pattern: 'phrase' }
  if ((ruleSet.checks['title-is-lead']?.weight ?? 0) > 0) {
    // A set that wants the phrase and nothing else gets little more.
    const plain = start(phrases.lead)
    for (const title of [plain, phrases.lead.trim(), plain.replace(/(^|\s)\p{L}/gu, letter => letter.toUpperCase())])
      yield { title, pattern: 'phrase' }
    return
  }
  const support = phrases.support.slice(0, MOST_SUPPORT).filter(each => !isMisspelt(each, phrases.lead, language))
  const doing = (phrase: string) => {
    const form = formOf(phrase, language, places)
    return form === 'task' ? 'way' : form
  }
  const sameKind = (phrase: string) => doing(phrase) === doing(phrases.lead)
  const longer = support.filter(each => stemsHold(each, phrases.lead, language))
  const folded = support.flatMap(each =>
    !longer.includes(each) && sameKind(each) ? (foldPhrases(phrases.lead, each, language) ?? []) : [],
  )
  const beside = support.filter(
    each => !longer.includes(each) && closeness(stemsOf(phrases.lead, language), stemsOf(each, language)) < 0.5,
  )
  for (const each of [...longer, ...folded]) yield { title: whole(each), pattern: 'support' }
  for (const each of beside) yield { title: `${whole(phrases.lead)} | ${whole(each)}`, pattern: 'support' }

  const patterns = patternsOf(language)
  for (const [i, phrase] of [phrases.lead, ...longer, ...folded].entries()) {
    const form = formOf(phrase, language, places)
    for (const { kind, tails } of patterns.filter(({ forms }) => forms.includes(form)))
      for (const tail of i ? [pick(tails)] : tails) {
        const filled = fill(tail)
        if (filled === null) continue
        const title = opened(`${start(phrase)}${filled}`, language)
        const pattern = i ? 'support' : kind
        yield { title, pattern }
        // A second thing, for titles that may be long: one of those there are.
        if (ENDS.includes(kind) || /[)\d]$/u.test(title)) continue
        const seconds = [fill(' ({year})'), fill(' | {brand}'), ...(i ? [] : beside.map(each => ` | ${whole(each)}`))]
        const second = pick(seconds)
        // Without other phrases there is less to draw from.
        for (const each of beside.length || folded.length ? [second] : seconds)
          if (each) yield { title: `${title}${each}`, pattern }
      }
  }
}

/** Two different words that are nearly the same. One that only ends otherwise, as a plural does, is no slip. */
const isSlip = (a: string, b: string) => !a.startsWith(b) && !b.startsWith(a) && mistakes(a, b) <= 2

/** Whether a phrase is another one with a word or two spelt otherwise: nobody puts both in a title. */
function isMisspelt(phrase: string, lead: string, language: string): boolean {
  const [own, others] = [readText(phrase, language).norms, readText(lead, language).norms]
  return own.some(word => word.length > 3 && !others.includes(word) && others.some(other => isSlip(word, other)))
}

/** Whether all that a phrase says is said by another one. */
function stemsHold(text: string, phrase: string, language: string): boolean {
  const held = stemsOf(text, language)
  return [...stemsOf(phrase, language)].every(stem => held.has(stem))
}

/**
 * Titles for a video, composed from its phrases: none over the limit, none nearly the same as a title of the page,
 * ordered by their points and by how much they differ from those above (maximal marginal relevance).
 *
 * @returns fewer than asked for where the phrases give no more; none without a lead.
 */
export function titleIdeas(question: IdeasQuestion): TitleIdea[] {
  const { phrases, language, ruleSet, profile, pageTitles = [], seed = 1, count: most = 30 } = question
  if (!phrases.lead.trim()) return []
  const random = seeded(seed * 2_654_435_761)
  const capitals = new Set([...(question.places ?? []), ...nounsOf(pageTitles, language)])
  const closest = closestAmong(pageTitles, language)
  const exempt = (ruleSet.checks['title-is-lead']?.weight ?? 0) > 0
  const context = contextOf(pageTitles)
  const seen = new Set<string>()
  const open: (TitleIdea & { worth: number; stems: ReadonlySet<string>; nearest: number })[] = []
  for (const { title, pattern } of candidates(question, capitals, random)) {
    if (seen.has(title) || count(title, profile.title.unit) > profile.title.limit) continue
    seen.add(title)
    const near = closest(title)
    if (!exempt && near && near.closeness >= TOO_CLOSE) continue
    const { points, outOf } = pointsOf({ title }, phrases, ruleSet, profile, language, context)
    open.push({
      title,
      pattern,
      points,
      outOf,
      closest: near,
      worth: (outOf ? points / outOf : 0) + (exempt ? 0 : LUCK * random()),
      stems: stemsOf(title, language),
      nearest: 0,
    })
  }
  const chosen: TitleIdea[] = []
  while (open.length && chosen.length < most) {
    let best = 0
    const value = (i: number) => POINTS_SHARE * open[i]!.worth - (1 - POINTS_SHARE) * open[i]!.nearest
    for (let i = 1; i < open.length; i++) if (value(i) > value(best)) best = i
    const [taken] = open.splice(best, 1)
    const { title, pattern, points, outOf, closest: near, stems } = taken!
    chosen.push({ title, pattern, points, outOf, closest: near })
    for (const each of open)
      each.nearest = Math.max(
        each.nearest,
        closeness(stems, each.stems) + (each.pattern === pattern ? SAME_PATTERN : 0),
      )
  }
  return chosen
}
