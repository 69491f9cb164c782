import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import type { ArchiveRead } from '../../../shared/archive'
import { heldWork } from '../../archive/heldWork'
import { removeData } from '../../data/backups'
import { places } from '../../folders'
import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { withUpload } from '../../http/upload'
import { takeOverRuntime } from '../../runtime'
import { readInThread } from '../../threads/readInThread'

const MOST_BYTES = 4 * 1024 ** 3

/** Reads an archive back: everything is as it was when it was saved. What was here before is kept as a backup. */
export default route('POST /api/data/archive', (event, { db, uploads, importThread }, { query }) => {
  const held = query.replace === '1' ? '' : heldWork(db)
  if (held)
    throw new Problem(
      409,
      'not-empty',
      `This Fonetra already holds ${held}. Reading an archive replaces all of it; a backup is kept.`,
    )
  const { file: beside, migrations } = places()
  return withUpload(
    event,
    uploads,
    async ({ file, gone, report }) => {
      // Named as uploads are: one that is left behind is removed at the next start.
      const into = join(uploads, `upload-${uuid()}.tmp`)
      let read: ArchiveRead | undefined
      for await (const each of readInThread(importThread, 'archive', { file, into, beside, migrations })) {
        if (gone.aborted) break
        if (each.kind === 'progress') report(each)
        else read = { briefs: each.briefs, rows: each.rows, pictures: each.pictures }
      }
      if (!read || gone.aborted) {
        removeData(into)
        throw new Problem(409, 'stopped', 'The archive was not read: it was stopped. Nothing has changed.')
      }
      await takeOverRuntime(into)
      return read
    },
    MOST_BYTES,
  )
})
