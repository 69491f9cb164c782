import {
  defineEventHandler,
  getQuery,
  getRequestHeader,
  getRouterParam,
  setResponseHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import type { ZodType } from 'zod'
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

/** A route: what it answers is sent as JSON, what it throws becomes the API's error shape. */
export const route = <Answer>(handle: (event: H3Event, runtime: Runtime) => Answer | Promise<Answer>) =>
  closedRoute(event => handle(event, useRuntime()))

/** The window that asks, as it names itself. */
const windowOf = (event: H3Event) => getRequestHeader(event, WINDOW_HEADER)?.slice(0, 60) ?? null

/** A route that also answers while the data cannot be opened. */
export function closedRoute<Answer>(handle: (event: H3Event) => Answer | Promise<Answer>) {
  return defineEventHandler(async event => {
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
}

/**
 * The query, parsed. A repeated parameter counts once, the first, unless it is one of those `listed`: its values come
 * as lines.
 */
export function queryOf<Output>(event: H3Event, schema: ZodType<Output>, listed: readonly string[] = []): Output {
  const query = Object.fromEntries(
    Object.entries(getQuery(event)).map(([name, value]) => [
      name,
      Array.isArray(value) ? (listed.includes(name) ? value.join('\n') : value[0]) : value,
    ]),
  )
  return schema.parse(Object.fromEntries(Object.entries(query).filter(([, value]) => value !== '')))
}

/** The JSON body, parsed. @throws Problem when it is too long or no JSON, ZodError when it does not fit. */
export async function bodyOf<Output>(event: H3Event, schema: ZodType<Output>): Promise<Output> {
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
