import { tagCost, tagKey, tagsCost, tidyTags, type LimitProfile } from './limits'

export interface TagCandidate {
  tag: string
  value: number
}
export interface PackedTags {
  tags: string[]
  used: number
  limit: number
  value: number
}

/**
 * The tags of greatest value in all that fit the limit, exactly: the lead first, then the 0/1
 * knapsack by dynamic programming over the characters left. Repeated candidates count once, at
 * their best value. Chosen tags stand by falling value.
 *
 * @param lead '' when there is none; it is packed whatever its value, if it fits at all.
 * @param pinned tags that stay whatever their value, in their order after the lead, as far as they fit.
 */
export function packTags(
  candidates: readonly TagCandidate[],
  lead: string,
  profile: LimitProfile,
  pinned: readonly string[] = [],
): PackedTags {
  const { limit, separator } = profile.tags
  const best = new Map<string, TagCandidate>()
  for (const each of candidates) {
    const key = tagKey(each.tag)
    const before = best.get(key)
    if (key && (!before || before.value < each.value))
      best.set(key, { tag: each.tag.trim().replace(/\s+/gu, ' '), value: each.value })
  }
  const first: string[] = []
  let firstValue = 0
  for (const tag of tidyTags([lead, ...pinned])) {
    if (tagsCost([...first, tag], profile) > limit) continue
    first.push(tag)
    firstValue += best.get(tagKey(tag))?.value ?? 0
  }
  for (const tag of [lead, ...pinned]) best.delete(tagKey(tag))
  const items = [...best.values()].filter(item => item.value > 0)
  // Every tag after another pays for its comma; without a lead the first one gets that back.
  const room = Math.max(0, limit - tagsCost(first, profile) + (first.length ? 0 : separator))
  const costs = items.map(item => tagCost(item.tag, profile) + separator)
  const reach = new Float64Array(room + 1)
  const taken = items.map(() => new Uint8Array(room + 1))
  items.forEach((item, i) => {
    for (let left = room; left >= costs[i]!; left--) {
      const value = reach[left - costs[i]!]! + item.value
      if (value > reach[left]!) {
        reach[left] = value
        taken[i]![left] = 1
      }
    }
  })
  const chosen: TagCandidate[] = []
  for (let i = items.length - 1, left = room; i >= 0; i--) {
    if (!taken[i]![left]) continue
    chosen.push(items[i]!)
    left -= costs[i]!
  }
  const tags = [...first, ...chosen.sort((a, b) => b.value - a.value || (a.tag < b.tag ? -1 : 1)).map(item => item.tag)]
  return {
    tags,
    used: tagsCost(tags, profile),
    limit,
    value: firstValue + chosen.reduce((sum, item) => sum + item.value, 0),
  }
}
