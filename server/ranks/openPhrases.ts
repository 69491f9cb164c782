import { setImmediate as nextTurn } from 'node:timers/promises'
import { byOneVideo, topicsOf } from '../../core/ranks/topics'
import { viewsToWin } from '../../core/rivals/winnings'
import { stemmerFor } from '../../core/text/stems'
import { phraseKey, words } from '../../core/text/words'
import { wonTogether, type OpenPhrase, type OpenPhrasesAnswer } from '../../shared/openPhrases'
import { phrasesQuerySchema, type PhrasesAnswer } from '../../shared/phrases'
import type { LearntModels } from '../rivals/learntModels'
import { pageForecast } from '../rivals/pageForecast'
import type { Runtime } from '../runtime'
import { inTurns } from '../threads/inTurns'

export type OpenPhraseStores = Pick<Runtime, 'briefs' | 'phrases' | 'results' | 'videos' | 'workspaces'> & {
  chances: LearntModels
  search: Pick<Runtime['search'], 'answer'>
}

/** Phrases of the topics that are looked at, those worth most for the channel; and those that are told. */
const LOOKED = 400
const MOST = 60
/** The newest videos that tell what the channel is about. */
const TITLES_READ = 2000
/** A chance below this is none that one can reach. */
const LEAST_CHANCE = 0.25
/** Fewer views a month are not worth a video. */
const LEAST_VIEWS = 1
/** Views to win are those of ninety days. */
const MONTHS_WON = 3
/**
 * Phrases of a channel’s topics that are searched and within its reach, on whose page no video of it stands and that no
 * brief is for; from what is kept, nothing is asked.
 *
 * @param most phrases that are looked at, those worth most.
 */
export async function openPhrasesOf(
  stores: OpenPhraseStores,
  workspace: string,
  region: string,
  most = LOOKED,
): Promise<OpenPhrasesAnswer> {
  const { briefs, phrases, results, search, videos, workspaces } = stores
  const { own, settings, workspace: home } = workspaces.standing(workspace)
  const channel = home?.channelId ?? null
  const nothing: OpenPhrasesAnswer = { topics: [], phrases: [], known: 0, looked: 0, unknown: 0 }
  if (channel === null || !own) return nothing
  const { language } = home!
  const titles = videos.titlesOfChannel(channel, TITLES_READ).map(({ title }) => title)
  const topics = await inTurns(topicsOf(titles, language))
  if (!topics.length) return nothing
  const query = phrasesQuerySchema.parse({
    seed: topics.map(({ word }) => word).join(', '),
    region: region || undefined,
    language,
    limit: most,
    sort: 'worth:desc',
    for: 'channel',
  })
  const found = JSON.parse(
    await search.answer({
      query: { ...query, region },
      looks: topics.map(() => null),
      missing: [],
      without: [],
      own,
      weights: settings.weights,
    }),
  ) as PhrasesAnswer
  const taken = new Set(
    briefs
      .list(workspace)
      .listed.flatMap(({ fields: { tray } }) => [tray.lead ?? '', ...tray.support, ...tray.setAside])
      .map(phraseKey),
  )
  const held = videos.standingOf(channel, region, language)
  const heldAlready = new Set(held.map(({ phrase }) => phrase))
  const candidates = found.rows.filter(
    row =>
      row.volume &&
      row.difficulty !== null &&
      row.readAs === null &&
      (row.chance ?? 0) >= LEAST_CHANCE &&
      !taken.has(phraseKey(row.phrase)) &&
      !heldAlready.has(row.phrase),
  )
  const open: (Omit<OpenPhrase, 'also'> & { page: number[] })[] = []
  const stem = stemmerFor(language)
  const topicsIn = (phrase: string) => {
    const stems = new Set(words(phrase, language).map(({ norm }) => stem(norm)))
    return topics.filter(topic => stems.has(topic.stem)).map(({ word }) => word)
  }
  for (const { phrase, volume, difficulty, intent } of candidates) {
    // A page's results are read for each: others have their turn before every one.
    await nextTurn()
    const id = phrases.idOf(language, phraseKey(phrase))
    const page = id === undefined ? null : results.latest(id, region)
    if (!page?.complete) continue
    const { seats, ahead } = pageForecast(stores, page, own, { phrase, language })
    if (!ahead || seats.some(({ channel_id }) => channel_id === channel)) continue
    const views = viewsToWin(volume, ahead, settings.shares)!.expected / MONTHS_WON
    if (views < LEAST_VIEWS) continue
    open.push({
      phrase,
      topics: topicsIn(phrase),
      intent,
      searches: volume!,
      difficulty: difficulty!,
      chance: ahead.pageOne,
      views,
      page: results.firstPage(id!, region),
    })
  }
  const grouped = byOneVideo(open.sort((a, b) => b.views - a.views))
    .map(({ first: { page: _, ...first }, also }): OpenPhrase => ({
      ...first,
      also: also.map(({ phrase, views }) => ({ phrase, views })),
    }))
    .sort((a, b) => wonTogether(b) - wonTogether(a))
  const heldIn = new Map(topics.map(({ word }) => [word, new Set<string>()]))
  for (const { phrase } of held) for (const topic of topicsIn(phrase)) heldIn.get(topic)!.add(phrase)
  return {
    topics: topics.map(({ word, videos: count }) => ({
      word,
      videos: count,
      held: heldIn.get(word)!.size,
      open: grouped.filter(each => each.topics.includes(word)).length,
    })),
    phrases: grouped.slice(0, MOST),
    known: found.total,
    looked: found.rows.length,
    unknown: found.rows.filter(({ results: read }) => read === null).length,
  }
}
