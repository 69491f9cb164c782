import { primaryLanguage } from '../text/stems'
import { FORMS, type PhraseForm } from './form'
import { ENGLISH } from './patternsEnglish'
import { FRENCH } from './patternsFrench'
import { GERMAN } from './patternsGerman'
import { JAPANESE } from './patternsJapanese'
import { PORTUGUESE } from './patternsPortuguese'
import { SPANISH } from './patternsSpanish'

/** What a title adds to its phrase, by which ideas are told apart. */
export const PATTERN_KINDS = [
  'phrase',
  'number',
  'question',
  'outcome',
  'contrast',
  'time',
  'audience',
  'mistake',
  'year',
  'series',
  'brand',
  'support',
] as const
export type PatternKind = (typeof PATTERN_KINDS)[number]

export const PATTERN_NAMES: Record<PatternKind, string> = {
  phrase: 'the phrase alone',
  number: 'a number',
  question: 'a question',
  outcome: 'an outcome',
  contrast: 'a contrast',
  time: 'a time',
  audience: 'for somebody',
  mistake: 'a mistake',
  year: 'the year',
  series: 'part of a series',
  brand: 'the channel’s name',
  support: 'another phrase',
}

/**
 * What follows a phrase in a title, with the sign that joins it, as in “: ” and “? ”. `{n}` is a small number,
 * `{minutes}` a short time, `{year}` the year, `{part}` the place in a series, `{brand}` the channel's name.
 */
export interface Pattern {
  kind: Exclude<PatternKind, 'phrase' | 'support'>
  /** Forms of phrases it reads well with. */
  forms: readonly PhraseForm[]
  /** Ways to say it, of which one is drawn. */
  tails: readonly string[]
}

const BY_LANGUAGE: Record<string, readonly Pattern[]> = {
  en: ENGLISH,
  de: GERMAN,
  es: SPANISH,
  fr: FRENCH,
  pt: PORTUGUESE,
  ja: JAPANESE,
}

/** The patterns of a language; those that need no words, in one whose words are not known. */
export const patternsOf = (language: string): readonly Pattern[] =>
  BY_LANGUAGE[primaryLanguage(language)] ?? [
    { kind: 'year', forms: FORMS, tails: [' ({year})'] },
    { kind: 'series', forms: FORMS, tails: [' | {part}', ' #{part}'] },
    { kind: 'brand', forms: FORMS, tails: [' | {brand}'] },
  ]
