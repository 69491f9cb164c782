import { ended } from '../descriptions/compose'
import { gapFor } from '../descriptions/gaps'
import type { Draft, DraftPhrases } from '../draft/draft'
import { count, head } from '../text/count'
import { readText } from '../text/match'
import { stopWords } from '../text/stopwords'
import { titleStart } from '../titles/ideas'
import { asLong, LINK } from './address'
import { POST_KINDS, postKind, type PostKind, type PostKindOf } from './kinds'
import { postMaterial, type PostMaterial } from './material'
import { postWords, type PostWords } from './wording'

export interface PostsQuestion {
  draft: Draft
  phrases: DraftPhrases
  /** BCP 47. */
  language: string
  kinds?: readonly PostKind[]
  /** Where the video is, as long as it will be with its tags; '' while that is not known. */
  address?: string
}

/** A text that tells of a video. `{link}` stands for its address. */
export interface WrittenPost {
  kind: PostKind
  text: string
  limit: number
}

/** Sentences of an answer at most. */
const ANSWER_SENTENCES = 6
const MOST_LISTED = 6
const MOST_HASHTAGS = 2
/** Support phrases that a sentence is held against. */
const MOST_SUPPORT = 10
/** The part of what is spoken that leads up to the matter. */
const LEAD_UP = 0.1

/** The order they are written in: what has the least room chooses first. */
const IN_TURN: readonly PostKind[] = ['short', 'pushTitle', 'pushText', 'answer', 'newsletter', 'long', 'article']

/**
 * Texts that tell of a video, each from the brief's own sentences: what one of them has used, the next ones leave, so
 * that whoever follows several outlets does not read the same twice. They state nothing that was not given; where
 * nothing is left to say, a marked gap stands. All of them are worked out in one order, so that one alone is the same
 * as among others.
 */
export function writePosts(question: PostsQuestion): WrittenPost[] {
  const { draft, phrases, language, kinds = POST_KINDS, address = '' } = question
  const writing: Writing = {
    material: postMaterial(draft, language),
    phrases,
    language,
    words: postWords(language),
    address,
    used: new Set(),
  }
  const texts = new Map(IN_TURN.map(kind => [kind, MAKERS[kind](writing, postKind(kind))]))
  return kinds.map(kind => ({ kind, text: texts.get(kind)!, limit: postKind(kind).limit }))
}

interface Writing {
  material: PostMaterial
  phrases: DraftPhrases
  language: string
  words: PostWords
  address: string
  /** Sentences that another text has. */
  used: Set<string>
}

const fits = ({ address }: Writing, { limit, unit }: PostKindOf, text: string) =>
  count(asLong(text, address), unit) <= limit
/** Sentences side by side; those of languages without spaces have none. */
const joined = (sentences: readonly string[]) =>
  sentences.reduce((text, next) => {
    const sentence = next.endsWith(LINK) ? next : ended(next)
    return text === '' || /[。！？]$/u.test(text) ? text + sentence : `${text} ${sentence}`
  }, '')
const blocks = (...parts: readonly string[]) => parts.filter(Boolean).join('\n\n')
const line = (words: string) => (words ? `${words} ${LINK}` : LINK)

/** Up to `most` sentences that no other text has, as far as `fit` allows. What is taken is used from now on. */
function take(
  { used }: Writing,
  from: readonly string[],
  most: number,
  fit: (taken: readonly string[]) => boolean = () => true,
): string[] {
  const taken: string[] = []
  for (const sentence of from) {
    if (taken.length === most) break
    if (!used.has(sentence) && !taken.includes(sentence) && fit([...taken, sentence])) taken.push(sentence)
  }
  for (const sentence of taken) used.add(sentence)
  return taken
}

/** How much of a phrase a sentence says, 0 to 1, by the words that count. */
function tells(sentence: string, phrase: string, language: string): number {
  const { byStem } = readText(sentence, language)
  const stops = stopWords(language)
  const { norms, stems } = readText(phrase, language)
  const counted = stems.filter((_, i) => !stops.has(norms[i]!))
  const said = counted.filter(stem => byStem.has(stem)).length
  // Half of a phrase is much less than half of what it means.
  return counted.length ? (said / counted.length) ** 2 : 0
}
/** Texts by how much of the phrases they say, the lead above all; the first of equals first. */
function byWhatTheySay({ phrases, language }: Writing, texts: readonly string[]): string[] {
  const support = phrases.support.slice(0, MOST_SUPPORT)
  const said = texts.map(
    text =>
      2 * tells(text, phrases.lead, language) +
      0.5 * support.reduce((sum, phrase) => sum + tells(text, phrase, language), 0),
  )
  return texts
    .map((_, i) => i)
    .sort((a, b) => said[b]! - said[a]! || a - b)
    .map(i => texts[i]!)
}

/** A text cut at a word, where nothing shorter says it. */
function cut(text: string, { limit, unit }: PostKindOf): string {
  if (count(text, unit) <= limit) return text
  const kept = head(text, limit - 1, unit)
  const space = kept.lastIndexOf(' ')
  return `${(space > kept.length / 2 ? kept.slice(0, space) : kept).trimEnd()}…`
}

/** How each kind is made. */
const MAKERS: Record<PostKind, (writing: Writing, kind: PostKindOf) => string> = {
  short(writing, kind) {
    const { material } = writing
    const shaped = (sentences: readonly string[], more = '') => blocks(joined(sentences), more, LINK)
    const fit = (sentences: readonly string[]) => fits(writing, kind, shaped(sentences))
    const ask = material.sentences.find(sentence => /[?？]$/u.test(sentence))
    const sentences = take(writing, [...(ask ? [ask] : []), ...material.sentences], 2, fit)
    if (!sentences.length) {
      const room = kind.limit - count(asLong(`\n\n${LINK}`, writing.address), kind.unit)
      return blocks(material.title ? cut(material.title, { ...kind, limit: room }) : gapFor('what it is about'), LINK)
    }
    const tagged = shaped(sentences, material.hashtags.slice(0, MOST_HASHTAGS).join(' '))
    return fits(writing, kind, tagged) ? tagged : shaped(sentences)
  },

  pushTitle(writing, kind) {
    const { material, phrases, language } = writing
    const parts = material.title.split(/(?<=[?!]) |[:–—|] /u).map(part => part.trim())
    const named = phrases.lead ? titleStart(phrases.lead, language) : ''
    const byLead = byWhatTheySay(writing, [...parts, named])
    return (
      [material.title, ...byLead].find(text => text && fits(writing, kind, text)) ??
      (material.title ? cut(material.title, kind) : named ? cut(named, kind) : gapFor('what is new'))
    )
  },

  pushText(writing, kind) {
    const { material } = writing
    const fitting = (list: readonly string[]) =>
      byWhatTheySay(
        writing,
        list.filter(sentence => sentence !== material.title && fits(writing, kind, sentence)),
      )
    const [best] = take(writing, [...fitting(material.benefits), ...fitting(material.sentences)], 1)
    return best ?? (inARow(material.steps, kind) || gapFor('what the viewer gets'))
  },

  answer(writing, kind) {
    const { material, words } = writing
    const shaped = (answer: string) => blocks(answer, line(words.whole))
    const spoken = spokenAnswer(writing, answer => fits(writing, kind, shaped(answer)))
    if (spoken) return shaped(spoken)
    let list: string[] = []
    for (const [i, step] of (material.steps.length > 1 ? material.steps : material.benefits).entries()) {
      const next = [...list, `${i + 1}. ${step}`]
      if (!fits(writing, kind, shaped(next.join('\n')))) break
      list = next
    }
    return shaped(list.length ? list.join('\n') : gapFor('the answer in two or three sentences'))
  },

  newsletter(writing, kind) {
    const { material, words } = writing
    const { minutes } = material
    const takes = minutes !== null && minutes > 1 ? words.minutes.replace('{n}', String(minutes)) : ''
    const shaped = (sentences: readonly string[]) => joined([...sentences, line(takes || words.watch)])
    const fit = (sentences: readonly string[]) => fits(writing, kind, shaped(sentences))
    // Half of what is left of the description: the longer post wants to say something too.
    const left = material.sentences.filter(sentence => !writing.used.has(sentence))
    const sentences = take(writing, left, Math.ceil(left.length / 2), fit)
    if (sentences.length < 2) sentences.push(...take(writing, material.spoken, 3, more => fit([...sentences, ...more])))
    // One sentence out of the middle needs to be told what it is about.
    const named = sentences.length < 2 && material.title ? [material.title, ...sentences] : sentences
    return shaped(named.length ? named : [gapFor('what this video is about')])
  },

  long(writing, kind) {
    const { material, words } = writing
    const { title } = material
    const list = (material.benefits.length ? material.benefits : material.steps).slice(0, MOST_LISTED)
    const listing = list.length ? [words.inIt, ...list.map(item => `– ${item}`)].filter(Boolean).join('\n') : ''
    const end = line(words.watch)
    const fit = (sentences: readonly string[]) => fits(writing, kind, blocks(title, joined(sentences), listing, end))
    const said = joined(take(writing, material.sentences, Infinity, fit))
    const whole = [blocks(title, said, listing, end), blocks(title, said, end)].find(text => fits(writing, kind, text))
    return title || said || listing ? (whole ?? end) : blocks(gapFor('what it is about'), end)
  },

  article(writing, kind) {
    const { material, words } = writing
    const title = material.title ? `# ${material.title}` : ''
    const shaped = (paragraphs: readonly string[]) => blocks(title, ...paragraphs, line(words.watch))
    if (!material.article) return shaped([gapFor('the text of the article')])
    const paragraphs = material.article.split('\n\n')
    let most = paragraphs.length
    while (most > 1 && !fits(writing, kind, shaped(paragraphs.slice(0, most)))) most--
    const text = shaped(paragraphs.slice(0, most))
    return fits(writing, kind, text) ? text : cut(text, kind)
  },
}

/** Steps side by side, as many as fit. */
function inARow(steps: readonly string[], { limit, unit }: PostKindOf): string {
  let text = ''
  for (const step of steps) {
    const next = text ? `${text}, ${step}` : step
    if (count(next, unit) > limit) break
    text = next
  }
  return text
}

/**
 * The first of the sentences spoken that say most of the lead, and those that follow it: the answer itself, without
 * what leads up to it. '' where nothing is spoken, or nothing of it says a phrase.
 */
function spokenAnswer(writing: Writing, fit: (answer: string) => boolean): string {
  const { material, phrases, language } = writing
  const { spoken } = material
  if (!spoken.length) return ''
  let [from, most] = [-1, 0]
  for (let i = Math.min(spoken.length - 1, Math.max(2, Math.ceil(LEAD_UP * spoken.length))); i < spoken.length; i++) {
    const value = tells(spoken[i]!, phrases.lead || (phrases.support[0] ?? ''), language)
    if (value > most && !writing.used.has(spoken[i]!)) [from, most] = [i, value]
  }
  if (from < 0) return ''
  return joined(take(writing, spoken.slice(from), ANSWER_SENTENCES, sentences => fit(joined(sentences))))
}
