import { DAY } from '../../core/time'
import { median, quantile } from 'd3-array'
import { chanceOfPageOne, firstPage } from '../../core/rivals/forecast'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import type { OwnStrength } from '../../core/rivals/ownStrength'
import { readingInWords, whySoft } from '../../core/rivals/reading'
import { firstLine, viewsPerDay } from '../../core/rivals/strength'
import { moves, pageAge, turnover } from '../../core/rivals/turnover'
import { isUpset, timesExpected, upsetReason, type ViewsModel } from '../../core/rivals/upsets'
import { earnings, viewsToWin } from '../../core/rivals/winnings'
import { GRADES, match, readPhrase, readText, type Match } from '../../core/text/match'
import { words } from '../../core/text/words'
import type { PageChannel, Reading, ResultsAnswer, ResultsQuery, RivalRow, Spreads } from '../../shared/rivals'
import { learntChance } from '../../core/chance/model'
import type { LearntModels } from './learntModels'
import { pageForecast } from './pageForecast'
import type { SavedPage, ResultStore, SeatRow } from '../data/results'
import type { VideoStore } from '../data/videos'
import type { WorkspaceStore } from '../data/workspaces'
import type { PhraseStore } from '../data/phrases'

export interface AnswerDeps {
  chances?: Pick<LearntModels, 'hurdles' | 'hurdlesAsRead' | 'inUse'>
  phrases: PhraseStore
  results: ResultStore
  videos: VideoStore
  workspaces: WorkspaceStore
}

interface Seen extends SeatRow {
  daily: number | null
  age: number | null
  tagList: string[] | null
}

const see = (seat: SeatRow, at: number): Seen => ({
  ...seat,
  daily: seat.views === null || seat.published_at === null ? null : viewsPerDay(seat.views, seat.published_at, at),
  age: seat.published_at === null ? null : Math.max(0, (at - seat.published_at) / DAY),
  tagList: seat.tags === null ? null : (JSON.parse(seat.tags) as string[]),
})

const known = (list: (number | null)[]) => list.filter(value => value !== null)

/** Quartiles and values of what page one shows, for a small drawing. */
function spreadsOf(seats: readonly Seen[]): Spreads[] {
  const of = (name: Spreads['name'], list: (number | null)[]): Spreads[] => {
    const values = known(list).sort((a, b) => a - b)
    return values.length
      ? [{ name, low: quantile(values, 0.25)!, median: median(values)!, high: quantile(values, 0.75)!, values }]
      : []
  }
  return [
    ...of(
      'views',
      seats.map(seat => seat.views),
    ),
    ...of(
      'viewsPerDay',
      seats.map(seat => seat.daily),
    ),
    ...of(
      'subscribers',
      seats.map(seat => seat.subscribers),
    ),
    ...of(
      'age',
      seats.map(seat => seat.age),
    ),
    ...of(
      'length',
      seats.map(seat => seat.seconds),
    ),
  ]
}

function bestTag(tags: string[] | null, grade: (text: string) => Match): Match['grade'] | null {
  if (tags === null) return null
  const found = tags.map(tag => GRADES.indexOf(grade(tag).grade))
  return GRADES[Math.min(GRADES.length - 1, ...found)]!
}

/** The channels of page one, those with most results first. */
function channelsOf(seats: readonly Seen[], phrase: string): PageChannel[] {
  const wanted = words(phrase).map(word => word.norm)
  const found = new Map<string, PageChannel>()
  for (const seat of seats) {
    const has = found.get(seat.channel_id)
    if (has) {
      has.results++
      continue
    }
    const name = words(seat.channel_title).map(word => word.norm)
    found.set(seat.channel_id, {
      id: seat.channel_id,
      title: seat.channel_title,
      subscribers: seat.subscribers,
      results: 1,
      nameHolds: wanted.length > 0 && wanted.every(norm => name.includes(norm)),
    })
  }
  return [...found.values()].sort((a, b) => b.results - a.results || (b.subscribers ?? -1) - (a.subscribers ?? -1))
}

/**
 * A kept page as Rivals shows it: each seat with its strength, match and soft spots, my channel's
 * forecast among those that are on topic, and the reading of the whole.
 */
export function answerResults(
  { chances, phrases, results, videos, workspaces }: AnswerDeps,
  page: SavedPage,
  query: ResultsQuery,
  views: ViewsModel | null,
  problem: string | null,
): ResultsAnswer {
  const { phrase, region, language, depth } = query
  const { own, settings, workspace } = workspaces.standing(query.workspace)
  const mine: OwnStrength | null = workspace?.own ?? null
  const seats = results.seats(page, depth).map(seat => see(seat, page.at))
  const topical = seats.filter(seat => !seat.off)
  const whole = page.complete === 1
  const {
    page: difficultyPage,
    readAs,
    seats: judged,
    hurdles,
    asked,
    ahead,
  } = pageForecast({ chances, phrases, results }, page, own, { phrase, language })
  const allStrengths = judged.map(seat => seat.strength)
  const more = difficultyPage.more === 1
  const learnt = page.kind === 'site' ? own?.learnt?.[page.region] : undefined
  const compared = firstPage(allStrengths, more)
  const constants = own && whole ? chanceOfPageOne(own.strength, compared.strengths, compared.more, own.spread) : null
  const read = readPhrase(phrase, language)
  const grade = (text: string) => match(read, readText(text, language))
  const first = topical.slice(0, PAGE_SEATS)
  const usual = {
    targeting: median(first, seat => seat.targeting) ?? 0,
    ageDays: median(known(first.map(seat => seat.age))) ?? 0,
    seconds: median(known(first.map(seat => seat.seconds))) ?? 0,
  }
  const past = results.past(page.phrase_id, page.region, page.kind)
  const earlier = past.find(each => each.at < page.at - DAY / 2)
  const moved = earlier
    ? moves(
        seats.map(seat => seat.code),
        earlier.ids,
      )
    : null
  let place = 0
  const rows = seats.map((seat): RivalRow => {
    const title = grade(seat.title)
    const expected =
      views && seat.subscribers !== null && seat.daily !== null && seat.age !== null
        ? { subscribers: seat.subscribers, ageDays: Math.max(1, seat.age), viewsPerDay: seat.daily }
        : null
    const upset = expected !== null && isUpset(views!, expected, seat.views ?? 0)
    const index = seat.off ? null : place++
    const stays = ahead && index !== null ? (ahead.ahead[index] ?? null) : null
    return {
      rank: seat.rank,
      videoId: seat.code,
      title: seat.title,
      titleRanges: title.grade === 'none' ? [] : title.ranges,
      description: seat.description,
      tags: seat.tagList,
      channel: { id: seat.channel_id, title: seat.channel_title, subscribers: seat.subscribers },
      views: seat.views,
      viewsPerDay: seat.daily,
      likes: seat.likes,
      dislikes: seat.dislikes,
      comments: seat.comments,
      publishedAt: seat.published_at,
      durationSeconds: seat.seconds,
      thumbnail: seat.thumbnail,
      strength: seat.strength,
      targeting: seat.targeting ?? 0,
      reach: seat.reach,
      pull: seat.pull,
      matches: {
        title: title.grade,
        firstLine: seat.description === null ? null : grade(firstLine(seat.description)).grade,
        tag: bestTag(seat.tagList, grade),
      },
      off: seat.off === 1,
      ahead: stays,
      soft:
        stays !== null && stays < 0.5 && mine
          ? whySoft({ targeting: seat.targeting ?? 0, reach: seat.reach, pull: seat.pull }, mine)
          : null,
      timesExpected: expected ? timesExpected(views!, expected) : null,
      upset,
      upsetReason: upset
        ? upsetReason(
            { targeting: seat.targeting ?? 0, ageDays: expected.ageDays, seconds: seat.seconds ?? usual.seconds },
            usual,
          )
        : null,
      ...(moved ? { before: moved.find(each => each.id === seat.code)?.before ?? null } : {}),
    }
  })
  const volume = phrases.known(phrase, region ?? '', language)?.volume ?? null
  const winnings = ahead && viewsToWin(volume, ahead, settings.shares)
  const rate = settings.rates[region ?? ''] ?? settings.rates['']
  const difficulty =
    difficultyPage.difficulty === null
      ? null
      : {
          page: difficultyPage.difficulty,
          front: difficultyPage.front!,
          middle: difficultyPage.middle!,
          rest: difficultyPage.rest!,
        }
  const first20 = hurdles && asked(judged.slice(0, PAGE_SEATS), PAGE_SEATS)
  const model = chances?.inUse(page.region) ?? null
  const changes = turnover(past)
  const age = pageAge(known(first.map(seat => seat.published_at)), page.at)
  const exact = (at: 'title' | 'firstLine') =>
    rows
      .filter(row => !row.off)
      .slice(0, PAGE_SEATS)
      .filter(row => row.matches[at] === 'exact').length
  const reading: Reading = {
    sentence: readingInWords({
      difficulty,
      forecast: ahead,
      winnings,
      turnover: changes,
      age,
      results: topical.length,
      exactTitles: exact('title'),
      readAs,
      learnt: hurdles !== null,
    }),
    own: mine && { strength: mine.strength, reach: mine.reach, pull: mine.pull },
    forecast: ahead && {
      pageOne: ahead.pageOne,
      likely: ahead.likely,
      ranks: [...ahead.ranks],
      softSeats: ahead.softSeats.map(n => topical[n - 1]?.rank ?? n),
    },
    compared: learnt && first20 ? learntChance(learnt, first20.full) : constants,
    learntFrom: hurdles && model && { pages: model.pages, at: model.at, constants },
    winnings,
    earnings: winnings && rate ? { currency: rate.currency, ...earnings(winnings, rate) } : null,
    volume,
    turnover: changes,
    pagesKept: past.length,
    age,
    exactTitles: exact('title'),
    exactFirstLines: exact('firstLine'),
    spreads: spreadsOf(first),
  }
  const left = (moved ?? [])
    .filter(each => each.rank === null && each.before! <= depth)
    .map(each => ({ videoId: each.id, title: videos.video(each.id)?.title ?? each.id, before: each.before! }))
  return {
    phrase,
    region,
    from: page.kind,
    at: page.at,
    source: page.source,
    complete: whole,
    more: page.more === 1,
    titleMatches: difficultyPage.title_matches,
    readAs,
    difficulty,
    rows,
    reading,
    channels: channelsOf(first, phrase),
    looks: past.map(({ id, at, difficulty }) => ({ id, at, difficulty })),
    left,
    problem,
  }
}
