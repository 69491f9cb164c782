import type { CheckInput } from '../draft/check'
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
  /** What each check says whatever the phrase. */
  always: Uint8Array
  /** The checks to which the phrase matters; `null` until all were tried. */
  open: readonly number[] | null
}

/** The same input, which tells when the phrase is looked at. */
const watching = ({ lead, support, ...rest }: CheckInput, looked: () => void): CheckInput => ({
  ...rest,
  get lead() {
    looked()
    return lead
  },
  get support() {
    looked()
    return support
  },
})

/** Videos recur on the pages of phrases that are near each other: so many characters of their texts are held. */
const HELD = 5_000_000
/** What a video takes beside its texts, as characters. */
const EACH = 200
const sizeOf = ({ title, description, tags }: PageVideo) =>
  EACH + title.length + (description?.length ?? 0) + (tags?.reduce((sum, tag) => sum + tag.length, 0) ?? 0)

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
  let held = 0

  function knownOf(video: PageVideo): KnownVideo {
    let found = known.get(video.id)
    // A video that was seen with other words is read anew.
    if (!found || found.video.title !== video.title || found.video.description !== video.description) {
      held += sizeOf(video)
      if (held > HELD) {
        known = new Map()
        held = sizeOf(video)
      }
      const draft: Draft = {
        title: video.title,
        ...(video.description === null ? {} : { description: video.description }),
        ...(video.tags === null ? {} : { tags: video.tags }),
      }
      known.set(
        video.id,
        (found = {
          video,
          reading: draftReading(draft, profile, language),
          always: new Uint8Array(checks.length),
          open: null,
        }),
      )
    }
    return found
  }

  function said(i: number, input: CheckInput): number {
    const { check, settings } = checks[i]!
    const { fraction } = tryCheck(check, settings, input).outcome
    return fraction === null ? UNTOLD : fraction >= 0.9995 ? PASSES : FAILS
  }

  return {
    ids: checks.map(({ check }) => check.id),
    read(phrase: string, videos: readonly PageVideo[]): PageReading {
      const outcomes = new Uint8Array(checks.length * videos.length)
      videos.forEach((video, seat) => {
        const each = knownOf(video)
        const input = inputFor(each.reading, { lead: phrase, support: [] }, profile, language, NO_CONTEXT)
        const put = (check: number, said: number) => {
          outcomes[check * videos.length + seat] = said
        }
        if (each.open) {
          each.always.forEach((said, check) => {
            put(check, said)
          })
          for (const check of each.open) put(check, said(check, input))
          return
        }
        const open: number[] = []
        let looked = false
        const watched = watching(input, () => {
          looked = true
        })
        for (let check = 0; check < checks.length; check++) {
          looked = false
          const found = said(check, watched)
          put(check, found)
          if (looked) open.push(check)
          else each.always[check] = found
        }
        each.open = open
      })
      return outcomes
    },
  }
}
