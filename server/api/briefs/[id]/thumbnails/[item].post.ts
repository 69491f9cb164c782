import { setResponseStatus } from 'h3'
import { rm } from 'node:fs/promises'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { DEFAULT_PROFILE } from '../../../../../core/draft/limits'
import { briefOf } from '../../../../http/briefOf'
import { Problem } from '../../../../http/problem'
import { paramOf, route } from '../../../../http/route'
import { savedBriefItem } from '../../../../http/briefItem'
import { knownProfile } from '../../../../http/scoring'
import { mended } from '../../../../release/thumbnails'

/** Makes a candidate fit the site's rules, as one of its own. */
export default route('POST /api/briefs/:id/thumbnails/:item', async (event, runtime, { body }) => {
  const { id, fields } = briefOf(event, runtime)
  const found = runtime.briefItems.get(paramOf(event, 'item'), 'thumbnail')
  if (found?.owner !== id) throw new Problem(404, 'no-such-item', 'This picture is no longer here. Add it again.')
  const to = join(runtime.uploads, `upload-${uuid()}.tmp`)
  try {
    const profile = knownProfile(runtime, fields.profile) ?? DEFAULT_PROFILE
    const value = await mended(runtime, found.item.value, profile, body.focus, to)
    const item = savedBriefItem(runtime.briefItems.save(id, { id: uuid(), kind: 'thumbnail', revision: 0, value }))
    setResponseStatus(event, 201)
    return item
  } finally {
    await rm(to, { force: true })
  }
})
