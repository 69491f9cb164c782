import { stamp, type Cue } from './cue'

export const CAPTION_FORMATS = ['srt', 'webvtt', 'text'] as const
export type CaptionFormat = (typeof CAPTION_FORMATS)[number]
export const CAPTION_ENDINGS: Record<CaptionFormat, string> = { srt: 'srt', webvtt: 'vtt', text: 'txt' }

/** No empty line within a cue: it would end there. An arrow would begin another. */
const kept = (text: string) =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .join('\n')
    .replaceAll('-->', '→')
const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;')

/**
 * Captions as a file. Every format keeps the words; SRT and WebVTT keep the times to the millisecond, text has none.
 * Cues without words are left out.
 */
export function writeCaptions(cues: readonly Cue[], format: CaptionFormat): string {
  const said = cues.filter(cue => cue.text.trim())
  if (format === 'text') return said.map(cue => `${cue.text.replace(/\s+/gu, ' ').trim()}\n`).join('')
  if (format === 'webvtt')
    return `WEBVTT\n\n${said.map(({ start, end, text }) => `${stamp(start)} --> ${stamp(end)}\n${escaped(kept(text))}\n`).join('\n')}`
  return said
    .map(({ start, end, text }, i) => `${i + 1}\n${stamp(start, ',')} --> ${stamp(end, ',')}\n${kept(text)}\n`)
    .join('\n')
}
