import { v7 as uuid } from 'uuid'
import type { Picture } from '../../core/thumbnail/picture'
import type { BriefFile } from '../../core/brief/briefFile'
import type { BriefHome } from '../data/briefs'
import { Problem } from '../http/problem'
import type { Runtime } from '../runtime'

/**
 * Makes a brief from its file, with its texts in other languages and those that spread the word.
 * @param thumbnail the picture that came with it and is kept here now.
 * @throws Problem 409 where the brief is here already, also when it was deleted: what differs has to be seen first.
 */
export function takeBrief(
  { db, briefs, briefItems }: Pick<Runtime, 'db' | 'briefs' | 'briefItems'>,
  { id, fields, localised, posts }: BriefFile,
  home: BriefHome,
  thumbnail: Picture | null = null,
): { briefId: string } {
  const here = briefs.get(id)
  if (here)
    throw new Problem(
      409,
      'brief-is-here',
      here.deletedAt === null
        ? 'This brief is here already. Open the file in the Library: it shows what differs, and takes what you choose.'
        : 'This brief was deleted here. Restore it first, then open the file in the Library.',
    )
  const take = db.transaction(() => {
    briefs.create(fields, id, home)
    if (thumbnail) {
      const value = { ...thumbnail, name: 'Thumbnail', original: null, design: null }
      briefItems.save(id, { id: uuid(), kind: 'thumbnail', revision: 0, value })
    }
    for (const value of localised) briefItems.save(id, { id: uuid(), kind: 'localised', revision: 0, value })
    for (const value of posts) briefItems.save(id, { id: uuid(), kind: 'post', revision: 0, value })
  })
  take.immediate()
  return { briefId: id }
}
