import { createHash } from 'node:crypto'
import type { SiteUpload, UploadAnswer, UploadedFile, VideoSite } from '../contract'
import { SITE, type Answering } from './answering'
import type { OpenWorld } from './openWorld'
import type { Acting, SiteOwners } from './owners'

export interface UploadRow {
  id: number
  code: string
  channel_id: number
  bytes: number
  received: number
  seconds: number
  video_id: number | null
}

/** A part of a file, 2 MB. */
const PART = 2 * 1024 * 1024

/** An id that follows from what asked for it: the same request has the same one, on any machine. */
export const idFrom = (kind: string, request: string) =>
  `${kind}-${createHash('sha256').update(request).digest('hex').slice(0, 12)}`
const toUpload = ({ code, bytes, received }: UploadRow): SiteUpload => ({ id: code, bytes, received })

/** Files on their way to the site. Of their bytes only the number is kept. */
export function siteUploads(
  { db }: OpenWorld,
  { say }: Answering,
  owners: SiteOwners,
  act: Acting,
): Pick<VideoSite, 'startUpload' | 'sendPart' | 'upload'> {
  const byCode = db.prepare<[string], UploadRow>('SELECT * FROM upload WHERE code = ?')
  const byRequest = db.prepare<[string], UploadRow>('SELECT * FROM upload WHERE request = ?')
  const add = db.prepare(
    'INSERT INTO upload (code, request, channel_id, name, bytes, received, seconds) VALUES (?, ?, ?, ?, ?, 0, ?)',
  )
  const receive = db.prepare('UPDATE upload SET received = received + ? WHERE id = ?')

  const startUpload = act((request: string, channel: string, file: UploadedFile): UploadAnswer => {
    const before = byRequest.get(request)
    if (before) return { upload: toUpload(before), problems: [] }
    const owner = owners.byCode(channel)
    const problems = owners.mayNot(owner, 'publish')
    if (owner && !problems.length) {
      const { bytes, seconds } = owners.limits(owner)
      problems.push(...owners.spent(owner))
      if (file.bytes > bytes) problems.push({ field: 'file', message: 'The file is too large.' })
      if (file.seconds > seconds) problems.push({ field: 'file', message: 'The video is too long for this channel.' })
      if (file.seconds < 1) problems.push({ field: 'file', message: 'The video is shorter than a second.' })
    }
    if (problems.length) return { upload: null, problems }
    const code = idFrom('up', request)
    add.run(code, request, owner!.channel_id, file.name, file.bytes, Math.round(file.seconds))
    return { upload: { id: code, bytes: file.bytes, received: 0 }, problems: [] }
  })

  const sendPart = act((id: string, offset: number, bytes: string): UploadAnswer => {
    const row = byCode.get(id)
    if (!row)
      return { upload: null, problems: [{ field: 'upload', message: 'There is no such upload. Start it again.' }] }
    const size = Buffer.from(bytes, 'base64').length
    const wrong = (message: string) => ({ upload: toUpload(row), problems: [{ field: 'upload', message }] })
    // A part that came but was not acknowledged is sent again.
    if (offset + size <= row.received) return { upload: toUpload(row), problems: [] }
    if (offset !== row.received) return wrong('The part does not begin where the last one ended.')
    if (size > PART) return wrong('A part can have 2 MB.')
    if (offset + size > row.bytes) return wrong('This is more than the file was said to have.')
    receive.run(size, row.id)
    return { upload: { id, bytes: row.bytes, received: offset + size }, problems: [] }
  })

  return {
    startUpload: say(SITE, startUpload),
    sendPart: say(SITE, sendPart),
    upload: say(SITE, (id: string) => {
      const row = byCode.get(id)
      return row ? toUpload(row) : null
    }),
  }
}
