import { longerPhrases } from '../../../core/demand/lengthen'
import { phrasesQuerySchema } from '../../../shared/phrases'
import { fetchMissingVolumes, lookUp } from '../../demand/lookUp'
import { rowOf } from '../../demand/rows'
import { askable } from '../../http/askable'
import { route } from '../../http/route'

/** Longer phrases to try for one that is too hard, with what is known of each. They are assessed by the usual route. */
export default route('POST /api/phrases/longer', async (event, open, { body }) => {
  const runtime = askable(event, open)
  const { phrase, region, language, workspace, places, known } = body
  const { search, workspaces } = runtime
  const look = await lookUp(runtime, phrase, region ?? '', language)
  const query = {
    ...phrasesQuerySchema.parse({ seed: phrase, limit: Math.max(1, known) }),
    seed: [phrase],
    region: region ?? '',
    language,
  }
  const held = known ? await search.texts({ query, looks: [null], missing: [], without: [], own: null }) : []
  const longer = longerPhrases(phrase, held, places)
  const missing = [
    ...look.missing,
    ...(await fetchMissingVolumes(
      runtime,
      longer.map(each => each.phrase),
      region ?? '',
      language,
    )),
  ]
  const { own, settings } = workspaces.standing(workspace)
  const rowFor = rowOf(runtime, region ?? '', language, { own, weights: settings.weights })
  const rows = longer.map(each => ({ ...each, row: rowFor(each.phrase) }))
  // What nobody searches as far as anybody knows is not offered, unless a person named the place.
  return {
    self: rowFor(phrase),
    rows: rows.filter(each => each.from === 'known' || each.row?.volume || each.from === 'place'),
    missing: [...new Set(missing)],
  }
})
