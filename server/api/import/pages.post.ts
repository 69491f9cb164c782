import { z } from 'zod'
import { languageInput, regionInput } from '../../../core/text/inputs'
import { queryOf, route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { importPages } from '../../imports/importPages'
import { readInThread } from '../../threads/readInThread'

const question = z.object({
  region: regionInput,
  language: languageInput.default('en'),
  name: z.string().max(120).default('Imported pages'),
})

/** Result pages, videos and channels told elsewhere. */
export default route((event, runtime) => {
  const { region, language, name } = queryOf(event, question)
  return withUpload(event, runtime.uploads, async ({ file, gone, tell }) => {
    const now = Date.now()
    const answer = await importPages(
      runtime,
      readInThread(runtime.importThread, 'pages', { file, region: region ?? '', language, now }),
      { language, source: name, now, signal: gone, tell },
    )
    await runtime.search.settled()
    return answer
  })
})
