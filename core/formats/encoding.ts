import { primaryLanguage } from '../text/stems'

/** What programs of a language wrote before they all wrote UTF-8, by the names of the Encoding Standard. */
const OLD: Record<string, string> = {
  ru: 'windows-1251',
  uk: 'windows-1251',
  bg: 'windows-1251',
  pl: 'windows-1250',
  cs: 'windows-1250',
  sk: 'windows-1250',
  hu: 'windows-1250',
  ro: 'windows-1250',
  el: 'windows-1253',
  tr: 'windows-1254',
  he: 'windows-1255',
  ar: 'windows-1256',
  ja: 'shift_jis',
  ko: 'euc-kr',
  zh: 'gb18030',
  th: 'windows-874',
}
/** Bytes from which a text in pairs of bytes is recognised. */
const LOOKED_AT = 4096

/**
 * The text of a file and the encoding it was recognised by: a byte order mark, zero bytes between the letters, valid
 * UTF-8, else what was usual for the language.
 *
 * @throws Error for what is no text.
 */
export function decodeText(bytes: Uint8Array, language: string): { text: string; encoding: string } {
  const encoding = marked(bytes) ?? (isUtf8(bytes) ? 'utf-8' : (OLD[primaryLanguage(language)] ?? 'windows-1252'))
  const text = new TextDecoder(encoding).decode(bytes)
  if (/[\u0001-\u0008\u000E-\u001A]/u.test(text.slice(0, LOOKED_AT)))
    throw new Error('This file is not text. Choose another file.')
  return { text, encoding }
}

function marked(bytes: Uint8Array): string | null {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le'
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be'
  const looked = bytes.subarray(0, LOOKED_AT)
  const zeros = [0, 0]
  looked.forEach((byte, i) => {
    if (byte === 0) zeros[i & 1]!++
  })
  if (zeros[1]! > looked.length / 8) return 'utf-16le'
  if (zeros[0]! > looked.length / 8) return 'utf-16be'
  return null
}

function isUtf8(bytes: Uint8Array): boolean {
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    return true
  } catch {
    return false
  }
}
