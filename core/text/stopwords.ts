/// <reference path="./stopword.d.ts" />
import { dan, deu, eng, fin, fra, hun, ita, nld, nob, por, ron, rus, spa, swe, tur } from 'stopword'
import { primaryLanguage } from './stems'
import { normaliseWord } from './words'

const LISTS: Record<string, string[]> = {
  da: dan,
  de: deu,
  en: eng,
  es: spa,
  fi: fin,
  fr: fra,
  hu: hun,
  it: ita,
  nl: nld,
  nb: nob,
  no: nob,
  pt: por,
  ro: ron,
  ru: rus,
  sv: swe,
  tr: tur,
}

/** Question and comparison words the shipped English list lacks but which never name a subject. */
const EXTRA: Record<string, string[]> = { en: ['do', 'does', 'vs', 'versus', 'when', 'why', 'its', 'will', 'not'] }

const sets = new Map<string, ReadonlySet<string>>()

/** Normalised stop words of a language; empty for one we have no list for. */
export function stopWords(language: string): ReadonlySet<string> {
  const primary = primaryLanguage(language)
  let set = sets.get(primary)
  if (!set) {
    set = new Set([...(LISTS[primary] ?? []), ...(EXTRA[primary] ?? [])].map(normaliseWord))
    if (primary in LISTS) sets.set(primary, set)
  }
  return set
}
