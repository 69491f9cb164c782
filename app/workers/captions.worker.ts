import * as Comlink from 'comlink'
import { cleanText, type CleanQuestion, type CleanText } from '../../core/captions/clean'
import { MOST_CUES, type Captions, type Cue } from '../../core/captions/cue'
import { outlineCaptions } from '../../core/captions/outline'
import { readCaptions, type ReadCaptions } from '../../core/captions/read'
import { spoken, type Spoken } from '../../core/captions/spoken'
import { writeCaptions } from '../../core/captions/write'
import { readChapters } from '../../core/chapters/formats'
import type { ChapterMark } from '../../core/chapters/lines'
import type { CutQuestion } from '../../core/chapters/cut'
import { namedChapters, type NamedChapter } from '../../core/chapters/titles'
import type { DraftTexts } from '../../core/draft/draft'
import { readDraft } from '../../core/draft/read'
import { truthOf, type Truth } from '../../core/draft/truth'
import { spokenUnder, type Covered } from '../../core/release/endScreen'
import { momentsOf, type Mentionable, type Moment } from '../../core/release/moments'
import { decodeText } from '../../core/formats/encoding'

/** Characters a brief keeps of captions at most. */
const MOST_CHARACTERS = 1_000_000

/** Captions as they were loaded. */
export interface LoadedCaptions extends ReadCaptions {
  encoding: string
  /** As the brief keeps them: WebVTT, or the text as it is where it has no times. */
  text: string
}

// What is spoken may be hours long: nothing of it is read or weighed on the page's own thread.
const worker = {
  /** @throws Error that says what is wrong with the file. */
  async load(bytes: Uint8Array, language: string): Promise<LoadedCaptions> {
    const { text, encoding } = decodeText(bytes, language)
    const read = await readCaptions(text)
    if (read.cues.length > MOST_CUES)
      throw new Error(
        `These captions have ${read.cues.length.toLocaleString('en')} cues; one video has ${MOST_CUES.toLocaleString('en')} at most. Nothing was changed.`,
      )
    if (!read.cues.length)
      throw new Error(
        read.faults[0]
          ? `No cue could be read. Line ${read.faults[0].line}: ${read.faults[0].reason}`
          : 'There are no words in this file.',
      )
    const kept = read.timed ? writeCaptions(read.cues, 'webvtt') : text.replace(/\r\n?/gu, '\n').trim()
    if (kept.length > MOST_CHARACTERS)
      throw new Error('This is longer than a day of speech. Cut it before you load it. Nothing was changed.')
    return { ...read, encoding, text: kept }
  },
  /** What a brief keeps, read; the outline where there are no captions. */
  async read(captions: string, outline: string, seconds: number | null): Promise<Captions> {
    if (!captions.trim()) return outlineCaptions(outline, seconds ?? undefined)
    const { cues, timed } = await readCaptions(captions)
    return { cues, timed }
  },
  spoken: (captions: Captions, phrases: string[], language: string): Spoken[] => spoken(captions, phrases, language),
  moments: (targets: Mentionable[], cues: readonly Cue[], language: string): Moment[] =>
    momentsOf(targets, cues, language),
  under: (from: number, cues: readonly Cue[], phrases: string[], language: string): Covered[] =>
    spokenUnder({ from }, cues, phrases, language),
  cut: (cues: readonly Cue[], question: CutQuestion & { phrases: string[] }): NamedChapter[] =>
    namedChapters(cues, question),
  /** Chapters of a file in any of the formats. @throws Error that says what is wrong with it. */
  chapters: (bytes: Uint8Array, language: string): Promise<ChapterMark[]> =>
    readChapters(decodeText(bytes, language).text),
  clean: (captions: Captions, question: CleanQuestion): CleanText => cleanText(captions, question),
  async truth(texts: DraftTexts, language: string): Promise<Truth> {
    return truthOf(await readDraft(texts), language)
  },
}
export type CaptionsWorker = typeof worker

Comlink.expose(worker)
