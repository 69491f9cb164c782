import { listed } from '../../text/inWords'
import { defineCheck, met, partly } from '../check'
import { truthOf } from '../truth'

/** What the title says is spoken. */
export const promiseSpoken = defineCheck({
  id: 'promise-spoken',
  version: 1,
  field: 'title',
  question: 'kept',
  title: 'What the title says is spoken',
  why: 'A title whose words never come up drives viewers off.',
  needs: ['title', 'captions'],
  settings: {},
  run: ({ draft, language, at }) => {
    const { unsupported } = truthOf({ title: draft.title!, captions: draft.captions! }, language)
    if (!unsupported.length) return met('All that the title says is spoken.')
    const words = at('title')[0]!.text.norms.length
    const missed = unsupported.reduce((sum, { text }) => sum + text.split(/\s+/u).length, 0)
    return partly(
      1 - (2 * missed) / Math.max(1, words),
      `Never spoken: ${listed(unsupported.map(({ text }) => `“${text}”`))}.`,
      {
        ranges: unsupported.map(({ field, start, end }) => ({ field, start, end })),
      },
    )
  },
})
