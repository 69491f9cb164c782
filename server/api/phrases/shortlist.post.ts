import { fetchMissingVolumes } from '../../demand/lookUp'
import { shortlist } from '../../demand/shortlist'
import { sheetFor } from '../../http/sheetFor'
import { askable } from '../../http/askable'
import { route } from '../../http/route'

/** Two to six phrases side by side on every figure. */
export default route('POST /api/phrases/shortlist', async (event, open, { body }) => {
  const runtime = askable(event, open)
  const { phrases, region, language, workspace } = body
  const missing = await fetchMissingVolumes(runtime, phrases, region ?? '', language)
  const viewer = sheetFor(runtime, workspace)
  return { columns: await shortlist(runtime, phrases, { region, language, workspace, viewer }), missing }
})
