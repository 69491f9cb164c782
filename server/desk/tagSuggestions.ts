import { median } from 'd3-array'
import { setImmediate as nextTurn } from 'node:timers/promises'
import type { DraftPhrases, DraftTexts } from '../../core/draft/draft'
import { hashtagFor, hashtagsOf } from '../../core/draft/hashtags'
import { tagKey, type LimitProfile } from '../../core/draft/limits'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { viewsPerDay } from '../../core/rivals/strength'
import { suggestHashtags, type HashtagSuggestion, type TagFigures, type TagPools } from '../../core/tags/suggest'
import { primaryLanguage } from '../../core/text/stems'
import { words } from '../../core/text/words'
import { phrasesQuerySchema } from '../../shared/phrases'
import type { VideoRow } from '../data/videos'
import { fetchMissingVolumes } from '../demand/lookUp'
import { chanceFor } from '../demand/rows'
import { answerWords } from '../rivals/pageWords'
import type { Runtime } from '../runtime'
import type { MayAsk } from '../services/contract'

export interface TagQuestion {
  draft: DraftTexts
  phrases: DraftPhrases
  /** '' for everywhere. */
  region: string
  language: string
  workspace: string
  profile: LimitProfile
}

type Stores = Pick<
  Runtime,
  'phrases' | 'results' | 'videos' | 'workspaces' | 'search' | 'scoring' | 'services' | 'asked'
> &
  MayAsk

/** So many are looked up before other requests get their turn. */
const AT_A_TIME = 20
/** Of each source no more are taken. */
const MOST_PHRASES = 24
const MOST_RELATED = 60
const MOST_OWN_VIDEOS = 100
const MOST_PAGE_TAGS = 40
/** Misspellings shown: of those people type, and of those made up by rule. */
const MOST_OBSERVED = 12
const MOST_MADE_UP = 5
/** Related phrases that are looked for misspelt. */
const MOST_MISSPELT = 20
/** Misspellings whose searches are asked for. */
const MOST_ASKED = 200

/** Suggestions for a draft's tags. From what is kept, but for searches of likely misspellings, which are asked for. */
export async function tagSuggestions(stores: Stores, question: TagQuestion) {
  const { draft, phrases: tray, region, language, workspace } = question
  const list = [tray.lead, ...tray.support].filter(phrase => phrase.trim()).slice(0, MOST_PHRASES)
  const { own, workspace: home } = stores.workspaces.standing(workspace)
  const pools: TagPools = {
    ...pageOf(stores, question, home?.channelId ?? null),
    related: await relatedTo(stores, question),
    own: home?.channelId ? ownTags(stores.videos.ofChannel(home.channelId).slice(0, MOST_OWN_VIDEOS)) : [],
    ownName: home?.channelTitle ?? '',
    misspelt: [],
  }
  pools.misspelt = await misspelt(stores, question, list, pools.related)
  const figures = new Map<string, TagFigures>()
  const wanted = new Set(
    [
      ...list,
      ...(draft.tags ?? []),
      draft.title ?? '',
      ...pools.page.map(each => each.tag),
      ...pools.related,
      ...pools.own.map(each => each.tag),
      ...pools.misspelt.map(each => each.tag),
    ].map(tagKey),
  )
  let looked = 0
  for (const tag of wanted) {
    if (!tag) continue
    if (++looked % AT_A_TIME === 0) await nextTurn()
    const known = stores.phrases.known(tag, region, language)
    figures.set(tag, { volume: known?.volume ?? null, chance: known && chanceFor(known, own, region) })
  }
  return stores.scoring.suggestTags({
    draft,
    phrases: tray,
    language,
    profile: question.profile,
    pools,
    figures,
  })
}

/** The page kept of the lead: its tags with their lift, its titles, the names of its channels but mine. */
function pageOf(
  { phrases, results }: Stores,
  { phrases: { lead }, region, language }: TagQuestion,
  mine: string | null,
): Pick<TagPools, 'page' | 'titles' | 'names'> {
  const known = lead.trim() ? phrases.known(lead, region, language) : null
  const page = known && results.effective(known.id, region)
  if (!page) return { page: [], titles: [], names: [] }
  const seats = results.seats(page, PAGE_SEATS).filter(seat => seat.off === 0)
  const { words: terms, results: of } = answerWords({ phrases, results }, page, lead, language)
  return {
    page: terms
      .filter(term => term.place === 'tags')
      .slice(0, MOST_PAGE_TAGS)
      .map(({ term, users, lift }) => ({ tag: term, users, of, lift })),
    titles: seats.map(seat => seat.title),
    names: [...new Set(seats.filter(seat => seat.channel_id !== mine).map(seat => seat.channel_title))],
  }
}

/** Known phrases that hold the words of a tray phrase, the most searched first. */
async function relatedTo({ search }: Stores, { phrases, region, language }: TagQuestion): Promise<string[]> {
  const seeds = [phrases.lead, ...phrases.support].map(phrase => phrase.trim().slice(0, 200)).filter(Boolean)
  const seed = [...new Set(seeds)].slice(0, 12)
  if (!seed.length) return []
  const query = {
    ...phrasesQuerySchema.parse({ seed: seed[0], limit: MOST_RELATED, sort: 'volume:desc' }),
    seed,
    region,
    language,
  }
  return search.texts({ query, looks: seed.map(() => null), missing: [], without: [], own: null })
}

/** Tags of my videos, the most used first, with how many times my usual views a day theirs get. */
export function ownTags(videos: readonly Pick<VideoRow, 'tags' | 'views' | 'published_at' | 'at'>[]): TagPools['own'] {
  const used = new Map<string, { videos: number; daily: number[] }>()
  const all: number[] = []
  for (const { tags, views, published_at, at } of videos) {
    const daily = views === null || published_at === null ? null : viewsPerDay(views, published_at, at)
    if (daily !== null) all.push(daily)
    for (const tag of new Set((JSON.parse(tags ?? '[]') as string[]).map(tagKey))) {
      const each = used.get(tag) ?? { videos: 0, daily: [] }
      each.videos++
      if (daily !== null) each.daily.push(daily)
      used.set(tag, each)
    }
  }
  const usual = median(all)
  return [...used]
    .filter(([tag]) => tag)
    .sort(([, a], [, b]) => b.videos - a.videos)
    .slice(0, MOST_PAGE_TAGS)
    .map(([tag, { videos, daily }]) => ({
      tag,
      videos,
      times: usual && daily.length ? median(daily)! / usual : null,
    }))
}

/** Misspellings of the phrases: those that people search for first, then the likeliest by rule. */
async function misspelt(
  stores: Stores,
  { region, language }: TagQuestion,
  list: readonly string[],
  related: readonly string[],
): Promise<TagPools['misspelt']> {
  if (!list.length) return []
  const { phrases, scoring } = stores
  // Where no dictionary ships, what most people search for is taken to be spelt right.
  const spelt = primaryLanguage(language) === 'en' ? [] : related.flatMap(phrase => words(phrase, language))
  const known = [...new Set(spelt.map(word => word.form))]
  // What nobody is known to misspell in one phrase they may in another that holds the word.
  const of = [...new Set([...list, ...related.slice(0, MOST_MISSPELT)])]
  const found = await scoring.misspelt(of, language, known)
  // Which of them people type the services know, and are asked once.
  await fetchMissingVolumes(
    stores,
    found.slice(0, MOST_ASKED).map(each => each.phrase),
    region,
    language,
  )
  let looked = 0
  const observed: { tag: string; of: string; observed: boolean; volume: number }[] = []
  const madeUp: { tag: string; of: string; observed: boolean }[] = []
  for (const { phrase, of } of found) {
    if (++looked % AT_A_TIME === 0) await nextTurn()
    const volume = phrases.known(phrase, region, language)?.volume ?? null
    if (volume) observed.push({ tag: phrase, of, observed: true, volume })
    // One of each phrase of the tray is enough.
    else if (list.includes(of) && !madeUp.some(each => each.of === of))
      madeUp.push({ tag: phrase, of, observed: false })
  }
  observed.sort((a, b) => b.volume - a.volume)
  return [...observed.slice(0, MOST_OBSERVED), ...madeUp.slice(0, MOST_MADE_UP)]
}

/** Suggestions for a draft's hashtags. */
export function hashtagSuggestions(
  { phrases, results }: Pick<Stores, 'phrases' | 'results'>,
  { draft, phrases: tray, region, language }: Omit<TagQuestion, 'workspace'>,
): HashtagSuggestion[] {
  const list = [tray.lead, ...tray.support].filter(phrase => phrase.trim())
  const known = tray.lead.trim() ? phrases.known(tray.lead, region, language) : null
  const page = known && results.effective(known.id, region)
  const descriptions = page ? results.seats(page, PAGE_SEATS).filter(seat => seat.off === 0) : []
  return suggestHashtags(
    list.map(phrase => ({ hashtag: hashtagFor(phrase, language), phrase })),
    descriptions.map(seat => hashtagsOf(seat.description ?? '').map(each => each.text)),
    hashtagsOf(draft.description ?? '').map(each => each.text),
  )
}
