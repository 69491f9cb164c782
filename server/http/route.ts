import {
  defineEventHandler,
  getQuery,
  getRequestHeader,
  getRouterParam,
  setResponseHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import type { Readable } from 'node:stream'
import type { ZodType } from 'zod'
import { calls, type AnswerOf, type CallName, type GivenTo } from '../../shared/api'
import type { Call } from '../../shared/api/call'
import { WINDOW_HEADER } from '../../shared/changes'
import { admit } from '../access/admit'
import { changes, kindWritten } from '../changes'
import { useRuntime, type Runtime } from '../runtime'
import { readText } from './body'
import { nesting, wellFormed } from './json'
import { Problem, problemOf } from './problem'

/** Bodies of JSON larger than this are refused; files come by the import route, which streams. */
const MAX_BODY = 4 * 1024 * 1024

/** Nothing that is taken is nested deeper. */
const DEEPEST = 40
/** An escape that may be half a character. */
const ESCAPED_SURROGATE = /\\ud[89a-f]/iu

/** What is sent as it is: a text, a stream, nothing where an event stream was begun. Anything else is sent as JSON. */
type Raw = string | Readable | ReadableStream | void
type Answered<Name extends CallName> = AnswerOf<Name> | Raw

/**
 * A route of a declared call: its input is parsed as declared, what it answers is sent as JSON, what it throws becomes
 * the API's error shape.
 */
export const route = <Name extends CallName>(
  name: Name,
  handle: (event: H3Event, runtime: Runtime, given: GivenTo<Name>) => Answered<Name> | Promise<Answered<Name>>,
) => closedRoute(name, (event, given) => handle(event, useRuntime(), given))

/** A route that also answers while the data cannot be opened. */
export const closedRoute = <Name extends CallName>(
  name: Name,
  handle: (event: H3Event, given: GivenTo<Name>) => Answered<Name> | Promise<Answered<Name>>,
) => {
  const { query, repeated, body } = calls[name] as Call
  return answering(async event => {
    const given = {
      query: query && queryOf(event, query, repeated),
      body: body && (await bodyOf(event, body)),
    }
    return handle(event, given as GivenTo<Name>)
  })
}

/** The window that asks, as it names itself. */
const windowOf = (event: H3Event) => getRequestHeader(event, WINDOW_HEADER)?.slice(0, 60) ?? null

/** Answers those who may ask, tells other windows what was written, and gives every error the API's shape. */
export const answering = (handle: (event: H3Event) => unknown) =>
  defineEventHandler(async event => {
    setResponseHeader(event, 'Cache-Control', 'no-store')
    try {
      const path = (event.context.matchedRoute as { path: string } | undefined)?.path ?? event.path
      await admit(event, path, () => useRuntime().access)
      return await changes.on(windowOf(event), async () => {
        const answer = await handle(event)
        const kind = kindWritten(event.method, path)
        if (kind) changes.changed(kind, getRouterParam(event, 'id') ?? null)
        return answer
      })
    } catch (error) {
      const { status, body } = problemOf(error)
      if (status === 500) console.error(error)
      setResponseStatus(event, status)
      return body
    }
  })

/**
 * The query, parsed. A repeated parameter counts once, the first, unless it is one of those `repeated`: its
 * values come as lines.
 */
function queryOf<Output>(event: H3Event, schema: ZodType<Output>, repeated: readonly string[] = []): Output {
  const query = Object.fromEntries(
    Object.entries(getQuery(event)).map(([name, value]) => [
      name,
      Array.isArray(value) ? (repeated.includes(name) ? value.join('\n') : value[0]) : value,
    ]),
  )
  return schema.parse(Object.fromEntries(Object.entries(query).filter(([, value]) => value !== '')))
}

/** The JSON body, parsed. @throws Problem when it is too long or no JSON, ZodError when it does not fit. */
async function bodyOf<Output>(event: H3Event, schema: ZodType<Output>): Promise<Output> {
  const raw = await readText(event, MAX_BODY)
  if (nesting(raw) > DEEPEST)
    throw new Problem(400, 'too-deep', `The body is nested deeper than ${DEEPEST} levels. Simplify it.`)
  let value: unknown
  try {
    value = JSON.parse(raw || 'null')
  } catch (error) {
    throw new Problem(400, 'no-json', `The body is not JSON: ${(error as Error).message}`)
  }
  if (ESCAPED_SURROGATE.test(raw) && !wellFormed(value))
    throw new Problem(
      400,
      'half-character',
      'A text in the body contains half a character (a lone surrogate). Send whole characters.',
    )
  return schema.parse(value)
}

/** A parameter of the path. */
export const paramOf = (event: H3Event, name: string) => getRouterParam(event, name, { decode: true }) ?? ''
