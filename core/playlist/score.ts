import rules from './rules.json' with { type: 'json' }
import type { DraftPhrases } from '../draft/draft'
import type { LimitProfile } from '../draft/limits'
import type { RuleSet } from '../draft/ruleset'
import type { Playlist } from './playlist'

/** What the title and the text of a playlist are scored by: the checks of a video's text that hold for a list too. */
export const PLAYLIST_RULES: RuleSet = rules as RuleSet

/** Limits of a site with those of a playlist in the place of a video's. */
export function playlistLimits(profile: LimitProfile): LimitProfile {
  const { titleLimit, titleUnit, descriptionLimit, descriptionUnit } = profile.playlist
  return {
    ...profile,
    title: { ...profile.title, limit: titleLimit, unit: titleUnit },
    description: { ...profile.description, limit: descriptionLimit, unit: descriptionUnit },
  }
}

/** A playlist's text as a draft. */
export const playlistDraft = ({ title, description }: Pick<Playlist, 'title' | 'description'>) => ({
  title,
  description,
})

/** More leads than this would have to be told in its text. */
const MOST_SUPPORT = 8

/** What it is to be found by: its lead, then the leads of what it holds, the most searched first. */
export function playlistPhrases(
  lead: string,
  entries: readonly { lead: string; searches: number | null }[],
): DraftPhrases {
  const support = new Map<string, number>()
  for (const each of entries)
    if (each.lead && each.lead !== lead)
      support.set(each.lead, Math.max(support.get(each.lead) ?? -1, each.searches ?? -1))
  return {
    lead,
    support: [...support]
      .sort((a, b) => b[1] - a[1])
      .slice(0, MOST_SUPPORT)
      .map(([phrase]) => phrase),
  }
}
