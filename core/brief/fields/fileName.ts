import { boundedText, textField } from '../field'

/** What the video's file is called before it is uploaded. Where none is given, it does not apply. */
export const fileName = textField({
  label: 'File name',
  schema: boundedText('file name', 400),
  empty: '',
  shown: value => value,
  exported: text => [{ heading: 'File name', text }],
  draft: value => (value ? { fileName: value } : {}),
})
