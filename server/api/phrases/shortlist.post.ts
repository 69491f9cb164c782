import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../../../core/text/inputs'
import { fetchMissingVolumes } from '../../demand/lookUp'
import { shortlist } from '../../demand/shortlist'
import { sheetFor } from '../../http/phraseQuestion'
import { askable } from '../../http/askable'
import { bodyOf, route } from '../../http/route'

const body = z.object({
  phrases: z.array(phraseInput).min(2, 'Choose two phrases at least.').max(6, 'Six phrases at most.'),
  region: regionInput,
  language: languageInput.default('en'),
  workspace: z.string().max(60).optional(),
})

/** Two to six phrases side by side on every figure. */
export default route(async (event, open) => {
  const runtime = askable(event, open)
  const { phrases, region, language, workspace } = await bodyOf(event, body)
  const missing = await fetchMissingVolumes(runtime, phrases, region ?? '', language)
  const viewer = sheetFor(runtime, workspace)
  return { columns: await shortlist(runtime, phrases, { region, language, workspace, viewer }), missing }
})
