import { ref } from 'vue'
import type { AnswerOf, BodyOf, CallName, QueryOf } from '../../shared/api'
import { WINDOW_HEADER } from '../../shared/changes'
import { WINDOW } from './window'

/** The region that is no region. */
export const EVERY_REGION = 'everywhere'

/** Why the server cannot open its data; `null` while it can. */
export const dataProblem = ref<string | null>(null)

/** Whether nobody is signed in where a key is needed. */
export const keyNeeded = ref(false)

/** An answer of the server that is no success, with its message for the person. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly details: unknown,
  ) {
    super(message)
    this.name = 'ApiProblem'
  }
}

/** The parameters of a call's path: `id` of `GET /api/lists/:id`. */
type ParamsOf<Name extends string> = Name extends `${string}/:${infer Param}/${infer Rest}`
  ? Record<Param, string> & ParamsOf<`/${Rest}`>
  : Name extends `${string}/:${infer Param}`
    ? Record<Param, string>
    : unknown

/** What a call is sent with. Its method and path are in its name, its types in `shared/api`. */
export type ApiOptions<Name extends CallName> = (unknown extends ParamsOf<Name>
  ? { params?: undefined }
  : { params: ParamsOf<Name> }) &
  (undefined extends BodyOf<Name> ? { body?: undefined } : { body: BodyOf<Name> }) & {
    query?: QueryOf<Name>
    /** The body where it is a file. */
    file?: Blob
    signal?: AbortSignal
    keepalive?: boolean
    /** The key under which a repeat of the call is answered as before. */
    once?: string
    accept?: string
  }
/** Options may be left out where nothing must be sent. */
type Given<Name extends CallName> =
  object extends ApiOptions<Name> ? [options?: ApiOptions<Name>] : [options: ApiOptions<Name>]

/** The path of a call with its query; absent and empty parameters are left out. */
export function apiPath<Name extends CallName>(name: Name, ...[options]: Given<Name>): string {
  const { params, query } = (options ?? {}) as { params?: Record<string, string>; query?: Record<string, unknown> }
  const path = name
    .slice(name.indexOf(' ') + 1)
    .replace(/:(\w+)/gu, (_, param: string) => encodeURIComponent(params![param]!))
  const search = new URLSearchParams()
  for (const [parameter, value] of Object.entries(query ?? {}))
    if (typeof value === 'number' || (typeof value === 'string' && value !== '')) search.set(parameter, String(value))
  const text = search.toString()
  return text ? `${path}?${text}` : path
}

/** Asks the server and gives the raw answer. @throws ApiProblem; with status 0 when the server cannot be reached. */
export async function apiResponse<Name extends CallName>(name: Name, ...given: Given<Name>): Promise<Response> {
  const { body, file, signal, keepalive, accept, once } = given[0] ?? ({} as ApiOptions<Name>)
  let response: Response
  try {
    response = await fetch(apiPath(name, ...given), {
      method: name.slice(0, name.indexOf(' ')),
      signal,
      keepalive,
      headers: {
        [WINDOW_HEADER]: WINDOW,
        ...(accept ? { Accept: accept } : {}),
        ...(once ? { 'Idempotency-Key': once } : {}),
        ...(body === undefined ? {} : { 'Content-Type': 'application/json' }),
      },
      ...(file ? { body: file } : body === undefined ? {} : { body: JSON.stringify(body) }),
    })
  } catch (error) {
    if (signal?.aborted) throw error
    throw new ApiProblem(
      0,
      'unreachable',
      'Cannot reach the Fonetra server. Your text is kept here and saved when the connection is back.',
      null,
    )
  }
  if (response.ok) return response
  const answer = (await response.json().catch(() => null)) as {
    error?: { code: string; message: string; details: unknown }
  } | null
  if (answer?.error?.code.startsWith('data-')) dataProblem.value = answer.error.message
  if (answer?.error?.code === 'key-needed') keyNeeded.value = true
  throw new ApiProblem(
    response.status,
    answer?.error?.code ?? 'unknown',
    answer?.error?.message ?? `The server answered ${response.status}.`,
    answer?.error?.details ?? null,
  )
}

/** Asks the server and reads the JSON it answers. */
export async function api<Name extends CallName>(name: Name, ...given: Given<Name>): Promise<AnswerOf<Name>> {
  return (await (await apiResponse(name, ...given)).json()) as AnswerOf<Name>
}

/** The lines of an answer that is being streamed. */
export async function* readLines<Line>(response: Response): AsyncGenerator<Line> {
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read()
    if (done) break
    const lines = (rest + value).split('\n')
    rest = lines.pop()!
    for (const line of lines) if (line) yield JSON.parse(line) as Line
  }
}

/**
 * The message of anything thrown. A sentence that says what to do speaks for itself; only what the schema says by
 * itself needs the name of its field before it.
 */
export function messageOf(error: unknown): string {
  const first: unknown =
    error instanceof ApiProblem && error.code === 'bad-input' && Array.isArray(error.details) ? error.details[0] : null
  const answer = (first as { message?: unknown } | null)?.message
  if (typeof answer === 'string' && answer.endsWith('.')) return answer
  return error instanceof Error ? error.message : String(error)
}
