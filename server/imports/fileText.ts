import iconv from 'iconv-lite'
import { isUtf8 } from 'node:buffer'
import { closeSync, createReadStream, openSync, readSync, statSync } from 'node:fs'
import { pipeline } from 'node:stream'

/** Bytes from which the kind of a file is recognised. */
const BEGINNING = 1 << 18
/** Bytes looked through in one go. */
const PIECE = 1 << 20

/** What a file of text is: its size, its encoding, and how it begins. */
export interface FileText {
  file: string
  size: number
  encoding: string
  beginning: string
}

/** What files that are no text begin with, and what they are. */
const OTHERS: [string, string][] = [
  ['\x89PNG', 'a picture'],
  ['\xff\xd8\xff', 'a picture'],
  ['GIF8', 'a picture'],
  ['RIFF', 'a picture or a film'],
  ['%PDF', 'a PDF document'],
  ['PK\x03\x04', 'a spreadsheet or an archive; open it and save it as CSV'],
  ['\xd0\xcf\x11\xe0', 'an old spreadsheet; open it and save it as CSV'],
  ['\x1f\x8b', 'a compressed file; unpack it first'],
  ['SQLite format 3', 'a database'],
]

function peek(file: string, bytes: number): Buffer {
  const handle = openSync(file, 'r')
  try {
    const buffer = Buffer.alloc(bytes)
    return buffer.subarray(0, readSync(handle, buffer, 0, bytes, 0))
  } finally {
    closeSync(handle)
  }
}

/** The encoding by a mark or by where zero bytes stand; `null` where that says nothing. */
function markedEncoding(beginning: Buffer): string | null {
  if (beginning[0] === 0xff && beginning[1] === 0xfe) return 'utf-16le'
  if (beginning[0] === 0xfe && beginning[1] === 0xff) return 'utf-16be'
  if (beginning[0] === 0xef && beginning[1] === 0xbb && beginning[2] === 0xbf) return 'utf-8'
  const zeros = [0, 0]
  for (let i = 0; i < beginning.length; i++) if (beginning[i] === 0) zeros[i & 1]!++
  if (zeros[1]! > beginning.length / 8) return 'utf-16le'
  if (zeros[0]! > beginning.length / 8) return 'utf-16be'
  return null
}

/** The encoding an XML file says it has. @throws Error for one we do not read. */
function declaredEncoding(beginning: Buffer): string | null {
  const declared = /^\s*<\?xml[^>]{0,200}?\sencoding=["']([\w.:-]{1,40})["']/u.exec(
    beginning.subarray(0, 400).toString('latin1'),
  )?.[1]
  if (!declared) return null
  if (!iconv.encodingExists(declared))
    throw new Error(`The file declares the encoding ${declared}, which is not supported. Save it as UTF-8.`)
  return declared
}

/** Whether the whole file is UTF-8: an accent may stand anywhere. */
function isUtf8Throughout(file: string): boolean {
  const handle = openSync(file, 'r')
  try {
    const buffer = Buffer.alloc(PIECE)
    let kept = 0
    for (;;) {
      const read = readSync(handle, buffer, kept, PIECE - kept, null)
      const end = kept + read
      if (read === 0) return kept === 0
      // A character may be cut at the end: its first bytes are looked at with the next piece.
      let cut = end
      for (let back = 1; back <= 3 && back <= end; back++) {
        const byte = buffer[end - back]!
        if (byte < 0x80) break
        if (byte >= 0xc0) {
          if (back < (byte >= 0xf0 ? 4 : byte >= 0xe0 ? 3 : 2)) cut = end - back
          break
        }
      }
      if (!isUtf8(buffer.subarray(0, cut))) return false
      kept = end - cut
      buffer.copy(buffer, 0, cut, end)
    }
  } finally {
    closeSync(handle)
  }
}

/**
 * What a file of text is. Its encoding is that of its mark, else what it declares, else UTF-8 if all of it is valid,
 * else Windows-1252.
 * @throws Error with a message for the user when it is empty or no text.
 */
export function fileText(file: string): FileText {
  const { size } = statSync(file)
  if (size === 0) throw new Error('The file is empty.')
  const bytes = peek(file, BEGINNING)
  const start = bytes.subarray(0, 16).toString('latin1')
  const other = OTHERS.find(([signature]) => start.startsWith(signature))
  if (other) throw new Error(`This is not a text file but ${other[1]}. Import CSV, TSV, JSON or a feed.`)
  const marked = markedEncoding(bytes)
  if (!marked && bytes.filter(byte => byte === 0).length > Math.max(8, bytes.length / 100))
    throw new Error('This is not a text file. Import CSV, TSV, JSON or a feed.')
  const encoding = marked ?? declaredEncoding(bytes) ?? (isUtf8Throughout(file) ? 'utf-8' : 'windows-1252')
  return { file, size, encoding, beginning: iconv.decode(bytes, encoding).replace(/^\ufeff/u, '') }
}

/**
 * The text of a file in pieces.
 * @param told is told the part of the file read so far.
 * @param piece bytes read in one go.
 */
export async function* textPieces(
  { file, size, encoding }: Pick<FileText, 'file' | 'size' | 'encoding'>,
  progress: (part: number) => void = () => undefined,
  piece = 1 << 17,
): AsyncGenerator<string> {
  const decoder = iconv.decodeStream(encoding)
  // A fault is thrown to whoever reads, and the file is closed when reading ends early.
  const source = createReadStream(file, { highWaterMark: piece })
  pipeline(source, decoder, () => undefined)
  for await (const text of decoder as AsyncIterable<string>) {
    progress(source.bytesRead / size)
    yield text
  }
}

/** The lines of a file, each at most so long; a longer one is `null`. */
export async function* textLines(
  of: FileText,
  longest: number,
  progress?: (part: number) => void,
): AsyncGenerator<{ line: number; text: string | null }> {
  let rest = ''
  let line = 0
  let skipping = false
  for await (const piece of textPieces(of, progress)) {
    const lines = (rest + piece).split(/\r\n|\n|\r(?!$)/u)
    rest = lines.pop()!
    for (const text of lines) {
      yield { line: ++line, text: skipping || text.length > longest ? null : text }
      skipping = false
    }
    if (rest.length > longest) {
      skipping = true
      rest = ''
    }
  }
  if (rest.trim() || skipping) yield { line: ++line, text: skipping ? null : rest }
}
