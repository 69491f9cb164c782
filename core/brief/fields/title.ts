import { boundedText, textField } from '../field'

export const title = textField({
  label: 'Title',
  schema: boundedText('title', 2000),
  empty: '',
  shown: value => value,
  exported: text => [{ heading: 'Title', text }],
  draft: value => ({ title: value }),
})
