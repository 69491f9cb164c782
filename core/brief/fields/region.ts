import { regionCode } from '../../text/inputs'
import { choiceField } from '../field'

/** The country the figures are for; `null` is everywhere. */
export const region = choiceField<string | null>({
  label: 'Region',
  schema: regionCode.nullable(),
  empty: null,
  shown: value => value ?? 'Everywhere',
})
