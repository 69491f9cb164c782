import { distance } from 'fastest-levenshtein'
import { readPhrase, type ReadText } from '../../text/match'
import { defineCheck, met, notApplicable, partly, type CheckInput } from '../check'

/** A word this long may be misspelt by two letters and still be the same word; a shorter one by one. */
const LONG_WORD = 8
/** Shorter words differ too easily by one letter to be taken for misspellings. */
const SHORT_WORD = 5

/** Words a tag's words are compared with as misspellings: those of the phrases and the title. */
function spellings({ lead, support, at }: CheckInput): Set<string> {
  const known = new Set<string>()
  for (const phrase of [lead, ...support]) phrase?.norms.forEach(norm => known.add(norm))
  at('title')[0]?.text.norms.forEach(norm => known.add(norm))
  return known
}

const misspells = (norm: string, known: Set<string>) =>
  norm.length >= SHORT_WORD &&
  [...known].some(word => word.length >= SHORT_WORD && distance(norm, word) <= (word.length >= LONG_WORD ? 2 : 1))

/** Every tag is borne out by the title, the description, the spoken words or the tray. */
export const tagSupport = defineCheck({
  id: 'tag-support',
  version: 1,
  field: 'tags',
  question: 'kept',
  title: 'Tags match the text',
  why: 'Tags for something the video does not cover attract the wrong viewers, and sites penalise them.',
  needs: ['tags'],
  settings: {},
  run: input => {
    const tags = input.draft.tags!
    const texts: ReadText[] = [...input.at('title'), ...input.at('description'), ...input.at('spoken')].map(
      place => place.text,
    )
    const stems = new Set(texts.flatMap(text => [...text.byStem.keys()]))
    for (const phrase of [input.lead, ...input.support]) phrase?.stems.forEach(stem => stems.add(stem))
    if (!tags.length || !stems.size) return notApplicable('Tags and a text are needed to compare them.')
    const known = spellings(input)
    const stray = tags
      .map((_, i) => i)
      .filter(i => {
        const tag = readPhrase(tags[i]!, input.language)
        if (!tag.content.length) return false
        const borne = tag.norms.filter(
          (norm, k) => tag.content.includes(tag.stems[k]!) && (stems.has(tag.stems[k]!) || misspells(norm, known)),
        ).length
        return borne / tag.content.length < 0.5
      })
    if (!stray.length) return met('Every tag matches the text.')
    return partly(
      1 - stray.length / tags.length,
      `The text does not mention ${stray.map(i => `“${tags[i]}”`).join(', ')}.`,
      {
        ranges: stray.map(item => ({ field: 'tags', item, start: 0, end: tags[item]!.length })),
        fixes: [
          {
            label: stray.length === 1 ? 'Remove this tag' : `Remove these ${stray.length} tags`,
            field: 'tags',
            edits: stray.map(item => ({ item, remove: 1, insert: [] })),
          },
        ],
      },
    )
  },
})
