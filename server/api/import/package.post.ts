import { setResponseStatus } from 'h3'
import { readFile, stat } from 'node:fs/promises'
import { readBriefFile } from '../../../core/brief/briefFile'
import { FileFault } from '../../../core/formats/jsonFile'
import { readPackage } from '../../../core/release/package'
import { MOST_PICTURE_BYTES } from '../../../core/thumbnail/picture'
import { writerOf } from '../../access/admit'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { workspaceOf } from '../../http/workspaceOf'
import { takeBrief } from '../../release/takeBrief'
import { keepPacked } from '../../release/thumbnails'

/** A package is texts and a picture; what is larger than this is none, in bytes. */
const LARGEST = MOST_PICTURE_BYTES + 16_000_000
const MOST_FAULTS = 20

/** A brief from a package, made as it was where it came from. */
export default route('POST /api/import/package', (event, runtime, { query }) => {
  const { id: workspace } = workspaceOf(runtime, query.workspace)
  return withUpload(event, runtime.uploads, async ({ file }) => {
    if ((await stat(file)).size > LARGEST)
      throw new Problem(413, 'too-large', 'This file is too large to be a package.')
    try {
      const { brief, picture } = readPackage(await readFile(file))
      const read = readBriefFile(brief)
      const home = { workspace, writer: writerOf(event) }
      const taken = takeBrief(runtime, read, home, await keepPacked(runtime, picture, read.fields.thumbnail ?? null))
      setResponseStatus(event, 201)
      return taken
    } catch (error) {
      if (!(error instanceof FileFault)) throw error
      throw new Problem(422, 'unreadable', error.lines.slice(0, MOST_FAULTS).join('\n'))
    }
  })
})
