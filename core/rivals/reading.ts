import type { Difficulty } from './difficulty'
import { LEAST_SURE, SUREST, type Forecast } from './forecast'
import type { OwnStrength } from './ownStrength'
import type { PageAge } from './turnover'
import type { Winnings } from './winnings'
import { STRENGTH_WEIGHTS } from './strength'

export interface ReadingOf {
  difficulty: Difficulty | null
  forecast: Forecast | null
  winnings: Winnings | null
  turnover: number | null
  age: PageAge | null
  /** Results read, and how many of the first twenty hold the phrase word for word in the title. */
  results: number
  exactTitles: number
  /** The more searched spelling whose results are used. */
  readAs?: string | null
  /** Whether the chance was learnt from pages; a rough estimate by fixed weights otherwise. */
  learnt?: boolean
}

const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 })
const short = new Intl.NumberFormat('en', { notation: 'compact', maximumSignificantDigits: 2 })
/** An estimate is not shown as more certain than it is. */
const chanceText = (chance: number) =>
  chance > SUREST
    ? `over ${whole.format(SUREST * 100)} %`
    : chance < LEAST_SURE
      ? `under ${whole.format(LEAST_SURE * 100)} %`
      : percent(chance)
const percent = (part: number) =>
  part > 0 && part < 0.01 ? 'less than 1 %' : part > 0.99 && part < 1 ? 'more than 99 %' : `${Math.round(part * 100)} %`

function chanceWord(chance: number): string {
  if (chance >= 0.85) return 'very likely'
  if (chance >= 0.6) return 'likely'
  if (chance >= 0.4) return 'about even'
  return chance >= 0.15 ? 'unlikely' : 'very unlikely'
}

/** Where a well-worded video of mine would stand, in words. */
function standing({ pageOne, likely, ranks }: Forecast, learnt: boolean): string {
  const last = ranks.length
  const [first, end] = likely
  const where =
    first >= last
      ? `below the first ${last - 1}`
      : end >= last
        ? `at ${whole.format(first)} or further down`
        : first === end
          ? `at ${whole.format(first)}`
          : `between ${whole.format(first)} and ${whole.format(end)}`
  return `A video of mine with the phrase in title and description would most likely rank ${where}; page one is ${chanceWord(pageOne)} (${learnt ? '' : 'roughly '}${chanceText(pageOne)})`
}

/**
 * Views as a range in words. Beyond the last rank whose share is known the low end is 0, which means unknown and not
 * nothing: only the high end is told then.
 */
function viewsText({ low, high }: Winnings): string {
  const digits = (count: number) => (count < 1000 ? whole.format(count) : short.format(count))
  const most = `${digits(high)} ${digits(high) === '1' ? 'view' : 'views'}`
  if (high < 1) return 'hardly any views'
  if (low < 1) return `up to ${most}`
  return digits(low) === digits(high) ? most : `${digits(low)} to ${most}`
}

/** The reading of a page: one sentence that says whether it can be won and what it brings, as far as known. */
export function readingInWords(of: ReadingOf): string {
  const { difficulty, forecast, winnings, turnover, age, results, exactTitles, readAs = null, learnt = false } = of
  if (!results)
    return 'No results for this phrase, so its difficulty is unknown. Check the spelling and whether people search for it.'
  const spelt =
    readAs === null
      ? ''
      : `The site treats it as “${readAs}”, which more people search for, and so do the figures here. `
  const parts: string[] = []
  if (forecast) parts.push(standing(forecast, learnt) + (winnings ? `, for ${viewsText(winnings)} in 90 days` : ''))
  else parts.push('Choose your channel in the Library to see where it would rank')
  if (difficulty) {
    const [firm, soft] =
      difficulty.front >= difficulty.rest + 4
        ? ['front', 'end']
        : difficulty.rest >= difficulty.front + 4
          ? ['end', 'front']
          : [null, null]
    parts.push(firm ? `the ${firm} of the page is stronger than its ${soft}` : 'the results are about equally strong')
  } else parts.push('the results are incomplete, so the difficulty is unknown')
  const words =
    exactTitles === 0
      ? 'no title on page one has the exact words'
      : `${exactTitles} of ${Math.min(20, results)} titles ${exactTitles === 1 ? 'has' : 'have'} the exact words`
  parts.push(words)
  if (turnover !== null) parts.push(`${percent(turnover)} of page one changes in 30 days`)
  else if (age)
    parts.push(
      `half of it is older than ${age.median >= 60 ? `${Math.round(age.median / 30)} months` : `${Math.round(age.median)} days`}`,
    )
  return `${spelt}${parts.join('; ')}.`
}

export interface SeatParts {
  targeting: number
  reach: number | null
  pull: number | null
}

/** Why a seat is soft for my channel: what its holder lacks, the greatest lack first. */
export function whySoft(seat: SeatParts, mine: OwnStrength): string[] {
  const lacks: [number, string][] = [
    [
      STRENGTH_WEIGHTS.targeting * (1 - seat.targeting),
      seat.targeting < 0.35 ? 'hardly matches the phrase' : 'matches the phrase loosely',
    ],
  ]
  if (seat.reach !== null && mine.reach !== null)
    lacks.push([STRENGTH_WEIGHTS.reach * (mine.reach - seat.reach), 'a smaller channel'])
  if (seat.pull !== null && mine.pull !== null)
    lacks.push([STRENGTH_WEIGHTS.pull * (mine.pull - seat.pull), 'fewer views a day than mine bring'])
  return lacks
    .filter(([lack]) => lack > 0.03)
    .sort((a, b) => b[0] - a[0])
    .map(([, words]) => words)
}
