import { counted } from '../../text/inWords'
import { fold } from '../../text/words'
import { defineCheck, inField, met, notApplicable, partly } from '../check'
import { hashtagsOf } from '../hashtags'

/** Shorter words stand within too many others by accident. */
const SHORTEST = 3

/** Every hashtag has a word in common with the title, the tags or the tray. */
export const hashtagSupport = defineCheck({
  id: 'hashtag-support',
  version: 1,
  field: 'description',
  question: 'kept',
  title: 'Hashtags match the text',
  why: 'A hashtag about something else brings viewers who leave again, and some sites remove it.',
  needs: ['description'],
  settings: {},
  run: ({ draft, lead, support, at, language }) => {
    const found = hashtagsOf(draft.description!)
    if (!found.length) return notApplicable('No hashtags.')
    const known = new Set<string>()
    const add = (norms: readonly string[]) => {
      for (const norm of norms) if (norm.length >= SHORTEST) known.add(norm)
    }
    add(at('title')[0]?.text.norms ?? [])
    for (const phrase of [lead, ...support]) add(phrase?.norms ?? [])
    for (const tag of at('tags')) add(tag.text.norms)
    if (!known.size) return notApplicable('A title or phrases are needed to compare them.')
    // Its words run together, so that it is looked for within; a form of the word begins as the word does.
    const bears = (tag: string) => {
      const text = fold(tag.slice(1).toLocaleLowerCase(language))
      return [...known].some(word => text.includes(word) || (word.length > 4 && text.includes(word.slice(0, -1))))
    }
    const stray = found.filter(each => !bears(each.text))
    if (!stray.length) return met(`${counted(found.length, 'hashtag')} about the subject.`)
    return partly(
      1 - stray.length / found.length,
      `${stray.map(each => each.text).join(', ')} ${stray.length === 1 ? 'has' : 'have'} no word in common with title, tags or phrases.`,
      {
        ranges: inField(
          'description',
          stray.map(({ start, text }) => ({ start, end: start + text.length })),
        ),
      },
    )
  },
})
