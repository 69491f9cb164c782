import { z } from 'zod'
import { plainMessage } from '../../../shared/messages'
import { checkBodySchema } from '../../../shared/check'
import { briefFieldsSchema } from '../../../core/brief/brief'

const before = z.config().customError
beforeAll(() => {
  z.config({ customError: plainMessage })
})
afterAll(() => {
  z.config({ customError: before })
})
const told = (schema: z.ZodType, value: unknown) => schema.safeParse(value).error?.issues[0]?.message

test.each([
  [z.string(), undefined, 'This is missing. Give a text.'],
  [z.string(), 5, 'Give a text here.'],
  [z.number().int(), 1.5, 'Give a whole number here.'],
  [z.array(z.string()).max(1), ['a', 'b'], 'This has more than 1 entry. Shorten it.'],
  [z.number().min(1), 0, 'Give a number of 1 or more.'],
  [z.number().max(5000), 9000, 'Give a number of 5,000 at most.'],
  [z.enum(['a', 'b']), 'c', 'Give one of a, b.'],
  [z.uuid(), 'x', 'Give an id as a UUID.'],
  [z.strictObject({ a: z.number() }), { a: 1, colour: 2 }, 'There is no field “colour” here. Leave it out.'],
  [z.union([z.string(), z.number()]), null, 'This is not valid; see docs/api.md.'],
  [z.string('Say it as text.'), 5, 'Say it as text.'],
])('%#', (schema, value, message) => {
  expect(told(schema, value)).toBe(message)
})

test('no message of the API is a schema’s own wording', () => {
  for (const [schema, values] of [
    [checkBodySchema, [5, { draft: 5 }, { draft: { title: 5 }, phrases: [] }, { draft: { tags: 'a' }, phrases: {} }]],
    [briefFieldsSchema, [null, { title: 5 }, { tags: [5] }]],
  ] as const) {
    for (const value of values)
      for (const { message } of schema.safeParse(value).error!.issues)
        expect(message).not.toMatch(/Invalid|expected|received/u)
  }
})
