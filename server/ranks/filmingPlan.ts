import { setImmediate as nextTurn } from 'node:timers/promises'
import { season, type Season } from '../../core/demand/season'
import { filmingPlan, LEAST_DAYS, type FilmIdea } from '../../core/ranks/filmingPlan'
import { learntForecast } from '../../core/chance/model'
import { forecast } from '../../core/rivals/forecast'
import { viewsToWin } from '../../core/rivals/winnings'
import { DAY } from '../../core/time'
import type { FilmingPlanAnswer } from '../../shared/filmingPlan'
import { wonTogether, type OpenPhrase } from '../../shared/openPhrases'
import { pageForecast } from '../rivals/pageForecast'
import type { Runtime } from '../runtime'
import { openPhrasesOf, type OpenPhraseStores } from './openPhrases'

type Stores = OpenPhraseStores &
  Pick<Runtime, 'briefReleases' | 'now'> & { phrases: Pick<Runtime['phrases'], 'originOf'> }

export interface FilmBudgetAsked {
  hoursPerVideo: number
  hoursPerWeek: number
  weeks: number
}

/** Ideas that are weighed, those worth most today, and videos of one plan. */
const MOST_IDEAS = 40
const MOST_FILMS = 26
/** Sizes of the channel that are reckoned with, as times today’s subscribers. */
const SIZES = [1, 1.25, 1.75, 3]
const WEEK = 7 * DAY

/** Which videos to make next, in which order, in the time there is; from what is kept, nothing is asked. */
export async function filmingPlanOf(
  stores: Stores,
  workspace: string,
  region: string,
  { hoursPerVideo, hoursPerWeek, weeks }: FilmBudgetAsked,
): Promise<FilmingPlanAnswer> {
  const { videos, workspaces, now } = stores
  const open = (await openPhrasesOf(stores, workspace, region)).phrases
    // What is searched near a place is won by those near it: the searches of a region promise too much.
    .filter(({ intent }) => intent !== 'near')
    .slice(0, MOST_IDEAS)
  const room = Math.floor((weeks * hoursPerWeek) / hoursPerVideo)
  const { channelId, subscribers } = workspaces.get(workspace)!
  const seen = channelId === null ? [] : videos.ofChannel(channelId)
  const viewed = seen.reduce((sum, { views }) => sum + (views ?? 0), 0)
  const growth = subscribers && viewed ? { subscribers, perView: subscribers / viewed } : null
  const sizes = growth ? SIZES : [1]
  const standings: ReturnType<typeof workspaces.standing>[] = []
  for (const size of sizes) {
    await nextTurn()
    const as = size === 1 ? {} : { subscribers: Math.round(subscribers! * size) }
    standings.push(workspaces.standing(workspace, as))
  }
  const seasons: (Season | null)[] = []
  const ideas: FilmIdea[] = []
  for (const each of open) {
    await nextTurn()
    const found = seasonOf(stores, each.phrase, region, standings[0]!.workspace!.language)
    seasons.push(found)
    ideas.push({ ...ideaAt(stores, each, region, standings), shape: found?.shape ?? null })
  }
  const every = (hoursPerVideo / hoursPerWeek) * WEEK
  const end = now() + weeks * WEEK
  // What the calendar holds already takes its time.
  const planned = stores.briefReleases
    .planned(workspace)
    .filter(({ releaseAt, videoAddress }) => releaseAt > now() && releaseAt <= end && !videoAddress).length
  const free = Math.max(0, Math.min(room - planned, MOST_FILMS))
  const releases = Array.from({ length: free }, (_, i) => now() + (planned + i + 1) * every)
  const films = filmingPlan(ideas, { releases, sizes, growth }).map(({ idea, ...film }) => {
    const { phrase, also, searches } = open[idea]!
    return { ...film, phrase, also, searches, peaks: seasons[idea]?.peaks ?? null }
  })
  return {
    films,
    until: films.length ? films.at(-1)!.at + LEAST_DAYS * DAY : null,
    room,
    planned,
    ideas: ideas.length,
    perThousand: growth && growth.perView * 1000,
  }
}

function seasonOf({ phrases }: Stores, phrase: string, region: string, language: string): Season | null {
  const known = phrases.known(phrase, region, language)
  if (!known) return null
  const { months, monthsEnd } = phrases.originOf(known, region)
  return monthsEnd ? season(months, Number(monthsEnd.slice(5, 7)) - 1) : null
}

/** What a video for a phrase would win as the channel is, and as it may become. */
function ideaAt(
  stores: Stores,
  open: OpenPhrase,
  region: string,
  standings: readonly ReturnType<Stores['workspaces']['standing']>[],
): Pick<FilmIdea, 'views' | 'chance'> {
  const { phrases, results } = stores
  const { language } = standings[0]!.workspace!
  const known = phrases.known(open.phrase, region, language)!
  const page = results.latest(known.id, region)!
  // What the page asks is the same for every size, and takes most of the time.
  const judged = pageForecast(stores, page, standings[0]!.own, { phrase: open.phrase, language })
  const strengths = judged.seats.map(({ strength }) => strength)
  const found = standings.map(({ own, settings }, i) => {
    const learnt = own!.learnt?.[judged.page.region]
    const ahead =
      i === 0
        ? judged.ahead
        : learnt && judged.hurdles
          ? learntForecast(learnt, judged.hurdles, judged.seats.length)
          : forecast(own!.strength, strengths, judged.page.more === 1, own!.spread)
    return { chance: ahead!.pageOne, views: viewsToWin(open.searches, ahead!, settings.shares)!.expected }
  })
  // Phrases of the same results are won, or not, along with it.
  const today = found[0]!.views
  return {
    views: found.map(({ views }) => (today > 0 ? (wonTogether(open) * views) / today : 0)),
    chance: found.map(({ chance }) => chance),
  }
}
