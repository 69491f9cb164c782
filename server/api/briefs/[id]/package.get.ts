import { setResponseHeader } from 'h3'
import { fileNameOf } from '../../../http/fileName'
import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'
import { briefPackage } from '../../../release/package'

/** Everything that is handed over, as a ZIP file. */
export default route('GET /api/briefs/:id/package', async (event, runtime) => {
  const brief = briefOf(event, runtime)
  const name = fileNameOf(brief.fields.tray.lead ?? brief.fields.topic, 'brief')
  setResponseHeader(event, 'Content-Type', 'application/zip')
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}.zip"`)
  return Buffer.from(await briefPackage(runtime, brief, Date.now()))
})
