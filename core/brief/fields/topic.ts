import { boundedText, textField } from '../field'

/** What the video is about, in the creator's own words. */
export const topic = textField({
  label: 'Topic',
  schema: boundedText('topic', 300),
  empty: '',
  shown: value => value,
})
