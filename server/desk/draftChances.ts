import { fullWording, learntChance, wordingValue } from '../../core/chance/model'
import { readVideoText } from '../../core/chance/signals'
import { chanceOfPageOne, firstPage } from '../../core/rivals/forecast'
import { RivalReader } from '../../core/rivals/strength'
import { strengthAsWorded, type OwnParts } from '../../core/draft/chances'
import type { DraftTexts } from '../../core/draft/draft'
import type { DraftChance } from '../../shared/draftChances'
import type { PhraseStore } from '../data/phrases'
import type { LearntModels } from '../rivals/learntModels'
import type { OwnStanding } from '../demand/regionColumns'

/**
 * The chance of page one for each phrase, with the text as it is worded and with the phrase word for word in title,
 * first line and a tag, from the pages kept; nothing is asked of a service.
 *
 * @param region '' for everywhere. @param own what is known of my channel; `null` where nothing is.
 */
export function draftChances(
  phrases: Pick<PhraseStore, 'known'>,
  question: { draft: DraftTexts; phrases: readonly string[]; region: string; language: string },
  own: (OwnParts & OwnStanding) | null,
  chances?: Pick<LearntModels, 'inUse'>,
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
    // The site shows a misspelling the results of the right spelling: texts worded for either are found.
    const spellings = known!.readAs === null ? [phrase] : [known!.readAs, phrase]
    const learnt = own.learnt?.[region]
    const found = chances?.inUse(region, { language })
    if (learnt && found && known!.hurdle !== null) {
      const inFull = fullWording(found.model, spellings[0]!, language)
      const worded = Math.max(...spellings.map(each => wordingValue(found.model, each, language, read)))
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
      asWorded: chance(Math.max(...spellings.map(each => strengthAsWorded(own, each, draft, language, reader)))),
      inFull: chance(own.strength),
      known: true,
    }
  })
}
