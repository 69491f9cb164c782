import { z } from 'zod'
import { CROSS_TEMPLATES, crossPlaces, templateFault } from '../../../core/demand/cross'
import { phraseInput } from '../../../core/text/inputs'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'

const template = z.string().superRefine((value, context) => {
  const fault = templateFault(value)
  if (fault) context.addIssue({ code: 'custom', message: fault })
})
const body = z.object({
  phrases: z.array(phraseInput).min(1, 'Name at least one phrase.').max(500),
  places: z.array(z.string().min(1).max(100)).min(1, 'Choose at least one place.').max(5000),
  templates: z
    .array(template)
    .min(1, 'Choose how phrase and place are put together.')
    .max(8)
    .default([CROSS_TEMPLATES[0]]),
})

/** Every phrase with every place. They are assessed by the usual route. */
export default route(async event => {
  const { phrases, places, templates } = await bodyOf(event, body)
  try {
    return { phrases: crossPlaces(phrases, places, templates) }
  } catch (error) {
    if (error instanceof RangeError) throw new Problem(400, 'too-many', error.message)
    throw error
  }
})
