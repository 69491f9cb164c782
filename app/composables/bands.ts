import { channelDifficultyBand, channelWorthBand, difficultyBand, worthBand } from '../../core/demand/bands'
import type { PhraseRow } from '../../shared/phrases'
import type { Whom } from '~/stores/workspace'

type Judged = Pick<PhraseRow, 'difficulty' | 'chance' | 'worth'>

/** The word for how hard a phrase is, for anyone or for my channel; empty where that is unknown. */
export const hardness = ({ difficulty, chance }: Pick<Judged, 'difficulty' | 'chance'>, whom: Whom) =>
  whom === 'channel' && chance !== null
    ? channelDifficultyBand(chance)
    : difficulty === null
      ? ''
      : difficultyBand(difficulty)

/** The word for what a phrase is worth, for anyone or for my channel; empty where that is unknown. */
export function worthWord({ worth, chance }: Pick<Judged, 'worth' | 'chance'>, whom: Whom): string {
  const figure = worth[whom]
  if (figure === null) return ''
  return whom === 'channel' && chance !== null ? channelWorthBand(figure, chance) : worthBand(figure)
}
