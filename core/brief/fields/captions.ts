import { boundedText, choiceField } from '../field'

/**
 * What is spoken in the video, in SRT or WebVTT; a text without times is taken as what is said. Kept without earlier
 * values: they would weigh more than all else of the brief. Where there are none, they do not apply.
 */
export const captions = choiceField({
  label: 'Captions',
  schema: boundedText('captions file', 1_000_000),
  empty: '',
  shown: value => value,
  draft: value => (value.trim() ? { captions: value } : {}),
})
