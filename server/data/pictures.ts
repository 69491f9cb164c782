import { createHash } from 'node:crypto'
import { createReadStream, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs'
import { rm } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { pipeline } from 'node:stream/promises'
import type { PictureFacts } from '../../core/thumbnail/mend'
import { PICTURE_NAME, pictureName, type Picture } from '../../core/thumbnail/picture'
import { openingProblem } from './dataProblem'
import { publish } from './onDisk'

export type PictureStore = ReturnType<typeof pictureStore>

/** The folder of pictures beside a user's file. */
export const pictureFolder = (file: string) => join(dirname(file), 'pictures')

/** Where a picture of a folder is kept. @param name as `pictureName` gives it. */
export const picturePath = (folder: string, name: string) => join(folder, name.slice(0, 2), name)

/** Every file in a folder of pictures. */
export function* keptPictures(folder: string): Generator<{ name: string; path: string; bytes: number; at: number }> {
  if (!existsSync(folder)) return
  for (const part of readdirSync(folder))
    for (const name of readdirSync(join(folder, part))) {
      const path = join(folder, part, name)
      const stat = statSync(path, { throwIfNoEntry: false })
      if (stat) yield { name, path, bytes: stat.size, at: stat.mtimeMs }
    }
}

async function sha256(file: string): Promise<string> {
  const hash = createHash('sha256')
  await pipeline(createReadStream(file), hash)
  return hash.digest('hex')
}

/**
 * Pictures beside the user's file, each named by its bytes: what is there never changes, and what is sent twice takes
 * space once.
 */
export function pictureStore(folder: string) {
  const placeOf = (name: string) => picturePath(folder, name)
  return {
    /**
     * Takes a file in, which is moved. Its bytes are on disk under their name when this returns.
     * @throws DataProblem when there is no room for it.
     */
    async keep(file: string, facts: PictureFacts): Promise<Picture> {
      const picture = { ...facts, hash: await sha256(file) }
      const path = placeOf(pictureName(picture))
      try {
        if (existsSync(path)) await rm(file)
        else {
          mkdirSync(dirname(path), { recursive: true })
          await publish(file, path)
        }
      } catch (error) {
        throw openingProblem(error, path)
      }
      return picture
    },
    /** Where a picture is; `null` for one that is not kept. @param name as `pictureName` gives it. */
    find(name: string): string | null {
      const path = PICTURE_NAME.test(name) ? placeOf(name) : null
      return path !== null && existsSync(path) ? path : null
    },
    /** How many there are and what they take, in bytes. */
    space() {
      let [count, bytes] = [0, 0]
      for (const each of keptPictures(folder)) {
        count++
        bytes += each.bytes
      }
      return { count, bytes }
    },
  }
}
