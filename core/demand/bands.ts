/**
 * The words that stand beside a figure. The cuts were read off the demo world so that about
 * 40, 30, 20 and 10 % of the assessed rows of common seeds fall in each band, and stand
 * nowhere else.
 */
export const WORTH_BANDS = [
  { name: 'thin', from: 0 },
  { name: 'usable', from: 57 },
  { name: 'solid', from: 63 },
  { name: 'prime', from: 69 },
] as const
export const DIFFICULTY_BANDS = [
  { name: 'low', from: 0 },
  { name: 'middling', from: 32 },
  { name: 'high', from: 39 },
  { name: 'walled', from: 49 },
] as const

/**
 * Where a phrase is judged for a channel the words are cut on its chance of page one, at the same chances for every
 * channel: no word contradicts the chance beside it.
 */
const CHANCE_CUTS = [0, 0.15, 0.4, 0.7]

export type WorthBand = (typeof WORTH_BANDS)[number]['name']
export type DifficultyBand = (typeof DIFFICULTY_BANDS)[number]['name']

const placeOf = (bands: readonly { from: number }[], figure: number) =>
  bands.filter(band => figure >= band.from).length - 1

/** The band of a worth for anyone, 0 to 100: that of the figure, and no better than the difficulty allows. */
export const worthBand = (worth: number, difficulty: number): WorthBand =>
  noBetterThan(DIFFICULTY_BANDS.length - 1 - placeOf(DIFFICULTY_BANDS, difficulty), worth)
const cutBy = (chance: number) => CHANCE_CUTS.filter(from => chance >= from).length - 1

/** How hard it is for a channel, by its chance of page one, 0 to 1. */
export const channelDifficultyBand = (chance: number): DifficultyBand =>
  DIFFICULTY_BANDS[DIFFICULTY_BANDS.length - 1 - cutBy(chance)]!.name
/** The band of a worth for a channel: that of the figure, and no better than the chance allows. */
export const channelWorthBand = (worth: number, chance: number): WorthBand => noBetterThan(cutBy(chance), worth)
const noBetterThan = (place: number, worth: number) => WORTH_BANDS[Math.min(place, placeOf(WORTH_BANDS, worth))]!.name
/** The band of a difficulty, 0 to 100. */
export const difficultyBand = (difficulty: number): DifficultyBand =>
  DIFFICULTY_BANDS[placeOf(DIFFICULTY_BANDS, difficulty)]!.name
