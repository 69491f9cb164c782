import { briefOf } from '../../../../http/briefOf'
import { route } from '../../../../http/route'
import { thumbnailsAnswer } from '../../../../release/thumbnails'

export default route('GET /api/briefs/:id/thumbnails', (event, runtime, { query }) => {
  const { id, fields } = briefOf(event, runtime)
  const { region, language, tray } = fields
  return thumbnailsAnswer(runtime, runtime.briefItems.list(id, 'thumbnail'), {
    phrase: query.phrase ?? tray.lead ?? '',
    region: region ?? '',
    language,
  })
})
