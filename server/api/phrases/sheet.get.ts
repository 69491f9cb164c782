import { phrasesQuerySchema, type PhrasesAnswer } from '../../../shared/phrases'
import { keptPage } from '../../demand/assess'
import { interestByRegion } from '../../demand/interest'
import { fetchMissingVolumes } from '../../demand/lookUp'
import { answerDetail, answerSheet } from '../../demand/sheet'
import { sheetFor } from '../../http/sheetFor'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'
import { isServiceFault } from '../../services/retry'

const SHOWN = 12
/** A second meaning often begins below the first page. */
const DEPTH = 60
/** Rising phrases are listed above this many searches a month: below, a change is mostly chance. */
const RISING_FLOOR = 50

/** A phrase laid open. What a service fails to tell is named; the rest is answered. */
export default route('GET /api/phrases/sheet', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const { phrase, region, language, workspace } = query
  const { phrases, results, search, lists } = runtime
  const viewer = sheetFor(runtime, workspace)
  const missing = await fetchMissingVolumes(runtime, [phrase], region ?? '', language)
  await keptPage(runtime, phrase, region ?? '', language, DEPTH).catch((error: unknown) => {
    if (!isServiceFault(error)) throw error
    missing.push('its result page')
  })
  const regions = await interestByRegion(runtime, phrase, language)
  const related = async (more: Record<string, unknown>) => {
    const query = {
      ...phrasesQuerySchema.parse({ seed: phrase, limit: SHOWN + 1, ...more }),
      seed: [phrase],
      region: region ?? '',
      language,
    }
    const answer = JSON.parse(
      await search.answer({
        query,
        looks: [phrases.look(phrase, region ?? '', language)?.id ?? null],
        missing: [],
        without: [],
        own: null,
      }),
    ) as PhrasesAnswer
    return answer.rows
      .filter(row => row.phrase !== detail.phrase)
      .slice(0, SHOWN)
      .map(row => ({ phrase: row.phrase, volume: row.volume, change: row.change }))
  }
  phrases.phraseId(phrase, language)
  const detail = answerDetail(phrases, results, phrase, region, language, viewer)!
  const note = lists.note(workspaceOf(runtime, workspace).id, phrases.phraseId(phrase, language))
  return {
    ...answerSheet(phrases, results, detail, region, language, viewer.places),
    interest: regions.interest,
    related: await related({ sort: 'volume:desc' }),
    rising: (await related({ sort: 'change:desc', minVolume: RISING_FLOOR })).filter(row => (row.change ?? 0) > 0),
    note: note.text,
    noteRevision: note.revision,
    missing: [...missing, ...regions.missing],
  }
})
