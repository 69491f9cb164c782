import { importPhrases } from '../../imports/importPhrases'
import { noSuchList } from '../../http/listOf'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { readInThread } from '../../threads/readInThread'

export default route(
  'POST /api/import/phrases',
  async (event, { phrases, lists, search, importThread, uploads }, { query }) => {
    const { region, language, columns, ask, name, list } = query
    if (list && !lists.list(list)) throw noSuchList()
    const into = list
      ? (texts: string[]) => {
          lists.patch(list, { add: texts, remove: [], notes: {} }, language)
        }
      : undefined
    return withUpload(event, uploads, async ({ file, gone, report }) => {
      const result = await importPhrases(
        phrases,
        readInThread(importThread, 'phrases', { file, columns, ask: ask === '1' }),
        {
          signal: gone,
          report,
          region: region ?? '',
          language,
          source: name,
          into,
        },
      )
      await search.settled()
      if (result.kind === 'imported') return result.answer
      throw new Problem(
        422,
        'unknown-columns',
        'No column is named as the phrase, or none as its searches. Match the columns.',
        {
          headers: result.headers,
          sample: result.sample,
        },
      )
    })
  },
)
