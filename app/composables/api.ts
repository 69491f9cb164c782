import { ref } from 'vue'
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

interface ApiOptions {
  method?: string
  query?: Record<string, string | number | null | undefined>
  body?: unknown
  file?: Blob
  signal?: AbortSignal
  keepalive?: boolean
  accept?: string
}

/** The path with its query; absent and empty parameters are left out. */
export function apiPath(path: string, query: ApiOptions['query'] = {}): string {
  const search = new URLSearchParams()
  for (const [name, value] of Object.entries(query))
    if (value !== null && value !== undefined && value !== '') search.set(name, String(value))
  const text = search.toString()
  return text ? `${path}?${text}` : path
}

/** Asks the server and gives the raw answer. @throws ApiProblem; with status 0 when the server cannot be reached. */
export async function apiResponse(
  path: string,
  { method = 'GET', query, body, file, signal, keepalive, accept }: ApiOptions = {},
): Promise<Response> {
  let response: Response
  try {
    response = await fetch(apiPath(path, query), {
      method,
      signal,
      keepalive,
      headers: {
        [WINDOW_HEADER]: WINDOW,
        ...(accept ? { Accept: accept } : {}),
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
  const told = (await response.json().catch(() => null)) as {
    error?: { code: string; message: string; details: unknown }
  } | null
  if (told?.error?.code.startsWith('data-')) dataProblem.value = told.error.message
  if (told?.error?.code === 'key-needed') keyNeeded.value = true
  throw new ApiProblem(
    response.status,
    told?.error?.code ?? 'unknown',
    told?.error?.message ?? `The server answered ${response.status}.`,
    told?.error?.details ?? null,
  )
}

/** Asks the server and reads the JSON it answers. */
export async function api<Answer>(path: string, options?: ApiOptions): Promise<Answer> {
  return (await (await apiResponse(path, options)).json()) as Answer
}

/** The lines of a streamed answer (NDJSON) as they come. */
export async function* apiLines<Line>(path: string, options: ApiOptions): AsyncGenerator<Line> {
  yield* readLines<Line>(await apiResponse(path, options))
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
  const told = (first as { message?: unknown } | null)?.message
  if (typeof told === 'string' && told.endsWith('.')) return told
  return error instanceof Error ? error.message : String(error)
}
