import { z } from 'zod'
import { languageInput, regionCode } from '../../text/inputs'
import { description } from '../fields/description'
import { tags } from '../fields/tags'
import { title } from '../fields/title'
import type { DraftPhrases, DraftTexts } from '../../draft/draft'

/** A phrase of a localised text. It counts once it was looked up where it would be searched, or a person says so. */
export const localisedPhraseSchema = z.object({
  text: z.string().trim().min(1, 'A phrase needs a word.').max(200, 'A phrase can be 200 characters at most.'),
  /** The phrase of the brief it stands for; `null` for one of its own. */
  from: z.string().max(200).nullable().default(null),
  counts: z.boolean().default(false),
})
export type LocalisedPhrase = z.infer<typeof localisedPhraseSchema>

/** The texts of a brief in another language, as a site shows them to those who speak it. */
export const localisedSchema = z.object({
  language: languageInput,
  /** Where its phrases are searched; `null` for everywhere. */
  region: regionCode.nullable().default(null),
  title: title.schema.default(''),
  description: description.schema.default(''),
  tags: tags.schema.default([]),
  /** In order; the first that counts is its lead. */
  phrases: z.array(localisedPhraseSchema).max(200, 'A text can have 200 phrases at most.').default([]),
})
export type Localised = z.infer<typeof localisedSchema>

/** What of a localised text is scored. */
export const localisedDraft = ({ title, description, tags }: Localised): DraftTexts => ({ title, description, tags })

/** The phrases it is scored for: those that count, the first as its lead. */
export function localisedPhrases({ phrases }: Pick<Localised, 'phrases'>): DraftPhrases {
  const [lead = '', ...support] = phrases.filter(({ counts }) => counts).map(({ text }) => text)
  return { lead, support }
}

/** Texts in which nothing is written yet. */
export const emptyLocalised = (language: string, region: string | null): Localised =>
  localisedSchema.parse({ language, region })

/** What stands for a phrase of the brief; `null` where nothing does yet. */
export const standingFor = ({ phrases }: Pick<Localised, 'phrases'>, from: string): LocalisedPhrase | null =>
  phrases.find(phrase => phrase.from === from) ?? null

/**
 * The phrases with another one for a phrase of the brief, in the brief's order; those of its own follow. An empty text
 * takes it out. A changed one has to be looked up anew.
 * @param order the phrases of the brief, its lead first.
 */
export function withPhrase(
  phrases: readonly LocalisedPhrase[],
  from: string,
  text: string,
  order: readonly string[],
): LocalisedPhrase[] {
  const kept = phrases.filter(phrase => phrase.from !== from)
  const said = text.trim()
  const next = said ? [...kept, { text: said, from, counts: false }] : kept
  const place = ({ from: of }: LocalisedPhrase) => {
    const at = of === null ? -1 : order.indexOf(of)
    return at < 0 ? order.length : at
  }
  return next.sort((a, b) => place(a) - place(b))
}

/** The phrases after a look: those with figures count from now on; the others stay as they are. */
export const lookedUp = (phrases: readonly LocalisedPhrase[], known: (text: string) => boolean): LocalisedPhrase[] =>
  phrases.map(phrase => (known(phrase.text) ? { ...phrase, counts: true } : phrase))

/** The texts of all languages, each under headings that name it, ready to paste; empty ones are left out. */
export function exportedLocalised(list: readonly Localised[], nameOf: (language: string) => string): string {
  return list
    .flatMap(({ language, title, description, tags }) =>
      [
        ['Title', title],
        ['Description', description],
        ['Tags', tags.join(', ')],
      ].map(([heading = '', text = '']) => ({ heading: `${heading}, ${nameOf(language)}`, text })),
    )
    .filter(({ text }) => text.trim())
    .map(({ heading, text }) => `${heading.toUpperCase()}\n${text}\n`)
    .join('\n')
}
