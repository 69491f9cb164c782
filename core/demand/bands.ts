/**
 * The words that stand beside a figure. The cuts were read off the demo world so that about
 * 40, 30, 20 and 10 % of the assessed rows of common seeds fall in each band, and stand
 * nowhere else.
 */
export const WORTH_BANDS = [
  { name: 'thin', from: 0 }, { name: 'usable', from: 56 }, { name: 'solid', from: 61 }, { name: 'prime', from: 66 },
] as const
export const DIFFICULTY_BANDS = [
  { name: 'low', from: 0 }, { name: 'middling', from: 32 }, { name: 'high', from: 36 }, { name: 'walled', from: 43 },
] as const

export type WorthBand = typeof WORTH_BANDS[number]['name']
export type DifficultyBand = typeof DIFFICULTY_BANDS[number]['name']

function bandOf<Name extends string>(bands: readonly { name: Name, from: number }[], figure: number): Name {
  let name = bands[0]!.name
  for (const band of bands) if (figure >= band.from) name = band.name
  return name
}

/** The band of a worth, 0 to 100. */
export const worthBand = (worth: number): WorthBand => bandOf(WORTH_BANDS, worth)
/** The band of a difficulty, 0 to 100. */
export const difficultyBand = (difficulty: number): DifficultyBand => bandOf(DIFFICULTY_BANDS, difficulty)
