import { z } from 'zod'
import { choiceField } from '../field'

/** How fine the picture of the video's file is, in lines of its shorter side; `null` while that is not known. */
export const lines = choiceField<number | null>({
  label: 'Lines of the picture',
  schema: z
    .number()
    .int()
    .min(1, 'A picture has a line at least.')
    .max(20_000, 'A picture has 20,000 lines at most.')
    .nullable(),
  copied: false,
  empty: null,
  shown: value => (value === null ? '' : `${value} lines`),
})
