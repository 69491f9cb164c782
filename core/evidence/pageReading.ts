import { NO_CONTEXT } from '../draft/context'
import type { Draft } from '../draft/draft'
import type { LimitProfile } from '../draft/limits'
import type { RuleSet } from '../draft/ruleset'
import { checksOf, draftReading, inputFor, tryCheck, type DraftReading } from '../draft/score'

/** What a check says of one result. */
export const UNTOLD = 0
export const FAILS = 1
export const PASSES = 2

/** A result as its page tells it. */
export interface PageVideo {
  /** The same for the same video on every page. */
  id: number
  title: string
  /** `null` where the page told none. */
  description: string | null
  tags: string[] | null
}

/** Outcomes on one page: for each check in order, and within it for each video in order, one of the three above. */
export type PageReading = Uint8Array

interface KnownVideo {
  video: PageVideo
  reading: DraftReading
  /** By check: what it says whatever the phrase; absent until tried, `null` where the phrase matters. */
  always: (number | null | undefined)[]
}

/** Videos held at a time: they recur on the pages of phrases that are near each other. */
const HELD = 4000

/**
 * Reads what every check of a rule set says of the results of a page, for its phrase alone.
 *
 * Most checks do not look at the phrase. That is noticed when they run, and such a check is not run again for the same
 * video: the cost of a page is that of its new videos, and of some checks of the wording for the others.
 *
 * @returns ids of the checks, in the order of the readings; and what reads a page.
 */
export function pageReader(ruleSet: RuleSet, profile: LimitProfile, language: string) {
  const checks = checksOf(ruleSet)
  let known = new Map<number, KnownVideo>()

  function knownOf(video: PageVideo): KnownVideo {
    let found = known.get(video.id)
    // A video that was seen with other words is read anew.
    if (!found || found.video.title !== video.title || found.video.description !== video.description) {
      if (known.size >= HELD) known = new Map()
      const draft: Draft = {
        title: video.title,
        ...(video.description === null ? {} : { description: video.description }),
        ...(video.tags === null ? {} : { tags: video.tags }),
      }
      known.set(video.id, (found = { video, reading: draftReading(draft, profile, language), always: [] }))
    }
    return found
  }

  return {
    ids: checks.map(({ check }) => check.id),
    read(phrase: string, videos: readonly PageVideo[]): PageReading {
      const outcomes = new Uint8Array(checks.length * videos.length)
      videos.forEach((video, seat) => {
        const { reading, always } = knownOf(video)
        let looked = false
        const input = inputFor(reading, { lead: phrase, support: [] }, profile, language, NO_CONTEXT)
        const { lead, support } = input
        const watched = Object.defineProperties(input, {
          lead: { get: () => ((looked = true), lead) },
          support: { get: () => ((looked = true), support) },
        })
        checks.forEach(({ check, settings }, i) => {
          let said = always[i]
          if (said === undefined || said === null) {
            looked = false
            const { fraction } = tryCheck(check, settings, watched).outcome
            said = fraction === null ? UNTOLD : fraction >= 0.9995 ? PASSES : FAILS
            if (always[i] === undefined) always[i] = looked ? null : said
          }
          outcomes[i * videos.length + seat] = said
        })
      })
      return outcomes
    },
  }
}
