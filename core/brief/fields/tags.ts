import { z } from 'zod'
import { boundedText, textField } from '../field'

export const tags = textField<string[]>({
  label: 'Tags',
  schema: z.array(boundedText('tag', 600)).max(600),
  empty: [],
  shown: value => value.join(', '),
  exported: value => [{ heading: 'Tags', text: value.join(', ') }],
  draft: value => ({ tags: [...value] }),
})
