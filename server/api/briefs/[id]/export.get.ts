import { setResponseHeader } from 'h3'
import { exportedText } from '../../../../core/brief/brief'
import type { BriefFileItems } from '../../../../core/brief/briefFile'
import { exportedLocalised } from '../../../../core/brief/items/localised'
import { exportedPosts } from '../../../../core/brief/items/post'
import type { Brief } from '../../../../shared/brief'
import { briefJson, briefPhrases } from '../../../demand/briefExport'
import { fileNameOf } from '../../../http/fileName'
import { briefOf } from '../../../http/briefOf'
import { route } from '../../../http/route'
import { fileItemsOf } from '../../../release/package'

const names = new Intl.DisplayNames(['en'], { type: 'language', fallback: 'code' })
const textOf = ({ fields }: Brief, { localised, posts }: BriefFileItems) =>
  [exportedText(fields), exportedLocalised(localised, code => names.of(code) ?? code), exportedPosts(posts)]
    .filter(Boolean)
    .join('\n')

const FORMATS = {
  text: { type: 'text/plain; charset=utf-8', ending: 'txt', write: textOf },
  json: { type: 'application/json; charset=utf-8', ending: 'json', write: briefJson },
  csv: { type: 'text/csv; charset=utf-8', ending: 'csv', write: briefPhrases },
}

export default route('GET /api/briefs/:id/export', (event, runtime, { query }) => {
  const { format } = query
  const brief = briefOf(event, runtime)
  const { type, ending, write } = FORMATS[format]
  const name = fileNameOf(brief.fields.tray.lead ?? brief.fields.topic, 'brief')
  setResponseHeader(event, 'Content-Type', type)
  setResponseHeader(event, 'Content-Disposition', `attachment; filename="${name}.${ending}"`)
  return write(brief, fileItemsOf(runtime.briefItems, brief.id), runtime)
})
