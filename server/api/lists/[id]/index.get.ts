import { z } from 'zod'
import { languageInput, regionInput } from '../../../../shared/text'
import { chanceFor, toRow } from '../../../demand/rows'
import { listOf } from '../../../http/listOf'
import { queryOf, route } from '../../../http/route'

const question = z.object({ region: regionInput, language: languageInput.default('en'), workspace: z.string().max(60).optional() })

/** A list with its phrases, their notes, and what is known of them in a region. */
export default route((event, runtime) => {
  const list = listOf(event, runtime)
  const { region, language, workspace } = queryOf(event, question)
  const { phrases, workspaces } = runtime
  const { own, settings } = workspaces.standing(workspace)
  const { cap } = phrases.cap(region ?? '')
  const rows = runtime.lists.phrases(list.id).map((each) => {
    const known = phrases.known(each.phrase, region ?? '', language)
    return { ...each, row: known && toRow(known, { cap, chance: chanceFor(known, own), weights: settings.weights }, phrases.originOf(known, region ?? '')) }
  })
  return { ...list, rows }
})
