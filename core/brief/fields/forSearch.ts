import { z } from 'zod'
import { choiceField } from '../field'

/** Whether strangers are to find the video by searching; some are made for a client or to announce something. */
export const forSearch = choiceField<boolean>({
  label: 'Meant for search',
  schema: z.boolean(),
  empty: true,
  shown: value => (value ? 'yes' : 'no'),
  draft: value => (value ? {} : { forSearch: false }),
})
