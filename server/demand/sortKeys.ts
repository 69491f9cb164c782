import { floatKey, type KeyOf } from '../../core/search/selectRange'
import type { PhraseSort, PhrasesQuery } from '../../shared/phrases'
import type { LanguageIndex } from './languageIndex'
import type { RegionColumns } from './regionColumns'

type Sorting = Pick<PhrasesQuery, 'sort' | 'for'>

/** The name under which an order is kept. */
export const sortName = ({ sort, for: viewer }: Sorting) =>
  `${sort.column} ${sort.direction}${sort.column === 'worth' ? ` ${viewer}` : ''}`

/** What parts phrases that tie in a column: falling volume, then the text. */
export const lastKeys = (index: LanguageIndex, region: RegionColumns): KeyOf[] => [
  ...doubleKeys(region.volume, true),
  n => index.text[n]!,
]

/** The keys of the column sorted by, unknown ones last whichever way. */
export function sortKeys(
  index: LanguageIndex,
  region: RegionColumns,
  everywhere: RegionColumns,
  { sort, for: viewer }: Sorting,
): KeyOf[] {
  const falling = sort.direction === 'desc'
  const float = (column: Float32Array | Float64Array): KeyOf[] => [n => floatKey(column[n]!, falling)]
  const whole = (column: ArrayLike<number>): KeyOf[] => [n => (falling ? 0xffffffff - column[n]! : column[n]!)]
  const bits = (via: number) => (via & 1) + ((via >> 1) & 1)
  const keys: Record<PhraseSort, () => KeyOf[]> = {
    phrase: () => whole(index.text),
    words: () => whole(index.words),
    volume: () => doubleKeys(region.volume, falling),
    volumeAll: () => doubleKeys(everywhere.volume, falling),
    change: () => float(region.change),
    competition: () => float(region.competition),
    advertiser: () => float(region.advertiser),
    season: () => float(region.season),
    difficulty: () => float(region.difficulty),
    worth: () => float(viewer === 'channel' ? region.channelWorth : region.worth),
    chance: () => float(region.chance),
    via: () => [n => (falling ? 3 - bits(index.via[n]!) : bits(index.via[n]!))],
  }
  return keys[sort.column]()
}

/** A double's key in two halves: volumes differ in more places than a float holds. */
function doubleKeys(column: Float64Array, falling: boolean): KeyOf[] {
  const halves = new Uint32Array(column.buffer)
  // One less than all bits, so that a volume of 0 is not taken for an unknown one.
  const turn = (half: number) => (falling ? (~half - 1) >>> 0 : half)
  return [
    n => (Number.isNaN(column[n]!) ? 0xffffffff : turn(halves[2 * n + 1]!)),
    n => (Number.isNaN(column[n]!) ? 0 : turn(halves[2 * n]!)),
  ]
}
