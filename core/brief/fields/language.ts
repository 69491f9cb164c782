import { languageInput } from '../../text/inputs'
import { choiceField } from '../field'

/** The language of the texts, as BCP 47. */
export const language = choiceField({
  label: 'Language',
  schema: languageInput,
  empty: 'en',
  shown: value => value,
})
