import { z } from 'zod'
import { choiceField } from '../field'

/** The id of the rule set that the texts are scored under. */
export const ruleSet = choiceField({
  label: 'Rule set',
  schema: z.string().max(100),
  empty: 'balanced',
  shown: value => value,
})
