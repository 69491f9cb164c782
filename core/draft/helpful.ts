import { count, type Unit } from '../text/count'
import { readPhrase, readText } from '../text/match'
import { chaptersOf } from '../chapters/lines'
import type { DraftContext } from './context'
import { fixed, type Draft, type DraftPhrases, type Fix } from './draft'
import { hashtagsOf } from './hashtags'
import { tagsCost, type LimitProfile } from './limits'
import { linksOf } from './links'
import { EMPTY_PAIRS, PAIRS } from './pairs'
import { firstLineOf } from './places'
import type { RuleSet } from './ruleset'
import { pointsOf, type Score } from './score'

/** Longer drafts are far past every limit; to score them once for each fix would take seconds. */
const LONGEST = 40_000
/** Points that count as more. */
const MORE = 1e-6

/** Of marks that open in some languages and close in others there is an even number. */
const CURLED = /[“”„]/gu
const STRAY_JOINT = /[|·•:,–—]\s{0,3}[|·•:,–—]|^\s{0,3}[|·•:,–—?!]|[|·•,–—]\s{0,3}$/gmu

const times = (text: string, sign: string) => text.split(sign).length - 1
/**
 * What is broken in a text, kind by kind: brackets and quotation marks without their other half or with nothing
 * between, joints that join nothing.
 */
const faults = (text: string): number[] => [
  ...PAIRS.map(([open, close]) => Math.abs(times(text, open) - times(text, close))),
  times(text, '"') % 2,
  [...text.matchAll(CURLED)].length % 2,
  [...text.matchAll(EMPTY_PAIRS)].length,
  [...text.matchAll(STRAY_JOINT)].length,
]

const withoutScheme = (url: string) => url.replace(/^[a-z]+:\/\//iu, '').replace(/\/$/u, '')

/** Whether every one of some items is still there, in the same order. */
function keeps<Item>(before: readonly Item[], after: readonly Item[]): boolean {
  let at = 0
  return before.every(item => {
    while (at < after.length && after[at] !== item) at++
    return at++ < after.length
  })
}

/** How often the lead's words stand in a line beyond once each: what is said twice is stuffed. */
function repeated(line: string, lead: string, language: string): number {
  const { byStem } = readText(line, language)
  return readPhrase(lead, language).content.reduce(
    (sum, stem) => sum + Math.max(0, (byStem.get(stem)?.length ?? 0) - 1),
    0,
  )
}

/** What a change of a text must leave as it is. */
function frameOf(text: string, unit: Unit, firstLine: string, lead: string, language: string) {
  return {
    cost: count(text, unit),
    faults: faults(text),
    repeated: repeated(firstLine, lead, language),
    links: linksOf(text)
      .map(link => withoutScheme(link.text))
      .sort(),
    hashtags: hashtagsOf(text)
      .map(tag => tag.text)
      .sort(),
    chapters: chaptersOf(text).map(chapter => `${chapter.seconds} ${chapter.title}`),
  }
}
type Frame = ReturnType<typeof frameOf>

const NO_LINKS: ReadonlySet<string> = new Set()
/** How many links are not among some. */
const others = (links: readonly string[], given: ReadonlySet<string>) => links.filter(link => !given.has(link)).length

/** @param given addresses that a fix may bring: those of the standing blocks. */
const isWhole = (before: Frame, after: Frame, limit: number, given: ReadonlySet<string> = NO_LINKS) =>
  after.cost <= Math.max(limit, before.cost) &&
  after.faults.every((n, i) => n <= before.faults[i]!) &&
  after.repeated <= before.repeated &&
  others(after.links, given) === others(before.links, given) &&
  keeps(before.links, after.links) &&
  keeps(before.chapters, after.chapters) &&
  keeps(before.hashtags, after.hashtags)

/**
 * Tells of fixes to a draft whether they leave whole what they do not mean to change (limits, links, chapters,
 * hashtags, brackets), and stuff nothing.
 */
export function soundFixes(
  draft: Draft,
  phrases: DraftPhrases,
  profile: LimitProfile,
  language: string,
  standing: readonly string[] = [],
): (fix: Fix) => boolean {
  const title = (text: string) => frameOf(text, profile.title.unit, text, phrases.lead, language)
  const description = (text: string) =>
    frameOf(text, profile.description.unit, firstLineOf(text).text, phrases.lead, language)
  const given = new Set(standing.flatMap(block => linksOf(block).map(link => withoutScheme(link.text))))
  let [ofTitle, ofDescription]: (Frame | null)[] = [null, null]
  return fix => {
    const value = fixed(draft, fix)
    switch (fix.field) {
      case 'tags':
        return tagsCost(value as string[], profile) <= Math.max(profile.tags.limit, tagsCost(draft.tags ?? [], profile))
      case 'title':
        return isWhole((ofTitle ??= title(draft.title ?? '')), title(value as string), profile.title.limit)
      case 'description':
        return isWhole(
          (ofDescription ??= description(draft.description ?? '')),
          description(value as string),
          profile.description.limit,
          given,
        )
      case 'fileName':
        return true
    }
  }
}

/**
 * A score whose fixes all help: applying one raises the points under the same set, keeps every limit, and breaks no
 * link, chapter, hashtag, quotation or bracket. Cost: the draft is scored once more for each fix.
 *
 * @param score of the same draft, with every fix its checks propose.
 */
export function withHelpfulFixes(
  score: Score,
  draft: Draft,
  phrases: DraftPhrases,
  ruleSet: RuleSet,
  profile: LimitProfile,
  language: string,
  context?: DraftContext,
): Score {
  const isLong = (draft.title?.length ?? 0) + (draft.description?.length ?? 0) > LONGEST
  const isSound = soundFixes(draft, phrases, profile, language, context?.standing)
  const gainOf = (fix: Fix) =>
    isSound(fix)
      ? pointsOf({ ...draft, [fix.field]: fixed(draft, fix) }, phrases, ruleSet, profile, language, context).points -
        score.points
      : 0
  /** The fixes that help, each with the points it brings. */
  const helpful = (fixes: readonly Fix[]) =>
    fixes.flatMap(fix => {
      const gain = gainOf(fix)
      return gain > MORE ? [{ ...fix, gain }] : []
    })
  return {
    ...score,
    checks: score.checks.map(check =>
      check.fixes.length ? { ...check, fixes: isLong ? [] : helpful(check.fixes) } : check,
    ),
  }
}
