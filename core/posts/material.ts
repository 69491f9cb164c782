import { cleanText, isForVideoOnly } from '../captions/clean'
import { chaptersOf } from '../chapters/lines'
import { gapsOf } from '../descriptions/gaps'
import { hashtagsOf } from '../draft/hashtags'
import { linksOf } from '../draft/links'
import type { Draft } from '../draft/draft'

/** What a draft offers to tell others with, in its own words. */
export interface PostMaterial {
  title: string
  /** Sentences of the description, links, lists, chapters and hashtags left out. */
  sentences: string[]
  /** Its hashtags, as they stand. */
  hashtags: string[]
  /** What it lists. */
  benefits: string[]
  /** Titles of its chapters. */
  steps: string[]
  /** What is spoken, sentence by sentence, without what only works on video. */
  spoken: string[]
  /** The same as a text to read, with the chapters as headings; '' where nothing is spoken. */
  article: string
  /** The length of the video in whole minutes; `null` where it is not known. */
  minutes: number | null
}

const SENTENCE_END = /(?<=[.!?…]["'”’»)]?)\s+|(?<=[。！？])/u
const LIST_MARK = /^\s*(?:[-*•–✓✔▶]|\d{1,2}[.)])\s+/u

/** The sentences of a text, each trimmed. */
export const sentencesOf = (text: string): string[] =>
  text
    .split(SENTENCE_END)
    .map(sentence => sentence.trim())
    .filter(Boolean)

/** @param language BCP 47. */
export function postMaterial(draft: Draft, language: string): PostMaterial {
  const sentences: string[] = []
  const benefits: string[] = []
  const steps: string[] = []
  for (const line of (draft.description ?? '').split('\n')) {
    const text = line.trim()
    // A line with a gap says nothing yet; one with a link is a way to somewhere else.
    if (!text || gapsOf(text).length || linksOf(text).length) continue
    const chapter = chaptersOf(text)[0]
    if (chapter) {
      if (chapter.title) steps.push(chapter.title)
    } else if (LIST_MARK.test(line)) benefits.push(text.replace(LIST_MARK, '').trim())
    else if (!hashtagsOf(text).length && !/[:：]$/u.test(text))
      sentences.push(...sentencesOf(text).filter(sentence => !isForVideoOnly(sentence, language)))
  }
  const captions = draft.captions?.cues.length ? draft.captions : null
  const chapters = chaptersOf(draft.description ?? '').map(({ seconds, title }) => ({ start: seconds, title }))
  const article = captions ? cleanText(captions, { language, chapters }).text : ''
  return {
    title: (draft.title ?? '').trim(),
    sentences,
    hashtags: hashtagsOf(draft.description ?? '').map(({ text }) => text),
    benefits: benefits.filter(Boolean),
    steps,
    spoken: article
      .split('\n\n')
      .filter(paragraph => !paragraph.startsWith('## '))
      .flatMap(sentencesOf),
    article,
    minutes: draft.durationSeconds ? Math.max(1, Math.round(draft.durationSeconds / 60)) : null,
  }
}
