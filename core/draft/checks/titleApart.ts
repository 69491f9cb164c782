import { closestAmong } from '../../titles/closeness'
import { defineCheck, met, notApplicable, partly } from '../check'
import { fraction } from '../settings'

/** The finder of the page looked at last: a page stays while its draft is typed. */
let last: { page: unknown; language: string; closest: ReturnType<typeof closestAmong> } | null = null

/** The title says something else than the titles it will stand among. */
export const titleApart = defineCheck({
  id: 'title-apart',
  version: 1,
  field: 'title',
  question: 'chosen',
  title: 'Different from its neighbours',
  why: 'Between two titles that say the same, viewers take the one whose channel they know.',
  needs: ['title'],
  settings: { most: fraction('Words that may be shared with one of them, as a part of 1', 0.7) },
  run: ({ draft, context: { page }, language, settings: { most } }) => {
    if (!draft.title!.trim()) return notApplicable('Nothing written yet.')
    if (!page.length) return notApplicable('No result page is known for the lead. Open it in Rivals.')
    if (last?.page !== page || last.language !== language)
      last = {
        page,
        language,
        closest: closestAmong(
          page.map(each => each.title),
          language,
        ),
      }
    const close = last.closest(draft.title!)
    if (!close) return met('It shares no word with the titles of the page.')
    const shared = `${Math.round(100 * close.closeness)} %`
    if (close.closeness <= most) return met(`Closest is “${close.title}”, with ${shared} of the words in common.`)
    return partly(
      (1 - close.closeness) / (1 - most),
      `Says nearly the same as “${close.title}”: ${shared} of the words in common. Say what yours has besides.`,
    )
  },
})
