import { copyFileSync, readdirSync } from 'node:fs'
import { readFile, stat } from 'node:fs/promises'
import { join } from 'node:path'
import sharp from 'sharp'
import { v7 as uuid } from 'uuid'
import type { BriefItemStore } from '../server/data/briefItems'
import { pictureFolder, pictureStore } from '../server/data/pictures'

/** The brief whose thumbnail is to be chosen among some pictures. */
export const PICTURED = 'Winter care for a bike chain'
const FOLDER = 'demo/pictures'

/** Gives a brief the demo's pictures as candidates. @param data the folder of the demo's data. */
export async function giveThumbnails(data: string, briefItems: BriefItemStore, brief: string): Promise<void> {
  const pictures = pictureStore(pictureFolder(join(data, 'fonetra.sqlite')))
  for (const name of readdirSync(FOLDER).sort()) {
    const { width, height } = await sharp(await readFile(join(FOLDER, name))).metadata()
    // Keeping one moves the file.
    const copy = join(data, `upload-${uuid()}.tmp`)
    copyFileSync(join(FOLDER, name), copy)
    const facts = { format: 'jpeg' as const, width, height, bytes: (await stat(copy)).size }
    const value = {
      ...(await pictures.keep(copy, facts)),
      name: name.replace(/\.jpg$/u, ''),
      original: null,
      design: null,
    }
    briefItems.save(brief, { id: uuid(), kind: 'thumbnail', revision: 0, value })
  }
}
