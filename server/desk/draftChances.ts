import { fullWording, learntChance, wordingValue } from '../../core/chance/model'
import { readVideoText } from '../../core/chance/signals'
import { chanceOfPageOne, firstPage } from '../../core/rivals/forecast'
import { RivalReader } from '../../core/rivals/strength'
import { strengthAsWorded, type OwnParts } from '../../core/draft/chances'
import type { DraftTexts } from '../../core/draft/draft'
import type { DraftChance } from '../../shared/draftChances'
import type { PhraseStore } from '../data/phrases'
import type { Chances } from '../rivals/chances'
import type { OwnStanding } from '../demand/regionColumns'

/**
 * The chance of page one for each phrase, with the text as it is worded and with the phrase word for word in title,
 * first line and a tag, from the pages kept; nothing is asked of a service.
 *
 * @param region '' for everywhere. @param own what is known of my channel; `null` where nothing is.
 */
export function draftChances(
  phrases: PhraseStore,
  question: { draft: DraftTexts; phrases: readonly string[]; region: string; language: string },
  own: (OwnParts & OwnStanding) | null,
  chances?: Pick<Chances, 'inUse'>,
): DraftChance[] {
  const { draft, region, language } = question
  const reader = new RivalReader(language)
  const read = readVideoText(
    { title: draft.title ?? '', description: draft.description ?? null, tags: draft.tags ?? null },
    language,
  )
  return question.phrases.map((phrase): DraftChance => {
    const known = phrases.known(phrase, region, language)
    const strengths = known && known.difficulty !== null ? known.strengths : null
    if (!strengths || !own) return { phrase, asWorded: null, inFull: null, known: strengths !== null }
    const learnt = own.learnt?.[region]
    const found = chances?.inUse(region, { language })
    if (learnt && found && known!.hurdle !== null) {
      const inFull = fullWording(found.model, phrase, language)
      const worded = wordingValue(found.model, phrase, language, read)
      return {
        phrase,
        asWorded: learntChance(learnt, known!.hurdle + inFull - worded),
        inFull: learntChance(learnt, known!.hurdle),
        known: true,
      }
    }
    const page = firstPage(strengths, known!.more)
    const chance = (strength: number) => chanceOfPageOne(strength, page.strengths, page.more, own.spread)
    return {
      phrase,
      asWorded: chance(strengthAsWorded(own, phrase, draft, language, reader)),
      inFull: chance(own.strength),
      known: true,
    }
  })
}
