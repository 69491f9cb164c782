import { open, rename, rm, type FileHandle } from 'node:fs/promises'
import { closeSync, fsyncSync, openSync, readSync, statSync } from 'node:fs'
import { dirname } from 'node:path'
import { crc32 } from 'node:zlib'
import { z } from 'zod'

/** Raised whenever what is kept, or how, changes: another one is not read. */
const FORMAT = 1
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
      /** From where the sections begin. */
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
/** The file begins with the length of its header and a checksum of it. */
const PROLOGUE = 8
const LONGEST_HEADER = 64 << 20

const bytesOf = ({ buffer, byteOffset, byteLength }: Column) => new Uint8Array(buffer, byteOffset, byteLength)
const turn = () => new Promise<void>(resolve => setImmediate(resolve))

/**
 * Writes parts of an index beside the database, under another name first: it is there whole, or as it was.
 * @param mark what the file is known by. @param given says, between steps, whether to give it up: what is written may
 * have changed meanwhile.
 * @returns whether it is written.
 */
export async function writeSnapshot(
  path: string,
  mark: string,
  sections: readonly Section[],
  given: () => boolean,
): Promise<boolean> {
  const header: Header = { format: FORMAT, mark, sections: [] }
  let at = 0
  for (const { name, meta, columns } of sections) {
    let [crc, bytes] = [0, 0]
    for (const column of Object.values(columns)) {
      const raw = bytesOf(column)
      for (let from = 0; from < raw.length; from += STEP) {
        crc = crc32(raw.subarray(from, from + STEP), crc)
        await turn()
        if (given()) return false
      }
      bytes += aligned(raw.length)
    }
    const told = Object.entries(columns).map(([column, { constructor, length }]) => ({
      ...{ name: column, type: constructor.name as keyof typeof TYPES, length },
    }))
    header.sections.push({ name, meta, at, bytes, crc, columns: told })
    at += bytes
  }
  const json = Buffer.from(JSON.stringify(header))
  const prologue = Buffer.alloc(PROLOGUE)
  prologue.writeUInt32LE(json.length, 0)
  prologue.writeUInt32LE(crc32(json), 4)
  const part = `${path}.part`
  let file: FileHandle | undefined
  try {
    file = await open(part, 'w')
    let end = 0
    const write = async (raw: Uint8Array) => {
      for (let from = 0; from < raw.length; from += STEP) {
        const { bytesWritten } = await file!.write(raw.subarray(from, from + STEP))
        if (bytesWritten < Math.min(STEP, raw.length - from)) throw new Error('The disk took only a part of it.')
        if (given()) return false
      }
      end += raw.length
      return true
    }
    const padded = async () => write(new Uint8Array(aligned(end) - end))
    if (!(await write(prologue)) || !(await write(json)) || !(await padded())) return false
    for (const { columns } of sections)
      for (const column of Object.values(columns))
        if (!(await write(bytesOf(column))) || !(await padded())) return false
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
    names: header.known.sections.map(({ name }) => name),
    section(name) {
      const found = header.known.sections.find(each => each.name === name)
      const raw = found && read(header.end + found.at, found.bytes)
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

function headerIn(read: (from: number, bytes: number) => Uint8Array | null, mark: string) {
  const prologue = read(0, PROLOGUE)
  if (!prologue) return null
  const numbers = new DataView(prologue.buffer)
  const length = numbers.getUint32(0, true)
  if (length > LONGEST_HEADER) return null
  const json = read(PROLOGUE, length)
  if (!json || crc32(json) !== numbers.getUint32(4, true)) return null
  const known = headerSchema.safeParse(JSON.parse(Buffer.from(json).toString()))
  return known.success && known.data.mark === mark ? { known: known.data, end: aligned(PROLOGUE + length) } : null
}
