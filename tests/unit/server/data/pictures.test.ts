import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, utimesSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { v7 as uuid } from 'uuid'
import { DAY } from '../../../../core/time'
import { pictureName, type Picture } from '../../../../core/thumbnail/picture'
import { briefItemStore } from '../../../../server/data/briefItems'
import { briefStore } from '../../../../server/data/briefs'
import { makeBackup } from '../../../../server/data/backups'
import { openUserData } from '../../../../server/data/open'
import { pictureFolder, pictureStore } from '../../../../server/data/pictures'
import { removeUnusedPictures } from '../../../../server/data/unusedPictures'
import { MIGRATIONS, temporaryFolder } from '../files'

const folder = temporaryFolder()
const NOW = Date.UTC(2026, 4, 4)
const FACTS = { format: 'png', width: 2, height: 1, bytes: 3 } as const
let made = 0

function place() {
  const home = join(folder, `home-${made++}`)
  mkdirSync(home)
  const file = join(home, 'fonetra.sqlite')
  const pictures = pictureStore(pictureFolder(file))
  const write = (text: string) => {
    const path = join(home, `upload-${made++}.tmp`)
    writeFileSync(path, text)
    return path
  }
  /** Keeps a picture as if it had been sent eight days ago. */
  async function keepOld(text: string): Promise<Picture> {
    const picture = await pictures.keep(write(text), FACTS)
    const past = (NOW - 8 * DAY) / 1000
    utimesSync(pictures.find(pictureName(picture))!, past, past)
    return picture
  }
  return { file, pictures, write, keepOld }
}

test('a picture is found by its bytes; the same twice is kept once, and what was sent is gone', async () => {
  const { pictures, write } = place()
  const [first, second] = [write('abc'), write('abc')]
  const kept = await pictures.keep(first, FACTS)
  expect(kept.hash).toBe(createHash('sha256').update('abc').digest('hex'))
  expect(await pictures.keep(second, FACTS)).toEqual(kept)
  expect([existsSync(first), existsSync(second)]).toEqual([false, false])
  expect(pictures.space()).toEqual({ count: 1, bytes: 3 })
})

test.each(['', '..', '../../etc/passwd', `${'a'.repeat(64)}.svg`, `${'a'.repeat(64)}.png/..`, `${'A'.repeat(64)}.png`])(
  'nothing is found under the name “%s”',
  name => {
    expect(place().pictures.find(name)).toBeNull()
  },
)

describe('what nothing names any more', () => {
  const value = (picture: Picture) => ({ ...picture, name: 'One', original: null, design: null })
  test('goes after a week; what a brief, one of its candidates or a backup names stays', async () => {
    const { file, keepOld, pictures, write } = place()
    const db = openUserData(file, { migrations: MIGRATIONS })
    const items = briefItemStore(db, () => NOW)
    const [chosen, candidate, original, backedUp, dropped] = [
      await keepOld('chosen'),
      await keepOld('candidate'),
      await keepOld('original'),
      await keepOld('backed up'),
      await keepOld('dropped'),
    ]
    const fresh = await pictures.keep(write('fresh'), FACTS)
    const { id } = briefStore(db, () => NOW).create({ thumbnail: chosen })
    items.save(id, { id: uuid(), kind: 'thumbnail', revision: 0, value: { ...value(candidate), original } })
    const gone = uuid()
    items.save(id, { id: gone, kind: 'thumbnail', revision: 0, value: value(backedUp) })
    await makeBackup(to => db.backup(to), file, 'by-hand', NOW)
    items.remove(id, gone)
    db.prepare('UPDATE brief_item SET deleted_at = ? WHERE id = ?').run(NOW - 30 * DAY, gone)
    db.pragma('wal_checkpoint(TRUNCATE)')

    expect(removeUnusedPictures(file, NOW)).toBe(1)
    const here = (picture: Picture) => pictures.find(pictureName(picture)) !== null
    expect([chosen, candidate, original, backedUp, fresh].map(here)).toEqual([true, true, true, true, true])
    expect(here(dropped)).toBe(false)
    db.close()
  })

  test('what was taken out lately can be had back', async () => {
    const { file, keepOld, pictures } = place()
    const db = openUserData(file, { migrations: MIGRATIONS })
    const items = briefItemStore(db, () => NOW - DAY)
    const picture = await keepOld('taken out')
    const { id } = briefStore(db, () => NOW).create({})
    const item = uuid()
    items.save(id, { id: item, kind: 'thumbnail', revision: 0, value: value(picture) })
    items.remove(id, item)
    expect(removeUnusedPictures(file, NOW)).toBe(0)
    expect(removeUnusedPictures(file, NOW + 8 * DAY)).toBe(1)
    expect(pictures.space().count).toBe(0)
    db.close()
  })

  test('a damaged backup keeps nothing, and nothing from being looked at', async () => {
    const { file, keepOld } = place()
    openUserData(file, { migrations: MIGRATIONS }).close()
    await keepOld('unused')
    mkdirSync(join(file, '../backups'))
    writeFileSync(join(file, '../backups/fonetra-2026-05-01T00-00-00-000Z-daily.sqlite'), 'no database at all')
    expect(removeUnusedPictures(file, NOW)).toBe(1)
  })
})
