import { boundedText, textField } from '../field'

/** What is to be said, a line a part, with times where they are known. Captions take its place once there are some. */
export const outline = textField({
  label: 'Outline',
  schema: boundedText('outline', 60_000),
  empty: '',
  shown: value => value,
  exported: text => [{ heading: 'Outline', text }],
  draft: value => (value.trim() ? { outline: value } : {}),
})
