/**
 * The words that stand beside a figure. The cuts were read off the demo world so that about
 * 40, 30, 20 and 10 % of the assessed rows of common seeds fall in each band, and stand
 * nowhere else.
 */
export const WORTH_BANDS = [
  { name: 'thin', from: 0 },
  { name: 'usable', from: 56 },
  { name: 'solid', from: 61 },
  { name: 'prime', from: 66 },
] as const
export const DIFFICULTY_BANDS = [
  { name: 'low', from: 0 },
  { name: 'middling', from: 32 },
  { name: 'high', from: 36 },
  { name: 'walled', from: 43 },
] as const

/**
 * Where a phrase is judged for a channel the words are cut on its chance of page one, at the same chances for every
 * channel: no word contradicts the chance beside it.
 */
const CHANCE_CUTS = [0, 0.15, 0.4, 0.7]

export type WorthBand = (typeof WORTH_BANDS)[number]['name']
export type DifficultyBand = (typeof DIFFICULTY_BANDS)[number]['name']

function bandOf<Name extends string>(bands: readonly { name: Name; from: number }[], figure: number): Name {
  let name = bands[0]!.name
  for (const band of bands) if (figure >= band.from) name = band.name
  return name
}

/** The band of a worth, 0 to 100. */
export const worthBand = (worth: number): WorthBand => bandOf(WORTH_BANDS, worth)
const cutBy = (chance: number) => CHANCE_CUTS.filter(from => chance >= from).length - 1

/** How hard it is for a channel, by its chance of page one, 0 to 1. */
export const channelDifficultyBand = (chance: number): DifficultyBand =>
  DIFFICULTY_BANDS[DIFFICULTY_BANDS.length - 1 - cutBy(chance)]!.name
/** The band of a worth for a channel: that of the figure, and no better than the chance allows. */
export const channelWorthBand = (worth: number, chance: number): WorthBand =>
  WORTH_BANDS[
    Math.min(
      cutBy(chance),
      WORTH_BANDS.findIndex(band => band.name === worthBand(worth)),
    )
  ]!.name
/** The band of a difficulty, 0 to 100. */
export const difficultyBand = (difficulty: number): DifficultyBand => bandOf(DIFFICULTY_BANDS, difficulty)
