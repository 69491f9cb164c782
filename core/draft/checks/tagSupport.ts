import type { ReadPhrase } from '../../text/match'
import { tagSupport as supportOf } from '../../tags/support'
import { defineCheck, met, notApplicable, partly } from '../check'
import { tagKey } from '../limits'

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
    const texts = [...input.at('title'), ...input.at('description'), ...input.at('spoken')].map(place => place.text)
    const own = tagKey(input.context.ownName)
    const strayFrom = (phrases: readonly ReadPhrase[]) => {
      const isSupported = tags.length ? supportOf(input.at('title')[0]?.text, texts, phrases, input.language) : null
      return isSupported && tags.flatMap((tag, i) => (isSupported(tag) || tagKey(tag) === own ? [] : [i]))
    }
    let stray = strayFrom([])
    // The phrases are looked at only for what the texts leave open.
    if (stray?.length !== 0) stray = strayFrom([input.lead, ...input.support].filter(phrase => phrase !== null))
    if (!stray) return notApplicable('Tags and a text are needed to compare them.')
    if (!stray.length) return met('Every tag matches the text.')
    return partly(
      1 - stray.length / tags.length,
      `The text does not mention ${stray.map(i => `“${tags[i]}”`).join(', ')}.`,
      {
        ranges: stray.map(item => ({ field: 'tags', item, start: 0, end: tags[item]!.length })),
        fixes: () => [
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
