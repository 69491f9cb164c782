import { z } from 'zod'
import { languageInput, regionInput } from '../../../shared/text'
import { queryOf, route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { importPages } from '../../rivals/importPages'

const question = z.object({ region: regionInput, language: languageInput.default('en'), name: z.string().max(120).default('Imported pages') })

/** Result pages, videos and channels told elsewhere. */
export default route((event, runtime) => {
  const { region, language, name } = queryOf(event, question)
  return withUpload(event, runtime.uploads, ({ file, gone, tell }) => importPages(runtime, { file, signal: gone, tell, region: region ?? '', language, source: name }))
})
