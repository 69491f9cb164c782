import { renameSync } from 'node:fs'
import { open } from 'node:fs/promises'
import { dirname } from 'node:path'

/** Waits until a file, or the names in a folder, have reached the disk. */
export async function onDisk(path: string): Promise<void> {
  const handle = await open(path, 'r')
  try {
    await handle.sync()
  } finally {
    await handle.close()
  }
}

/** A name that appears only once the file is whole and on disk. */
export async function publish(part: string, whole: string): Promise<void> {
  await onDisk(part)
  renameSync(part, whole)
  await onDisk(dirname(whole))
}
