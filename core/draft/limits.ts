import townLibrary from './profiles/town-library.json' with { type: 'json' }
import videoSite from './profiles/video-site.json' with { type: 'json' }
import { count, type Unit } from '../text/count'
import { trimSigns } from '../text/trim'
import type { PictureFormat } from '../thumbnail/mend'
import { PLAIN_PHRASE } from '../text/words'

/** What a site allows, as data: several may be kept and edited. */
export interface LimitProfile {
  format: 1
  id: string
  name: string
  /** Which site they are of, or what they are for. */
  note: string
  title: { limit: number; unit: Unit; forbidden: string[] }
  description: { limit: number; unit: Unit; forbidden: string[]; openingCodePoints: number }
  /** Tags' lengths in all, plus `spacedTagExtra` for each that holds a space, plus commas between. */
  tags: { limit: number; unit: Unit; spacedTagExtra: number; separator: number }
  hashtags: { shown: number; ignoredPast: number }
  chapters: { least: number; leastSeconds: number }
  playlist: { titleLimit: number; titleUnit: Unit; descriptionLimit: number; descriptionUnit: Unit }
  /** The size advised, the width below which a picture is refused, its weight in bytes, and what it may be. */
  thumbnail: { width: number; height: number; leastWidth: number; bytes: number; formats: PictureFormat[] }
  /** Cards at most, and the characters of each of their texts. */
  cards: { most: number; text: number }
  /** Elements at most, and the seconds an end screen lasts. */
  endScreen: { most: number; shortest: number; longest: number }
  /** How much of a title a surface shows, in ems of the shipped text font. */
  surfaces: { phone: number; desktopList: number; suggestion: number }
}

/**
 * The usual limits of a video site. Sixty characters of running English measure 30.6 em in the shipped font; a phone
 * shows about sixty, a desktop list seventy, a column of suggestions forty-five.
 */
export const DEFAULT_PROFILE: LimitProfile = videoSite as LimitProfile

/** The profiles that ship, the first being the one a new brief begins with. Each is a file of its own, to be read. */
export const PROFILES: readonly LimitProfile[] = [DEFAULT_PROFILE, townLibrary as LimitProfile]

/** What a tag costs by itself, without the comma before it. */
export function tagCost(tag: string, profile: LimitProfile): number {
  return count(tag, profile.tags.unit) + (/\s/u.test(tag) ? profile.tags.spacedTagExtra : 0)
}

/** What a list of tags costs: each tag, and a comma between every two. */
export function tagsCost(tags: readonly string[], profile: LimitProfile): number {
  let cost = Math.max(0, tags.length - 1) * profile.tags.separator
  for (const tag of tags) cost += tagCost(tag, profile)
  return cost
}

/** Two tags are the same when they differ only in case and white space. */
export const tagKey = (tag: string) =>
  PLAIN_PHRASE.test(tag) ? tag : tag.normalize('NFKC').trim().replace(/\s+/gu, ' ').toLowerCase()

/** Indexes of tags that repeat an earlier one or are empty. */
export function repeatedTags(tags: readonly string[]): number[] {
  const seen = new Set<string>()
  const repeated: number[] = []
  tags.forEach((tag, index) => {
    const key = tagKey(tag)
    if (key === '' || seen.has(key)) repeated.push(index)
    seen.add(key)
  })
  return repeated
}

/** The tags with empty and repeated ones dropped, white space tidied. */
export function tidyTags(tags: readonly string[]): string[] {
  const drop = new Set(repeatedTags(tags))
  return tags.filter((_, index) => !drop.has(index)).map(tag => tag.trim().replace(/\s+/gu, ' '))
}

/** Cuts pasted text into tags: commas, semicolons, tabs and line breaks part them. */
export function splitTags(text: string): string[] {
  return text
    .split(/[,;\t\n\r]+/u)
    .map(tag => trimSigns(tag.trim(), /["“”]/u).replace(/\s+/gu, ' ').trim())
    .filter(Boolean)
}
