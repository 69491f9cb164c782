import type { LimitProfile } from '../draft/limits'
import { packTags, type PackedTags } from '../draft/tags'
import type { TagSuggestion } from './suggest'

/**
 * What would fill the space for tags best, of those there are and those suggested. Tags that the text does not mention,
 * and other channels' names, are never packed.
 *
 * @param pinned tags that stay.
 */
export function packSuggested(
  current: readonly TagSuggestion[],
  suggestions: readonly TagSuggestion[],
  lead: string,
  profile: LimitProfile,
  pinned: readonly string[] = [],
): PackedTags {
  const candidates = [...current, ...suggestions.filter(each => !each.held && each.supported !== false)]
    .filter(each => each.kind !== 'name' || each.supported)
    .map(({ tag, value }) => ({ tag, value }))
  return packTags(candidates, lead, profile, [...pinned])
}
