import type { z } from 'zod'
import { inDigits } from '../core/text/inWords'

const EXPECTED: Record<string, string> = {
  string: 'a text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  object: 'an object with its fields',
  record: 'an object with its fields',
  null: 'null',
  date: 'a date',
}
const UNITS: Record<string, [one: string, many: string]> = {
  string: ['character', 'characters'],
  array: ['entry', 'entries'],
  set: ['entry', 'entries'],
  file: ['byte', 'bytes'],
}
const counted = (value: unknown, origin: string) => `${figure(value)} ${UNITS[origin]![value === 1 ? 0 : 1]}`
const figure = (value: unknown) => (typeof value === 'number' ? inDigits(value) : String(value))

/** What is wrong with an input where its schema says nothing of its own: what to give instead, in plain words. */
export const plainMessage: z.core.$ZodErrorMap = issue => {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `This is missing. Give ${EXPECTED[issue.expected] ?? issue.expected}.`
        : `Give ${EXPECTED[issue.expected] ?? issue.expected} here.`
    case 'too_big':
      return issue.origin in UNITS
        ? `This has more than ${counted(issue.maximum, issue.origin)}. Shorten it.`
        : `Give a number of ${figure(issue.maximum)} at most.`
    case 'too_small':
      return issue.origin in UNITS
        ? `This has fewer than ${counted(issue.minimum, issue.origin)}.`
        : `Give a number of ${figure(issue.minimum)} or more.`
    case 'invalid_format':
      return issue.format === 'uuid'
        ? 'Give an id as a UUID.'
        : issue.format === 'url'
          ? 'Give an address such as https://demand.example/api.'
          : 'This is not in the expected form; see docs/api.md.'
    case 'invalid_value':
      return `Give one of ${issue.values.map(String).join(', ')}.`
    case 'not_multiple_of':
      return `Give a multiple of ${figure(issue.divisor)}.`
    case 'unrecognized_keys':
      return `There is no field ${issue.keys.map(key => `“${key.slice(0, 40)}”`).join(', ')} here. Leave it out.`
    default:
      return 'This is not valid; see docs/api.md.'
  }
}
