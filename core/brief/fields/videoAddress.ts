import { z } from 'zod'
import { choiceField } from '../field'

/** Where the video can be seen once it is out; '' until then. */
export const videoAddress = choiceField<string>({
  label: 'Address of the video',
  schema: z.union([
    z.literal(''),
    z
      .string()
      .max(2000, 'An address can be 2,000 characters at most.')
      .regex(/^https?:\/\/[^\s]+$/u, 'An address begins with https:// and has no spaces.'),
  ]),
  copied: false,
  empty: '',
  shown: value => value,
})
