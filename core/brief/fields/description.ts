import { boundedText, textField } from '../field'

export const description = textField({
  label: 'Description',
  schema: boundedText('description', 60_000),
  empty: '',
  shown: value => value,
  exported: text => [{ heading: 'Description', text }],
  draft: value => ({ description: value }),
})
