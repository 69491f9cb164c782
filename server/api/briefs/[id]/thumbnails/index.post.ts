import { setResponseStatus } from 'h3'
import { v7 as uuid } from 'uuid'
import { briefOf } from '../../../../http/briefOf'
import { MOST_PICTURE_BYTES } from '../../../../../core/thumbnail/picture'
import { pictureTitle } from '../../../../http/picture'
import { route } from '../../../../http/route'
import { savedBriefItem } from '../../../../http/briefItem'
import { withUpload } from '../../../../http/upload'
import { lookAt } from '../../../../release/thumbnails'

/** Keeps a picture as a candidate for the brief's thumbnail. */
export default route('POST /api/briefs/:id/thumbnails', (event, runtime, { query }) => {
  const { id } = briefOf(event, runtime)
  return withUpload(
    event,
    runtime.uploads,
    async ({ file }) => {
      const { facts } = await lookAt(runtime, file, null)
      const picture = await runtime.pictures.keep(file, facts)
      // The same picture once more is the one that is there.
      const there = runtime.briefItems.list(id, 'thumbnail').find(({ value }) => value.hash === picture.hash)
      if (there) return there
      const value = { ...picture, name: pictureTitle(query.name), original: null, design: null }
      const item = savedBriefItem(runtime.briefItems.save(id, { id: uuid(), kind: 'thumbnail', revision: 0, value }))
      setResponseStatus(event, 201)
      return item
    },
    MOST_PICTURE_BYTES,
  )
})
