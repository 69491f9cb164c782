import { defineCheck, inField, met, notApplicable, partly } from '../check'
import { listedWords, promiseWords } from '../wordLists'

const PICTURES = /\p{Extended_Pictographic}/gu
const HUNDRED = /100\s?%/gu
/** One sign may point at something; more of them cry. */
const MOST_PICTURES = 1

/** The title promises nothing in capitals or signs that no video could keep. */
export const titlePromise = defineCheck({
  id: 'title-promise',
  version: 1,
  field: 'title',
  question: 'kept',
  title: 'No overblown promise',
  why: 'Viewers who do not get what was shouted leave early, and sites count that.',
  needs: ['title'],
  settings: {},
  run: ({ draft, at, language }) => {
    const title = draft.title!
    const { text } = at('title')[0]!
    if (!text.norms.length) return notApplicable('Nothing written yet.')
    const promises = promiseWords(language)
    const words = listedWords(text, promises)
    const inSigns = (pattern: RegExp) =>
      [...title.matchAll(pattern)].map(({ index, 0: { length } }) => ({ start: index, end: index + length }))
    const pictures = inSigns(PICTURES)
    const found = [...words, ...inSigns(HUNDRED), ...(pictures.length > MOST_PICTURES ? pictures : [])]
    if (!found.length)
      return promises ? met('Promises nothing overblown.') : notApplicable('Words are not checked in this language.')
    const cried = words.some(({ start, end }) => {
      const word = title.slice(start, end)
      return word === word.toLocaleUpperCase(language) || title[end] === '!'
    })
    const said = [...new Set(found.map(({ start, end }) => `“${title.slice(start, end)}”`))].join(', ')
    return partly(cried || found.length > 2 ? 0 : 0.4, `${said} promises a lot. Say what the video does show.`, {
      ranges: inField('title', found),
    })
  },
})
