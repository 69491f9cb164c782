import { tagCost, tagKey, type LimitProfile } from '../draft/limits'
import type { Draft, DraftPhrases } from '../draft/draft'
import { spokenWords } from '../captions/spoken'
import { gradeValue } from '../rivals/strength'
import { counted, inDigits } from '../text/inWords'
import { match, readPhrase, readText } from '../text/match'
import { areSpellings } from '../text/spelling'
import { tagSupport } from './support'

/** What a tag is to the video. */
export const TAG_KINDS = ['lead', 'near', 'topic', 'name', 'misspelling', 'title'] as const
export type TagKind = (typeof TAG_KINDS)[number]

export const TAG_KIND_NAMES: Record<TagKind, string> = {
  lead: 'lead phrase',
  near: 'near the lead',
  topic: 'topic',
  name: 'name',
  misspelling: 'misspelling',
  title: 'copy of the title',
}

/** Where tags may come from. */
export interface TagPools {
  /** Tags on the lead's page: how many of so many results use each, and how many times as often as elsewhere. */
  page: readonly { tag: string; users: number; of: number; lift: number }[]
  /** Titles of that page. */
  titles: readonly string[]
  /** Names of its channels, mine left out. */
  names: readonly string[]
  /** My channel's name; '' where there is none. */
  ownName: string
  /** Phrases that hold words of the lead, the most searched first. */
  related: readonly string[]
  /** Tags of my own videos: on how many, and how many times my usual views a day these get; `null` if unknown. */
  own: readonly { tag: string; videos: number; times: number | null }[]
  /** Misspellings of the phrases; those that are searched for come as they are known. */
  misspelt: readonly { tag: string; of: string; observed: boolean }[]
}

export interface TagFigures {
  /** Searches a month; `null` if unknown. */
  volume: number | null
  /** Of page one for my channel, 0 to 1; `null` if unknown. */
  chance: number | null
}

export interface TagSuggestion extends TagFigures {
  tag: string
  kind: TagKind
  /** Why it is suggested, a sentence each. */
  reasons: string[]
  /** Whether title, text or phrases mention it; `null` where there is nothing to compare with. */
  supported: boolean | null
  /** Characters it takes by itself, in the site's own count. */
  cost: number
  /** What the packer weighs it by. */
  value: number
  /** Held back: it has nothing to do with the video, or is another channel's name. */
  held: boolean
}

export interface SuggestQuestion {
  draft: Draft
  phrases: DraftPhrases
  /** BCP 47. */
  language: string
  profile: LimitProfile
  pools: TagPools
  /** By `tagKey`; what is absent is unknown. */
  figures: ReadonlyMap<string, TagFigures>
}

/** No tray has more phrases that matter; each tag is compared with all of them. */
const MOST_PHRASES = 24
const UNKNOWN: TagFigures = { volume: null, chance: null }

/** A tag that shares no word with the lead still has some worth. */
const LEAST_CLOSENESS = 0.15
/** What is not borne out by the text counts this much of what it would. */
const UNSUPPORTED = 0.25
/** A misspelling's share of what its word is worth. */
const MISSPELT = 0.3
/** Unknown chances count as an even one, so that they neither lead nor vanish. */
const EVEN = 0.5

/** Weighs tags and tells of what kind they are. */
function tagReader({ draft, phrases, language, profile, figures, pools }: SuggestQuestion) {
  const lead = readPhrase(phrases.lead, language)
  const tray = [phrases.lead, ...phrases.support].filter(phrase => phrase.trim()).slice(0, MOST_PHRASES)
  const read = tray.map(phrase => readPhrase(phrase, language))
  const title = readText(draft.title ?? '', language)
  const texts = [title, readText(draft.description ?? '', language)]
  if (draft.captions) texts.push(spokenWords(draft.captions, language))
  const supported = tagSupport(title, texts, read, language)
  const misspelt = new Map(pools.misspelt.map(each => [tagKey(each.tag), each.of]))
  const names = new Set(pools.names.map(tagKey))
  const ownKey = tagKey(pools.ownName)
  const [leadKey, titleKey] = [tagKey(phrases.lead), tagKey(draft.title ?? '')]
  const ofTray = new Set(tray.map(tagKey))

  const kindOf = (tag: string): TagKind => {
    const key = tagKey(tag)
    if (key === leadKey) return 'lead'
    if (key === titleKey) return 'title'
    if (names.has(key) || key === ownKey) return 'name'
    if (misspelt.has(key) || (!ofTray.has(key) && tray.some(phrase => areSpellings(tag, phrase, language))))
      return 'misspelling'
    const text = readText(tag, language)
    return read.some(phrase => gradeValue(match(phrase, text)) >= 0.6 || stemsWithin(tag, phrase.stems))
      ? 'near'
      : 'topic'
  }
  /** Whether all content of a tag is part of a phrase. */
  const stemsWithin = (tag: string, stems: readonly string[]) => {
    const { content } = readPhrase(tag, language)
    return content.length > 0 && content.every(stem => stems.includes(stem))
  }
  return (tag: string, reasons: string[]): TagSuggestion => {
    const kind = kindOf(tag)
    const known = figures.get(tagKey(tag)) ?? UNKNOWN
    const isSupported = tagKey(tag) === ownKey || (supported && supported(tag))
    const closeness = lead.norms.length
      ? Math.max(LEAST_CLOSENESS, gradeValue(match(lead, readText(tag, language))))
      : LEAST_CLOSENESS
    const value =
      closeness *
      Math.log(10 + (known.volume ?? 0)) *
      (known.chance ?? EVEN) *
      (isSupported === false ? UNSUPPORTED : 1) *
      (kind === 'misspelling' ? MISSPELT : 1)
    return { tag, kind, reasons, ...known, supported: isSupported, cost: tagCost(tag, profile), value, held: false }
  }
}

/**
 * Tags that the draft does not have yet, each with its reasons, the worthiest first. What shares no word with text,
 * tray or page is held back, and so are other channels' names.
 *
 * @returns `current` tells the same of the tags that are there, in their order.
 */
export function suggestTags(question: SuggestQuestion): {
  suggestions: TagSuggestion[]
  held: TagSuggestion[]
  current: TagSuggestion[]
} {
  const { draft, phrases, language, pools } = question
  const read = tagReader(question)
  const there = new Set((draft.tags ?? []).map(tagKey))
  const reasons = new Map<string, { tag: string; reasons: string[] }>()
  const add = (tag: string, reason: string) => {
    const key = tagKey(tag)
    if (!key || key.includes(',') || there.has(key)) return
    const known = reasons.get(key)
    if (!known) reasons.set(key, { tag: key, reasons: [reason] })
    else if (!known.reasons.includes(reason)) known.reasons.push(reason)
  }
  if (phrases.lead.trim()) add(phrases.lead, 'Your lead phrase.')
  for (const phrase of phrases.support) add(phrase, 'In your tray.')
  const tray = [phrases.lead, ...phrases.support]
    .filter(phrase => phrase.trim())
    .slice(0, MOST_PHRASES)
    .map(phrase => readPhrase(phrase, language))
  for (const { tag, users, of, lift } of pools.page) {
    const more = lift > 1.05 ? `, ${lift.toFixed(1)} times as often as elsewhere` : ''
    add(tag, `On ${users} of ${of} results${more}.`)
    const stems = new Set(readPhrase(tag, language).content)
    const variant = tray.find(phrase => phrase.content.length > 0 && sameSet(stems, phrase.content))
    if (variant && !tray.some(phrase => tagKey(phrase.raw) === tagKey(tag)))
      add(tag, `“${variant.raw}” in other words, by a video that ranks.`)
  }
  for (const { tag, videos, times } of pools.own)
    add(
      tag,
      `On ${counted(videos, 'video')} of yours${times === null ? '' : `, at ${times.toFixed(1)} times your usual views a day`}.`,
    )
  for (const phrase of pools.related) add(phrase, 'People search for it.')
  for (const { tag, of, observed } of pools.misspelt)
    add(tag, observed ? `People misspell “${of}” so.` : `A likely misspelling of “${of}”, meant to be wrong.`)
  if (draft.title?.trim()) add(draft.title, 'Your whole title.')
  if (pools.ownName) add(pools.ownName, 'Your channel’s name.')

  const shares = sharing(question)
  const all = [...reasons.values()].map(each => read(each.tag, each.reasons))
  const ownKey = tagKey(pools.ownName)
  const names = all.filter(each => each.kind === 'name' && each.tag !== ownKey)
  for (const name of names) name.reasons.push('Another channel’s name: sites forbid it in tags.')
  for (const each of all) each.held = names.includes(each) || !shares(each)
  all.sort((a, b) => b.value - a.value || (a.tag < b.tag ? -1 : 1))
  return {
    suggestions: all.filter(each => !each.held),
    held: all.filter(each => each.held),
    current: (draft.tags ?? []).map(tag => read(tag, [])),
  }
}

const sameSet = (a: ReadonlySet<string>, b: readonly string[]) =>
  a.size === new Set(b).size && b.every(stem => a.has(stem))

/** Tells whether a tag has to do with the video: a content word of it stands in text, tray or titles of the page. */
function sharing({ draft, phrases, language, pools }: SuggestQuestion): (each: TagSuggestion) => boolean {
  const stems = new Set<string>()
  const texts = [draft.title ?? '', draft.description ?? '', phrases.lead, ...phrases.support, ...pools.titles]
  for (const text of texts) for (const stem of readText(text, language).byStem.keys()) stems.add(stem)
  return ({ tag, kind }) =>
    kind === 'misspelling' ||
    kind === 'title' ||
    kind === 'name' ||
    readPhrase(tag, language).content.some(stem => stems.has(stem))
}

/** A hashtag with why it is suggested. */
export interface HashtagSuggestion {
  hashtag: string
  /** How many results of the page use it. */
  usedBy: number
  reason: string
}

/**
 * Hashtags for a description: those of the phrases, and those that results of the page use, the most used first; the
 * ones that are there are left out.
 *
 * @param page for each result its hashtags. @param made hashtags of the phrases, the lead's first.
 */
export function suggestHashtags(
  made: readonly { hashtag: string; phrase: string }[],
  page: readonly (readonly string[])[],
  there: readonly string[],
): HashtagSuggestion[] {
  const key = (tag: string) => tag.toLowerCase()
  const used = new Map<string, { hashtag: string; users: number }>()
  for (const tags of page)
    for (const [name, hashtag] of new Map(tags.map(tag => [key(tag), tag]))) {
      const known = used.get(name)
      if (known) known.users++
      else used.set(name, { hashtag, users: 1 })
    }
  const seen = new Set(there.map(key))
  const found: HashtagSuggestion[] = []
  const onPage = (users: number) => (users ? `on ${inDigits(users)} of ${inDigits(page.length)} results` : '')
  for (const { hashtag, phrase } of made) {
    const name = key(hashtag)
    if (!hashtag || seen.has(name)) continue
    seen.add(name)
    const users = used.get(name)?.users ?? 0
    found.push({ hashtag, usedBy: users, reason: [`From “${phrase}”`, onPage(users)].filter(Boolean).join(', ') + '.' })
  }
  for (const { hashtag, users } of [...used.values()].sort((a, b) => b.users - a.users))
    if (!seen.has(key(hashtag)))
      found.push({ hashtag, usedBy: users, reason: `On ${users} of ${page.length} results.` })
  return found
}
