import { rememberingIn } from '../../text/remembering'
import { stopWords } from '../../text/stopwords'
import { normaliseWord } from '../../text/words'
import { defineCheck, met, notApplicable, partly, type CheckInput } from '../check'
import { tagKey } from '../limits'

/** A tag without the words that name nothing; the tag itself where no other words would be left. */
export function withoutFiller(tag: string, language: string): string {
  const stops = stopWords(language)
  const kept = tag.split(/\s+/u).filter(word => !stops.has(normaliseWord(word)))
  return kept.some(word => /\p{L}/u.test(word)) ? kept.join(' ') : tag
}

const bareOf = rememberingIn(4000, 200, (tag, language) => ({ bare: withoutFiller(tag, language) }))

/** Tags that keep their filler words: phrases of the tray, which people type so, and the title's copy. */
function keepsFiller({ draft, lead, support, context }: CheckInput): (key: string) => boolean {
  const kept = new Set([draft.title ?? '', lead?.raw ?? '', ...support.map(phrase => phrase.raw)].map(tagKey))
  return key => kept.has(key) || (context.searches[key] ?? 0) > 0
}

/** No tag spends characters on words that name nothing. */
export const tagFiller = defineCheck({
  id: 'tag-filler',
  version: 1,
  field: 'tags',
  question: 'sound',
  title: 'No filler words in tags',
  why: 'Words such as “the” and “with” take up room of the 500 characters; a phrase that people type so may keep them.',
  needs: ['tags'],
  settings: {},
  run: input => {
    const { draft, language, at } = input
    const tags = draft.tags!
    let keeps: ReturnType<typeof keepsFiller> | undefined
    const stops = stopWords(language)
    let several = 0
    const filled = at('tags').flatMap(({ text }, item) => {
      if (text.norms.length < 2) return []
      several++
      if (!text.norms.some(norm => stops.has(norm))) return []
      keeps ??= keepsFiller(input)
      const bare = keeps(tagKey(text.raw)) ? text.raw : bareOf(text.raw, language).bare
      return bare === text.raw ? [] : [{ item, bare }]
    })
    if (!several) return notApplicable('No tag of several words.')
    if (!filled.length) return met('No filler words.')
    return partly(
      1 - filled.length / several,
      `${filled.map(({ item }) => `“${tags[item]}”`).join(', ')} ${filled.length === 1 ? 'has' : 'have'} filler words.`,
      {
        ranges: filled.map(({ item }) => ({ field: 'tags', item, start: 0, end: tags[item]!.length })),
        fixes: () => {
          const there = new Set(tags.map(tagKey))
          const edits = filled.map(({ item, bare }) => {
            const key = tagKey(bare)
            const insert = there.has(key) ? [] : [bare]
            there.add(key)
            return { item, remove: 1, insert }
          })
          return [{ label: 'Leave filler words out', field: 'tags', edits }]
        },
      },
    )
  },
})
