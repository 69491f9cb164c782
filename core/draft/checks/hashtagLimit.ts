import { counted } from '../../text/inWords'
import { defineCheck, inField, met, missing, notApplicable } from '../check'
import { hashtagsOf } from '../hashtags'

/** No more hashtags than the site reads. */
export const hashtagLimit = defineCheck({
  id: 'hashtag-limit',
  version: 1,
  field: 'description',
  question: 'sound',
  title: 'Hashtags within their limit',
  why: 'Past its limit the site ignores all of them, the first ones too.',
  needs: ['description'],
  settings: {},
  run: ({ draft, profile }) => {
    const found = hashtagsOf(draft.description!)
    const limit = profile.hashtags.ignoredPast
    if (!found.length) return notApplicable('No hashtags.')
    if (found.length <= limit) return met(`${found.length} of ${limit}.`)
    return missing(`${counted(found.length - limit, 'hashtag')} over the limit of ${limit}: all are ignored.`, {
      ranges: inField(
        'description',
        found.slice(limit).map(({ start, text }) => ({ start, end: start + text.length })),
      ),
    })
  },
})
