import { z } from 'zod'
import { languageInput, regionInput } from '../../../shared/text'
import { toRow } from '../../demand/rows'
import { bodyOf, route } from '../../http/route'

const question = z.object({ phrases: z.array(z.string().max(500)).max(2000), region: regionInput, language: languageInput.default('en') })

/** Figures of phrases that are known, from the store alone; unknown ones are left out. */
export default route(async (event, { phrases }) => {
  const { phrases: list, region, language } = await bodyOf(event, question)
  const { cap } = phrases.cap(region ?? '')
  return { rows: list.flatMap(phrase => phrases.known(phrase, region ?? '', language) ?? []).map(known => toRow(known, cap, phrases.originOf(known, region ?? ''))) }
})
