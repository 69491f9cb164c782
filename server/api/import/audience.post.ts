import { FileFault } from '../../../core/formats/jsonFile'
import { readAudience } from '../../../core/formats/audienceTable'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { workspaceOf } from '../../http/workspaceOf'
import { fileText } from '../../imports/fileText'
import { audienceAnswer } from '../../release/audience'

/** Hours of one week: what is larger is another table, in bytes. */
const LARGEST = 64_000

/** A table of the hours of a week. */
export default route('POST /api/import/audience', (event, runtime, { query }) => {
  const workspace = workspaceOf(runtime, query.workspace)
  return withUpload(
    event,
    runtime.uploads,
    ({ file }) => {
      try {
        const hours = readAudience(fileText(file).beginning)
        runtime.audiences.saveReadIn(workspace.id, {
          hours,
          zone: workspace.timeZone,
          source: 'A table of your own',
          at: runtime.now(),
        })
        return Promise.resolve(audienceAnswer(runtime, workspace))
      } catch (error) {
        if (!(error instanceof FileFault)) throw error
        throw new Problem(422, 'unreadable', error.lines.join('\n'))
      }
    },
    LARGEST,
  )
})
