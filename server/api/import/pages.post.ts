import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { importPages } from '../../imports/importPages'
import { readInThread } from '../../threads/readInThread'

/** Result pages, videos and channels told elsewhere. */
export default route('POST /api/import/pages', (event, runtime, { query }) => {
  const { region, language, name } = query
  return withUpload(event, runtime.uploads, async ({ file, gone, report }) => {
    const now = Date.now()
    const answer = await importPages(
      runtime,
      readInThread(runtime.importThread, 'pages', { file, region: region ?? '', language, now }),
      { language, source: name, now, signal: gone, report },
    )
    await runtime.search.settled()
    return answer
  })
})
