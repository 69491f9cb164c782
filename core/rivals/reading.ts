import type { Difficulty } from './difficulty'
import { SUREST, type Forecast } from './forecast'
import type { OwnStrength } from './ownStrength'
import type { PageAge } from './turnover'
import type { Winnings } from './winnings'

export interface ReadingOf {
  difficulty: Difficulty | null
  forecast: Forecast | null
  winnings: Winnings | null
  turnover: number | null
  age: PageAge | null
  /** Results read, and how many of the first twenty hold the phrase word for word in the title. */
  results: number
  exactTitles: number
  /** The more searched spelling by whose results it is judged. */
  readAs?: string | null
}

const whole = new Intl.NumberFormat('en', { maximumFractionDigits: 0 })
const short = new Intl.NumberFormat('en', { notation: 'compact', maximumSignificantDigits: 2 })
/** A rough estimate is told as no surer than it is. */
const chanceText = (chance: number) => chance > SUREST ? `over ${whole.format(SUREST * 100)} %` : percent(chance)
const percent = (part: number) => part > 0 && part < 0.01 ? 'less than 1 %' : part > 0.99 && part < 1 ? 'more than 99 %' : `${Math.round(part * 100)} %`

function chanceWord(chance: number): string {
  if (chance >= 0.85) return 'very likely'
  if (chance >= 0.6) return 'likely'
  if (chance >= 0.4) return 'about even'
  return chance >= 0.15 ? 'unlikely' : 'very unlikely'
}

/** Where a well-worded video of mine would stand, in words. */
function standing({ pageOne, likely, ranks }: Forecast): string {
  const last = ranks.length
  const rank = (k: number) => k >= last ? `behind all ${last - 1} read` : whole.format(k)
  const where = likely[0] >= last ? rank(last) : likely[0] === likely[1] ? `at rank ${rank(likely[0])}` : `between ranks ${rank(likely[0])} and ${rank(likely[1])}`
  return `A well-worded video of mine would most likely stand ${where}; page one is ${chanceWord(pageOne)} (roughly ${chanceText(pageOne)})`
}

const views = (count: number) => count < 1 ? 'hardly any' : count < 1000 ? whole.format(count) : short.format(count)

const span = (low: string, high: string) => low === high ? low : `${low} to ${high}`

/** The reading of a page: one sentence that says whether it can be won and what it brings, as far as known. */
export function readingInWords(of: ReadingOf): string {
  const { difficulty, forecast, winnings, turnover, age, results, exactTitles, readAs = null } = of
  if (!results) return 'No results for this phrase. That says nothing of how easy it is: look whether people search for it, and how it is spelled.'
  const parts: string[] = readAs === null ? [] : [`The site reads it as “${readAs}”, which is searched more, and so do these figures`]
  if (forecast) parts.push(standing(forecast) + (winnings ? `, for ${span(views(winnings.low), views(winnings.high))} views in 90 days` : ''))
  else parts.push('Say which channel is yours to see where it would stand')
  if (difficulty) {
    const [firm, soft] = difficulty.front >= difficulty.rest + 4 ? ['front', 'end'] : difficulty.rest >= difficulty.front + 4 ? ['end', 'front'] : [null, null]
    parts.push(firm ? `the ${firm} of the page is held more firmly than its ${soft}` : 'the page is held evenly')
  } else parts.push('the page came back incomplete, so that nothing is said of its difficulty')
  const words = exactTitles === 0 ? 'no title of page one holds the exact words' : `${exactTitles} of ${Math.min(20, results)} titles ${exactTitles === 1 ? 'holds' : 'hold'} the exact words`
  parts.push(words)
  if (turnover !== null) parts.push(`${percent(turnover)} of it changes hands in 30 days`)
  else if (age) parts.push(`half of it is older than ${age.median >= 60 ? `${Math.round(age.median / 30)} months` : `${Math.round(age.median)} days`}`)
  return `${parts.join('; ')}.`
}

export interface SeatParts { targeting: number, reach: number | null, pull: number | null }

/** Why a seat is soft for my channel: what its holder lacks, the greatest lack first. */
export function whySoft(seat: SeatParts, mine: OwnStrength): string[] {
  const lacks: [number, string][] = [[0.45 * (1 - seat.targeting), seat.targeting < 0.35 ? 'hardly worded for it' : 'loosely worded']]
  if (seat.reach !== null && mine.reach !== null) lacks.push([0.25 * (mine.reach - seat.reach), 'a smaller channel'])
  if (seat.pull !== null && mine.pull !== null) lacks.push([0.3 * (mine.pull - seat.pull), 'fewer views a day than mine bring'])
  return lacks.filter(([lack]) => lack > 0.03).sort((a, b) => b[0] - a[0]).map(([, words]) => words)
}
