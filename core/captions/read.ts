import { parseTextStream, parseVTTTimestamp } from 'media-captions'
import { toMs, type Captions, type Cue } from './cue'
import { spread } from './spread'

/** A cue that could not be read, and why. */
export interface CueFault {
  /** The line of the file, from 1. */
  line: number
  reason: string
}

export interface ReadCaptions extends Captions {
  format: 'srt' | 'webvtt' | 'text'
  /** In order of their lines; the good cues are kept beside them. */
  faults: CueFault[]
}

/** Captions with times, of which none can be read. */
export class CaptionsFault extends Error {
  constructor() {
    super('The captions cannot be read as SRT or WebVTT. Look at their times, such as 00:00:01,000 --> 00:00:03,500.')
    this.name = 'CaptionsFault'
  }
}

const ARROW = '-->'
/** What was meant to be an arrow between two times. */
const NEARLY = /^\s{0,8}\d[\d:.,]{3,14}\s{0,8}(?:->|–>|—>|→|=>|--?)\s{0,8}\d[\d:.,]{3,14}\s{0,8}$/u
const MARKUP = /<\/?(?:[bicsuv]|lang|ruby|rt|font)(?:[. \t][^<>\n]{0,200})?>|<\d[\d:.]{2,14}>/giu
const ENTITIES: Record<string, string> = { amp: '&', lt: '<', gt: '>', nbsp: ' ', lrm: '', rlm: '', quot: '"' }
/** Places on the screen, as some SRT files give them after the times. */
const PLACES = ' X1:'

const decoded = (text: string) =>
  text.replace(/&(amp|lt|gt|nbsp|lrm|rlm|quot);/gu, (_, name: string) => ENTITIES[name]!)
const plain = (text: string) =>
  text
    .replace(MARKUP, '')
    .replace(/[ \t]+/gu, ' ')
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
    .join('\n')

/**
 * Captions in SRT or WebVTT, the good cues of them; markup and settings are left out. A text without times is taken
 * as what is said, with estimated times.
 *
 * The recognised parser reads them; what it passes over in silence (times that run backwards, a broken arrow) is told
 * here.
 */
export async function readCaptions(raw: string): Promise<ReadCaptions> {
  const text = raw
    .replace(/^\uFEFF/u, '')
    .replace(/\r\n?/gu, '\n')
    .replaceAll('\u0000', '\uFFFD')
  const isWebVtt = /^WEBVTT(?:[ \t\n]|$)/u.test(text)
  if (!isWebVtt && !text.includes(ARROW)) return { format: 'text', timed: false, cues: spread(text), faults: [] }
  const lines = text.split('\n')
  const given = isWebVtt ? text : lines.map(line => (line.includes(ARROW) ? line.split(PLACES)[0]! : line)).join('\n')
  // A cue that ends with the file is one as well.
  const { cues: found, errors } = await parseTextStream(linesOf(`${given}\n\n`), {
    type: isWebVtt ? 'vtt' : 'srt',
    errors: true,
  })
  const faults = new Map<number, string>()
  for (const { line, message } of errors)
    faults.set(line, faults.has(line) ? 'The times cannot be read.' : reasonOf(message))
  const cues = found.map(({ startTime, endTime, text: said }): Cue => ({
    start: toMs(startTime),
    end: toMs(endTime),
    text: isWebVtt ? decoded(plain(said)) : plain(said),
  }))
  passedOver(lines, new Set(found.map(cue => `${cue.startTime} ${cue.endTime}`)), faults)
  return {
    format: isWebVtt ? 'webvtt' : 'srt',
    timed: true,
    cues: cues.filter(cue => cue.text).sort((a, b) => a.start - b.start || a.end - b.end),
    faults: [...faults].sort(([a], [b]) => a - b).map(([line, reason]) => ({ line, reason })),
  }
}

/** What is spoken, of captions as they are given. @throws CaptionsFault where there are times and none can be read. */
export async function captionsOf(raw: string): Promise<Captions> {
  const { cues, timed } = await readCaptions(raw)
  if (timed && !cues.length && raw.includes(ARROW)) throw new CaptionsFault()
  return { cues, timed }
}

/**
 * Lines one by one as they are asked for: put into a stream all at once, as the parser does by itself, reading takes a
 * time that grows with the square of their number.
 */
function linesOf(text: string): ReadableStream<string> {
  let at = 0
  return new ReadableStream<string>({
    pull(controller) {
      const end = text.indexOf('\n', at)
      if (end < 0) {
        controller.enqueue(text.slice(at))
        controller.close()
      } else {
        controller.enqueue(text.slice(at, end))
        at = end + 1
      }
    },
  })
}

const reasonOf = (message: string) => {
  const sentence = message
    .replace(/ on line \d+$/u, '')
    .replaceAll('`', '“')
    .replace(/“([^“]*)“/gu, '“$1”')
  return `${sentence.charAt(0).toUpperCase()}${sentence.slice(1)}.`
}

/** The two times of a line with an arrow; `null` where one is none. */
function timesOf(line: string): [number, number] | null {
  const [from = '', to = ''] = line.replaceAll(',', '.').split(ARROW)
  const [start, end] = [parseVTTTimestamp(from.trim()), parseVTTTimestamp(to.trim().split(/\s/u)[0]!)]
  return start === null || end === null ? null : [start, end]
}
/** Lines with times that gave no cue, and lines that were meant to have times. */
function passedOver(lines: readonly string[], known: ReadonlySet<string>, faults: Map<number, string>) {
  lines.forEach((line, i) => {
    const at = i + 1
    if (faults.has(at)) return
    if (!line.includes(ARROW)) {
      if (NEARLY.test(line)) faults.set(at, `The arrow between the times is not ${ARROW}.`)
      return
    }
    const times = timesOf(line)
    if (times && !known.has(times.join(' ')))
      faults.set(at, times[1] <= times[0] ? 'The cue ends before it begins.' : 'The cue cannot be read.')
  })
}
