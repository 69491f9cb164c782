import { open, rename, rm, type FileHandle } from 'node:fs/promises'
import { closeSync, fsyncSync, openSync, readSync, statSync } from 'node:fs'
import { dirname } from 'node:path'
import { crc32 } from 'node:zlib'
import { z } from 'zod'

/** Raised whenever what is kept, or how, changes: another one is not read. */
const FORMAT = 2
const TYPES = { Uint8Array, Uint16Array, Uint32Array, Float32Array, Float64Array } as const
export type Column = InstanceType<(typeof TYPES)[keyof typeof TYPES]>

/** A part of the index: what is said of it, and its columns. */
export interface Section {
  name: string
  /** Anything JSON holds. */
  meta: unknown
  columns: Record<string, Column>
}

const headerSchema = z.object({
  format: z.literal(FORMAT),
  mark: z.string(),
  sections: z.array(
    z.object({
      name: z.string(),
      meta: z.unknown(),
      /** In the file. */
      at: z.number().int(),
      bytes: z.number().int(),
      crc: z.number().int(),
      columns: z.array(
        z.object({
          name: z.string(),
          type: z.enum(Object.keys(TYPES) as [keyof typeof TYPES]),
          length: z.number().int(),
        }),
      ),
    }),
  ),
})
type Header = z.infer<typeof headerSchema>

/** Columns begin at multiples of this: a view of eight bytes a value needs it. */
const ALIGNED = 8
const aligned = (bytes: number) => Math.ceil(bytes / ALIGNED) * ALIGNED
/** Bytes that are worked on between two turns of others. */
const STEP = 8 << 20
/** The file begins with where its header stands, how long it is and a checksum of it; parts stand in between. */
const PROLOGUE = 16
const LONGEST_HEADER = 64 << 20

const bytesOf = ({ buffer, byteOffset, byteLength }: Column) => new Uint8Array(buffer, byteOffset, byteLength)

/**
 * Writes parts of an index beside the database, under another name first: it is there whole, or as it was.
 * @param mark what the file is known by. @param sections each is written before the next one is asked for. @param given
 * says, between steps, whether to give it up: what is written may have changed meanwhile.
 * @returns whether it is written.
 */
export async function writeSnapshot(
  path: string,
  mark: string,
  sections: Iterable<Section> | AsyncIterable<Section>,
  given: () => boolean,
): Promise<boolean> {
  const header: Header = { format: FORMAT, mark, sections: [] }
  const part = `${path}.part`
  let file: FileHandle | undefined = await open(part, 'w')
  let end = PROLOGUE
  /** @returns the checksum of what it wrote, going on from another one; `null` when it is given up. */
  async function write(raw: Uint8Array, before = 0): Promise<number | null> {
    let crc = before
    for (let from = 0; from < raw.length; from += STEP) {
      const step = raw.subarray(from, from + STEP)
      crc = crc32(step, crc)
      const { bytesWritten } = await file!.write(step, 0, step.length, end)
      if (bytesWritten < step.length) throw new Error('The disk took only a part of it.')
      end += step.length
      if (given()) return null
    }
    end = aligned(end)
    return crc
  }
  try {
    for await (const { name, meta, columns } of sections) {
      const at = end
      let crc: number | null = 0
      for (const column of Object.values(columns)) {
        crc = await write(bytesOf(column), crc)
        if (crc === null) return false
      }
      const told = Object.entries(columns).map(([column, { constructor, length }]) => ({
        ...{ name: column, type: constructor.name as keyof typeof TYPES, length },
      }))
      header.sections.push({ name, meta, at, bytes: end - at, crc, columns: told })
    }
    const json = Buffer.from(JSON.stringify(header))
    const prologue = new DataView(new ArrayBuffer(PROLOGUE))
    prologue.setFloat64(0, end, true)
    prologue.setUint32(8, json.length, true)
    prologue.setUint32(12, crc32(json), true)
    if ((await write(json)) === null) return false
    await file.write(prologue, 0, PROLOGUE, 0)
    await file.sync()
    await file.close()
    file = undefined
    if (given()) return false
    await rename(part, path)
    syncFolder(dirname(path))
    return true
  } finally {
    await file?.close()
    await rm(part, { force: true })
  }
}

/** That a file was renamed is on disk, too. */
function syncFolder(folder: string): void {
  const handle = openSync(folder, 'r')
  try {
    fsyncSync(handle)
  } finally {
    closeSync(handle)
  }
}

/** A kept index that is open: its parts are read when they are asked for. */
export interface SnapshotReader {
  /** Of its parts. */
  names: string[]
  /** @returns `null` where there is no such part, or it is damaged. */
  section: (name: string) => Section | null
  close: () => void
}

/** Opens a kept index. @returns `null` where there is none with this mark in this format, or it is damaged. */
export function openSnapshot(path: string, mark: string): SnapshotReader | null {
  let handle: number
  try {
    handle = openSync(path, 'r')
  } catch {
    // It was never kept, or somebody took it away: the index is read from the tables.
    return null
  }
  const size = statSync(path).size
  const read = (from: number, bytes: number) => {
    if (from + bytes > size) return null
    const into = new Uint8Array(bytes)
    for (let done = 0; done < bytes;) {
      const n = readSync(handle, into, done, bytes - done, from + done)
      if (n === 0) return null
      done += n
    }
    return into
  }
  const header = headerIn(read, mark)
  if (!header) {
    closeSync(handle)
    return null
  }
  return {
    names: header.sections.map(({ name }) => name),
    section(name) {
      const found = header.sections.find(each => each.name === name)
      const raw = found && read(found.at, found.bytes)
      if (!found || !raw) return null
      let [crc, at] = [0, 0]
      const columns: Record<string, Column> = {}
      for (const { name: column, type, length } of found.columns) {
        const kind = TYPES[type]
        if (at + length * kind.BYTES_PER_ELEMENT > raw.length) return null
        columns[column] = new kind(raw.buffer, at, length)
        crc = crc32(raw.subarray(at, at + length * kind.BYTES_PER_ELEMENT), crc)
        at += aligned(length * kind.BYTES_PER_ELEMENT)
      }
      return crc === found.crc ? { name, meta: found.meta, columns } : null
    },
    close: () => {
      closeSync(handle)
    },
  }
}

function headerIn(read: (from: number, bytes: number) => Uint8Array | null, mark: string): Header | null {
  const prologue = read(0, PROLOGUE)
  if (!prologue) return null
  const numbers = new DataView(prologue.buffer)
  const [at, length] = [numbers.getFloat64(0, true), numbers.getUint32(8, true)]
  if (!Number.isSafeInteger(at) || at < PROLOGUE || length > LONGEST_HEADER) return null
  const json = read(at, length)
  if (!json || crc32(json) !== numbers.getUint32(12, true)) return null
  const known = headerSchema.safeParse(JSON.parse(Buffer.from(json).toString()))
  return known.success && known.data.mark === mark ? known.data : null
}
