import { intentOf } from '../demand/intent'
import { PlaceNames } from '../demand/placeNames'
import { hashtagFor } from '../draft/hashtags'
import { linksOf } from '../draft/links'
import type { DraftPhrases } from '../draft/draft'
import type { LimitProfile } from '../draft/limits'
import { count } from '../text/count'
import { words } from '../text/words'
import { titleStart } from '../titles/ideas'
import { GAP, gapsOf } from './gaps'
import { descriptionWords } from './wording'

/** The parts of a description, in the order in which they usually come. */
export const DESCRIPTION_PARTS = [
  'opening',
  'benefits',
  'phrases',
  'sections',
  'question',
  'request',
  'links',
  'contact',
  'chapters',
  'hashtags',
] as const
export type DescriptionPart = (typeof DESCRIPTION_PARTS)[number]

export const LENGTHS = ['short', 'middle', 'long'] as const
export type DescriptionLength = (typeof LENGTHS)[number]

export interface ComposeQuestion {
  phrases: DraftPhrases
  /** BCP 47. */
  language: string
  profile: LimitProfile
  /** What the viewer gets, a line each. */
  benefits?: readonly string[]
  /** How to be reached, a line each. */
  contact?: readonly string[]
  /** Addresses, perhaps with words before them, a line each. */
  links?: readonly string[]
  /** Times with titles, a line each. */
  chapters?: readonly string[]
  /** Hashtags to end with; made from the phrases unless given. */
  hashtags?: readonly string[]
  /** Lower-case names of places, which keep a capital. */
  places?: ReadonlySet<string>
  /** As the person wants them; else by what the searcher of the lead wants. */
  order?: readonly DescriptionPart[]
  length?: DescriptionLength
  /** Another number words it otherwise; the same number the same way. */
  seed?: number
}

export interface Composed {
  description: string
  /** How many marked gaps are left for the person to fill. */
  gaps: number
}

/** What each length holds besides what was given. */
const HOLDS: Record<DescriptionLength, readonly DescriptionPart[]> = {
  short: ['opening', 'benefits', 'links', 'contact', 'chapters', 'hashtags'],
  middle: ['opening', 'benefits', 'phrases', 'question', 'links', 'contact', 'chapters', 'hashtags'],
  long: DESCRIPTION_PARTS,
}
const MOST_HASHTAGS = 3

const CONTACT_FIRST: readonly DescriptionPart[] = [
  'opening',
  'contact',
  ...DESCRIPTION_PARTS.filter(part => part !== 'opening' && part !== 'contact'),
]
/**
 * The order of a description unless the person gave one: whoever looks for somebody to hire reads how to reach them
 * first.
 * @param places lower-case names, of which the lead may name one.
 */
export function usualOrder(lead: string, language: string, places: Iterable<string> = []): readonly DescriptionPart[] {
  const intent = intentOf(lead, new PlaceNames(places), [], language)?.intent
  return intent === 'hire' || intent === 'near' ? CONTACT_FIRST : DESCRIPTION_PARTS
}

const tidy = (lines: readonly string[]) => lines.map(line => line.trim()).filter(Boolean)
/** A line that ends a sentence. */
export const ended = (line: string) => (/[.!?…:)\]。！？]["'”’»]?$/u.test(line) ? line : `${line}.`)

/** Addresses get the scheme without which they cannot be clicked. */
function clickable(line: string): string {
  let text = line
  for (const { start, scheme } of [...linksOf(line)].reverse())
    if (!scheme) text = `${text.slice(0, start)}https://${text.slice(start)}`
  return text
}

/** Up to three hashtags from the phrases. */
const hashtagsFrom = ({ lead, support }: DraftPhrases, language: string): string[] =>
  [...new Set([lead, ...support].map(phrase => hashtagFor(phrase, language)))].filter(Boolean).slice(0, MOST_HASHTAGS)

const normed = (text: string) =>
  ` ${words(text)
    .map(word => word.norm)
    .join(' ')} `

/** Support phrases that nothing given says yet, neither as part of the lead nor of a longer one of them. */
function unsaid({ lead, support }: DraftPhrases, given: readonly string[]): string[] {
  const all = support.map(normed)
  const said = [lead, ...given].map(normed)
  return support.filter((_, i) => ![...said, ...all.filter((_each, k) => k !== i)].some(text => text.includes(all[i]!)))
}

/**
 * A first draft of a description, to be edited: the lead in its first sentence, what the person gave, and marked gaps
 * for what only the person knows. It states nothing that was not given.
 *
 * @returns an empty text without a lead.
 */
export function composeDescription(question: ComposeQuestion): Composed {
  const { phrases, language, profile, places, length = 'middle', seed = 1 } = question
  if (!phrases.lead.trim()) return { description: '', gaps: 0 }
  const order = question.order ?? usualOrder(phrases.lead, language, places)
  const words = descriptionWords(language)
  const draw = (list: readonly string[], salt: number) => (list.length ? list[(seed + salt) % list.length]! : '')
  const start = (phrase: string) => titleStart(phrase, language, places)
  const benefits = tidy(question.benefits ?? [])
  const listed = (head: string, lines: readonly string[]) => (lines.length ? tidy([head, ...lines]).join('\n') : '')

  const parts: Record<DescriptionPart, () => string> = {
    opening: () =>
      draw(words.opening, 0)
        .replace('{lead}', () => start(phrases.lead))
        .replace('…', () => (benefits[0] ? ended(benefits[0]) : GAP)),
    benefits: () =>
      listed(
        draw(words.benefits, 1),
        benefits.slice(1).map(line => `- ${line}`),
      ),
    phrases: () =>
      unsaid(phrases, benefits)
        .map(phrase => `${ended(start(phrase)).replace(/\.$/u, ':')} ${GAP}`)
        .join('\n\n'),
    sections: () => words.sections.map(head => `${head}: ${GAP}`).join('\n\n'),
    question: () => draw(words.question, 2),
    request: () => draw(words.request, 3),
    links: () => listed(draw(words.links, 4), tidy(question.links ?? []).map(clickable)),
    contact: () => listed(draw(words.contact, 5), tidy(question.contact ?? []).map(clickable)),
    // Times stand at the start of their lines, or the site does not see them.
    chapters: () => tidy(question.chapters ?? []).join('\n'),
    hashtags: () =>
      (question.hashtags
        ? tidy(question.hashtags).map(tag => (tag.startsWith('#') ? tag : `#${tag}`))
        : hashtagsFrom(phrases, language)
      ).join(' '),
  }
  const wanted = new Set(HOLDS[length])
  const made = [...new Set(order)].filter(part => wanted.has(part)).map(part => ({ part, text: parts[part]() }))
  // Over the limit, what has least of its own goes first.
  for (const part of ['sections', 'phrases', 'request', 'question'] as const) {
    const text = joined(made)
    if (count(text, profile.description.unit) <= profile.description.limit) break
    const at = made.findIndex(each => each.part === part)
    if (at >= 0) made.splice(at, 1)
  }
  const description = joined(made)
  return { description, gaps: gapsOf(description).length }
}

const joined = (parts: readonly { text: string }[]) =>
  parts
    .map(({ text }) => text)
    .filter(Boolean)
    .join('\n\n')
