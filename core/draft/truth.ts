import { chaptersOf } from '../chapters/lines'
import { spokenWords } from '../captions/spoken'
import { readText, type ReadText } from '../text/match'
import { primaryLanguage } from '../text/stems'
import { stopWords } from '../text/stopwords'
import { fold } from '../text/words'
import type { Draft, Field, FieldRange } from './draft'
import { firstLineOf } from './places'
import { formatWords, reasonWords } from './wordLists'

/** A stretch that promises what is not spoken. */
export interface Unsupported extends FieldRange {
  text: string
}

/** A number of things that the title promises. */
export interface PromisedNumber extends FieldRange {
  says: number
  /** How many there are, counted in the text and in what is spoken; `null` where nothing is counted there. */
  found: number | null
}

export interface Truth {
  /** Whether anything is spoken, or is to be: without it nothing can be told. */
  compared: boolean
  unsupported: Unsupported[]
  numbers: PromisedNumber[]
}

/** Share of a tag's words that must be spoken. */
const ENOUGH_OF_TAG = 0.5
/** Numbers of things: fewer are no list, more are a measure or a year. */
const [FEWEST, MOST] = [2, 60]
const NUMBER_WORDS: Record<string, string> = {
  en: 'two three four five six seven eight nine ten eleven twelve',
  de: 'zwei drei vier funf sechs sieben acht neun zehn elf zwolf',
  es: 'dos tres cuatro cinco seis siete ocho nueve diez once doce',
  fr: 'deux trois quatre cinq six sept huit neuf dix onze douze',
  pt: 'dois tres quatro cinco seis sete oito nove dez onze doze',
}
/** In the order of their numbers, the first being 1. */
const ORDINALS: Record<string, string> = {
  en: 'first second third fourth fifth sixth seventh eighth ninth tenth eleventh twelfth',
  de: 'erstens zweitens drittens viertens funftens sechstens siebtens achtens neuntens zehntens',
  es: 'primero segundo tercero cuarto quinto sexto septimo octavo noveno decimo',
  fr: 'premierement deuxiemement troisiemement quatriemement cinquiemement sixiemement septiemement',
  pt: 'primeiro segundo terceiro quarto quinto sexto setimo oitavo nono decimo',
}
const STEP_WORDS: Record<string, string> = {
  en: 'number|step|tip|mistake|reason|way|fix|rule|part',
  de: 'nummer|schritt|tipp|fehler|grund|punkt|teil',
  es: 'numero|paso|consejo|error|razon|punto|parte',
  fr: 'numero|etape|conseil|erreur|raison|point|partie',
  pt: 'numero|passo|dica|erro|razao|ponto|parte',
}
/** What follows a number where it measures: 5 minutes are no five things. */
const MEASURES = new Set(
  'minute minutes min mins minuten minuto minutos second seconds sekunden segundo segundos seconde secondes hour hours stunden hora horas heure heures day days tage dia dias jour jours week weeks month months year years percent pounds pound euros euro dollars dollar mm cm km kg g ml l x times mal speed gang v w'.split(
    ' ',
  ),
)

/**
 * What title, tags and first line promise, held against what is spoken, and the numbers of the title against what can
 * be counted. Words for the kind of video and reasons to click promise nothing that could be spoken.
 *
 * @param language BCP 47.
 */
export function truthOf(draft: Draft, language: string): Truth {
  const spoken = draft.captions?.cues.length ? spokenWords(draft.captions, language) : null
  return {
    compared: spoken !== null,
    unsupported: spoken ? unsupportedIn(draft, spoken, language) : [],
    numbers: numbersIn(draft, spoken, language),
  }
}

function unsupportedIn(draft: Draft, spoken: ReadText, language: string): Unsupported[] {
  const [stops, formats, reasons] = [stopWords(language), formatWords(language), reasonWords(language)]
  const claims = (text: ReadText, i: number) => {
    const norm = text.norms[i]!
    return !stops.has(norm) && !formats?.has(norm) && !reasons?.has(norm) && !/^\p{N}+$/u.test(norm)
  }
  const missing = (text: ReadText, i: number) => claims(text, i) && !spoken.byStem.has(text.stems[i]!)
  const found: Unsupported[] = []
  const look = (field: Field, raw: string, offset: number) => {
    const text = readText(raw, language)
    for (let i = 0; i < text.norms.length; i++) {
      if (!missing(text, i)) continue
      let last = i
      // Words side by side are one promise.
      while (last + 1 < text.norms.length && missing(text, last + 1) && text.starts[last + 1]! - text.ends[last]! <= 2)
        last++
      const [start, end] = [text.starts[i]!, text.ends[last]!]
      found.push({ field, start: start + offset, end: end + offset, text: raw.slice(start, end) })
      i = last
    }
  }
  if (draft.title !== undefined) look('title', draft.title, 0)
  if (draft.description !== undefined) {
    const line = firstLineOf(draft.description)
    look('description', line.text, line.start)
  }
  draft.tags?.forEach((tag, item) => {
    const text = readText(tag, language)
    const content = text.norms.map((_, i) => i).filter(i => claims(text, i))
    const unspoken = content.filter(i => !spoken.byStem.has(text.stems[i]!))
    if (content.length && unspoken.length / content.length >= ENOUGH_OF_TAG)
      found.push({ field: 'tags', item, start: 0, end: tag.length, text: tag })
  })
  return found
}

function numbersIn(draft: Draft, spoken: ReadText | null, language: string): PromisedNumber[] {
  if (!draft.title) return []
  const words = (NUMBER_WORDS[primaryLanguage(language)] ?? '').split(' ').filter(Boolean)
  const text = readText(draft.title, language)
  return text.norms.flatMap((norm, i) => {
    const says = /^\d{1,2}$/u.test(norm) ? Number(norm) : words.indexOf(norm) + 2
    const next = text.norms[i + 1]
    const joint = next === undefined ? '' : draft.title!.slice(text.ends[i], text.starts[i + 1])
    const before = draft.title![text.starts[i]! - 1] ?? ' '
    // Of things: a word follows that is no measure, and the number is no part of another one, or of a price.
    if (says < FEWEST || says > MOST || next === undefined || joint !== ' ' || !/[\s([“"¿]/u.test(before)) return []
    if (MEASURES.has(next) || /^\d/u.test(next)) return []
    return [
      {
        field: 'title' as const,
        start: text.starts[i]!,
        end: text.ends[i]!,
        says,
        found: countedIn(draft, says, spoken, language),
      },
    ]
  })
}

/**
 * How many things there are: by numbered lines, by “first, second …” and “number three” as far as they are spoken, or
 * by chapters, of which one may be an opening and one a close.
 */
function countedIn(draft: Draft, says: number, spoken: ReadText | null, language: string): number | null {
  const counts: number[] = []
  const lines = (draft.description ?? '').split('\n').flatMap(line => /^\s*(\d{1,2})[.)]\s/u.exec(line)?.[1] ?? [])
  if (lines.length > 1) counts.push(runOf(lines.map(Number)))
  if (spoken) {
    const key = primaryLanguage(language)
    const ordinals = (ORDINALS[key] ?? '').split(' ').filter(Boolean)
    const numbers = (NUMBER_WORDS[key] ?? '').split(' ').filter(Boolean)
    const steps = new Set((STEP_WORDS[key] ?? '').split('|'))
    const said = new Set<number>()
    spoken.norms.forEach((norm, i) => {
      if (ordinals.includes(norm)) said.add(ordinals.indexOf(norm) + 1)
      const number = fold(spoken.norms[i + 1] ?? '')
      if (steps.has(norm)) {
        const value = /^\d{1,2}$/u.test(number) ? Number(number) : number === 'one' ? 1 : numbers.indexOf(number) + 2
        if (value >= 1) said.add(value)
      }
    })
    if (said.size > 1) counts.push(runOf([...said]))
  }
  const chapters = chaptersOf(draft.description ?? '').length
  if (chapters > 2) counts.push(says <= chapters && says >= chapters - 2 ? says : chapters)
  return counts.length ? (counts.includes(says) ? says : Math.max(...counts)) : null
}

/** How far numbers go from 1 without a gap; 0 where there is no 1. */
function runOf(numbers: readonly number[]): number {
  const all = new Set(numbers)
  let last = 0
  while (all.has(last + 1)) last++
  return last
}
