import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../../../shared/text'
import { answerDetail } from '../../demand/rows'
import { Problem } from '../../http/problem'
import { queryOf, route } from '../../http/route'

const question = z.object({ phrase: phraseInput, region: regionInput, language: languageInput.default('en') })

export default route((event, { phrases, results }) => {
  const { phrase, region, language } = queryOf(event, question)
  const detail = answerDetail(phrases, results, phrase, region, language)
  if (!detail) throw new Problem(404, 'unknown-phrase', `Nothing is known of “${phrase}” yet. Type it as a seed, or import a list that holds it.`)
  return detail
})
