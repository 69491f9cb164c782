import { z } from 'zod'
import { choiceField } from '../field'

/** Years a release can be planned for, as UTC milliseconds. */
const [FIRST, LAST] = [Date.UTC(2000, 0), Date.UTC(2100, 0)]

/** When the video is to be seen first, UTC milliseconds; `now` as soon as it can be, `null` while that is open. */
export const releaseAt = choiceField<number | 'now' | null>({
  label: 'Hour of release',
  schema: z
    .union(
      [
        z.literal('now'),
        z
          .number()
          .int()
          .min(FIRST, 'Choose an hour between 2000 and 2100.')
          .max(LAST, 'Choose an hour between 2000 and 2100.'),
      ],
      'Choose an hour, or now.',
    )
    .nullable(),
  copied: false,
  empty: null,
  shown: value =>
    value === null
      ? ''
      : value === 'now'
        ? 'at once'
        : `${new Date(value).toISOString().slice(0, 16).replace('T', ' ')} UTC`,
})
