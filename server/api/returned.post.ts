import { readBriefFile, returnedChanges, returnedLocalised } from '../../core/brief/briefFile'
import { FileFault } from '../../core/formats/jsonFile'
import { Problem } from '../http/problem'
import { route } from '../http/route'

function fileOf(text: string) {
  try {
    return readBriefFile(text)
  } catch (error) {
    if (!(error instanceof FileFault)) throw error
    throw new Problem(400, 'bad-input', error.lines.slice(0, MOST_FAULTS).join('\n'))
  }
}
const MOST_FAULTS = 20

/** What a brief's file that came back would change; nothing is changed. */
export default route('POST /api/returned', (_event, { briefs, briefItems }, { body }) => {
  const file = fileOf(body.file)
  const brief = briefs.get(file.id)
  const here = brief?.deletedAt === null ? brief : null
  return {
    file,
    brief: here,
    changes: here ? returnedChanges(file, here, (field, value) => briefs.standing(here.id, field, value)) : [],
    localised: here ? returnedLocalised(file, here, briefItems.list(here.id, 'localised')) : [],
  }
})
