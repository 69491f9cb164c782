import type { z, ZodType } from 'zod'
import { briefCalls } from './briefs'
import type { Call } from './call'
import { fileCalls } from './files'
import { libraryCalls } from './library'
import { phraseCalls } from './phrases'
import { programCalls } from './program'
import { rankCalls } from './ranks'
import { releaseCalls } from './release'
import { rivalCalls } from './rivals'
import { spokenCalls } from './spoken'
import { textCalls } from './texts'

/**
 * Every call of the HTTP API, by method and path. Routes parse their input by it and must answer what it declares; the
 * client and the tests take their types from it; `docs/api.md` names each.
 */
export const calls = {
  ...programCalls,
  ...fileCalls,
  ...phraseCalls,
  ...rivalCalls,
  ...libraryCalls,
  ...briefCalls,
  ...releaseCalls,
  ...rankCalls,
  ...textCalls,
  ...spokenCalls,
}

export type CallName = keyof typeof calls

type Part<Name extends CallName, Of extends keyof Call> = NonNullable<(typeof calls)[Name][Of]>
type Given<Schema> = Schema extends ZodType ? z.output<Schema> : undefined
type Sent<Schema> = Schema extends ZodType ? z.input<Schema> : undefined

/** What a call answers. */
export type AnswerOf<Name extends CallName> = Part<Name, 'answer'>
/** What the route of a call is given, parsed. */
export interface GivenTo<Name extends CallName> {
  query: Given<Part<Name, 'query'>>
  body: Given<Part<Name, 'body'>>
}
/** What is sent in the body of a call. */
export type BodyOf<Name extends CallName> = Sent<Part<Name, 'body'>>
/** What is sent in the query of a call: everything becomes text, absent and empty is left out. */
export type QueryOf<Name extends CallName> = {
  [Parameter in keyof Sent<Part<Name, 'query'>>]?: string | number | null
}
