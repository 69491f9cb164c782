import { channelDifficultyBand, channelWorthBand, difficultyBand, worthBand } from '../../core/demand/bands'
import type { PhraseRow } from '../../shared/phrases'
import type { Perspective } from '~/stores/workspace'

type Figures = Pick<PhraseRow, 'difficulty' | 'chance' | 'worth'>

/** The word for how hard a phrase is, for anyone or for my channel; empty where that is unknown. */
export const hardness = ({ difficulty, chance }: Pick<Figures, 'difficulty' | 'chance'>, perspective: Perspective) =>
  perspective === 'channel' && chance !== null
    ? channelDifficultyBand(chance)
    : difficulty === null
      ? ''
      : difficultyBand(difficulty)

/** The word for what a phrase is worth, for anyone or for my channel; empty where that is unknown. */
export function worthWord({ worth, chance, difficulty }: Figures, perspective: Perspective): string {
  const figure = worth[perspective]
  if (figure === null) return ''
  if (perspective === 'channel' && chance !== null) return channelWorthBand(figure, chance)
  return difficulty === null ? '' : worthBand(figure, difficulty)
}
