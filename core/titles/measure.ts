import { NO_CONTEXT, type DraftContext } from '../draft/context'
import type { DraftPhrases } from '../draft/draft'
import type { LimitProfile } from '../draft/limits'
import type { RuleSet } from '../draft/ruleset'
import { scoreDraft } from '../draft/score'
import { count } from '../text/count'
import type { Grade } from '../text/match'
import { cutAt } from '../text/width'
import { closestAmong, type Closest } from './closeness'

/** A title as it stands beside others. */
export interface MeasuredTitle {
  title: string
  /** What it brings under the rule set, and could bring: of the checks that look at a title alone. */
  points: number
  outOf: number
  /** Its length in the profile's unit, and the limit. */
  used: number
  limit: number
  /** UTF-16 offset at which each surface cuts it; its length where all is shown. */
  shown: Record<keyof LimitProfile['surfaces'], number>
  /** How the lead stands in it, and from which UTF-16 offset on; `null` where it does not. */
  lead: { grade: Grade; start: number } | null
  /** Phrases it holds word for word or with other endings, of those there are. */
  holds: number
  phrases: number
  /** The title of the page it is closest to; `null` where no page is known, or nothing is shared. */
  closest: Closest | null
}

export interface MeasureQuestion {
  titles: readonly string[]
  phrases: DraftPhrases
  /** BCP 47. */
  language: string
  ruleSet: RuleSet
  profile: LimitProfile
  /** Titles of the pages known. */
  pageTitles?: readonly string[]
}

/** What checks that compare with the page need of it. */
export const contextOf = (pageTitles: readonly string[]): DraftContext => ({
  ...NO_CONTEXT,
  page: pageTitles.map(title => ({ title, channel: '' })),
})

/** Measures titles by the same rules, in the order given. */
export function measureTitles(question: MeasureQuestion): MeasuredTitle[] {
  const { titles, phrases, language, ruleSet, profile, pageTitles = [] } = question
  const closest = closestAmong(pageTitles, language)
  const context = contextOf(pageTitles)
  const all = [phrases.lead, ...phrases.support].filter(phrase => phrase.trim())
  return titles.map(title => {
    const { points, outOf, placements } = scoreDraft({ title }, phrases, ruleSet, profile, language, context)
    const inTitle = placements.filter(({ place, grade }) => place === 'title' && grade !== 'none')
    const lead = inTitle.find(({ phrase }) => phrase === phrases.lead)
    const whole = inTitle.filter(({ grade }) => grade === 'exact' || grade === 'inflected')
    return {
      title,
      points,
      outOf,
      used: count(title, profile.title.unit),
      limit: profile.title.limit,
      shown: {
        phone: cutAt(title, profile.surfaces.phone),
        desktopList: cutAt(title, profile.surfaces.desktopList),
        suggestion: cutAt(title, profile.surfaces.suggestion),
      },
      lead: lead ? { grade: lead.grade, start: lead.start } : null,
      holds: new Set(whole.map(({ phrase }) => phrase)).size,
      phrases: new Set(all).size,
      closest: closest(title),
    }
  })
}
