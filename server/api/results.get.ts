import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../../shared/text'
import { resultPage } from '../demand/assess'
import { queryOf, route } from '../http/route'

const question = z.object({
  phrase: phraseInput,
  region: regionInput,
  language: languageInput.default('en'),
  depth: z.coerce.number().refine(depth => [20, 40, 60].includes(depth), 'A depth is 20, 40 or 60.').default(20),
})

export default route((event, { phrases, results, services }) => {
  const { phrase, region, language, depth } = queryOf(event, question)
  return resultPage({ phrases, results, services }, phrase, region ?? '', language, depth)
})
