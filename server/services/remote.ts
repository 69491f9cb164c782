import { trimSigns } from '../../core/text/trim'
import { serviceError, type Services } from './contract'
import { CALLS, SERVICE_NAMES, type ServiceName } from './wire'

export interface RemoteOptions {
  /** Where the services answer, such as https://demand.example/api. */
  address: string
  /** Sent as a bearer token, and to nobody else. */
  key: string | null
  timeOutMs?: number
}

/** An answer larger than this is not read to its end. */
const MAX_BYTES = 32 * 1024 * 1024

/** What went wrong, for the person: without the key, and without what the service wrote. */
function faultOf(status: number, offered: boolean): Error {
  if (status === 429) return serviceError('ServiceRefused', 'Too many requests to the service. Trying again shortly.')
  if (status === 401 || status === 403)
    return serviceError('ServiceFailed', 'The service does not accept the key. Check it in the Library, under Sources.')
  if (!offered) return serviceError('ServiceFailed', 'The service does not offer this.')
  if (status === 404)
    return serviceError('ServiceFailed', 'No such service at this address. Check it in the Library, under Sources.')
  return serviceError('ServiceFailed', `The service answered with status ${status}.`)
}

/** Whether the service says that it lacks a call, rather than that nothing is at its address. */
async function isNotOffered(response: Response): Promise<boolean> {
  if (response.status !== 404) return false
  try {
    const told = JSON.parse(await readBounded(response)) as { error?: { code?: unknown } } | null
    return told?.error?.code === 'no-such-call'
  } catch {
    // Not in the form of the contract: something else answers there.
    return false
  }
}

async function readBounded(response: Response): Promise<string> {
  const length = Number(response.headers.get('content-length') ?? 0)
  if (length > MAX_BYTES) throw serviceError('ServiceFailed', 'The answer of the service is too large.')
  const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
  let text = ''
  while (reader) {
    const { done, value } = await reader.read()
    if (done) break
    text += value
    if (text.length > MAX_BYTES) {
      await reader.cancel()
      throw serviceError('ServiceFailed', 'The answer of the service is too large.')
    }
  }
  return text
}

/** Services that speak the contract of docs/services.md over HTTP. Every answer is checked against the contract. */
export function remoteServices({ address, key, timeOutMs = 12_000 }: RemoteOptions): Services {
  const base = trimSigns(address, /\//u, 'end')
  const ask = async (service: ServiceName, method: string, values: unknown[]): Promise<unknown> => {
    const { args, output } = (CALLS[service] as Record<string, (typeof CALLS)['site']['search']>)[method]!
    let response: Response
    try {
      response = await fetch(`${base}/v1/${service}/${method}`, {
        method: 'POST',
        signal: AbortSignal.timeout(timeOutMs),
        redirect: 'error',
        headers: {
          'Content-Type': 'application/json',
          'Accept': 'application/json',
          ...(key ? { Authorization: `Bearer ${key}` } : {}),
        },
        body: JSON.stringify(Object.fromEntries(args.map((name, i) => [name, values[i] ?? null]))),
      })
    } catch (error) {
      if ((error as Error).name === 'TimeoutError') {
        const late = new Error('The service did not answer in time.')
        late.name = 'ServiceLate'
        throw late
      }
      throw serviceError('ServiceFailed', 'The service cannot be reached.')
    }
    if (!response.ok) throw faultOf(response.status, !(await isNotOffered(response)))
    let received: unknown
    try {
      received = JSON.parse(await readBounded(response))
    } catch (error) {
      throw error instanceof Error && error.name.startsWith('Service')
        ? error
        : serviceError('ServiceFailed', 'The answer of the service cannot be read.')
    }
    const checked = output.safeParse(received)
    if (!checked.success) {
      const issue = checked.error.issues[0]!
      throw serviceError(
        'ServiceFailed',
        `The answer of the service has an unexpected format (${issue.path.join('.') || 'the whole answer'}).`,
      )
    }
    return checked.data
  }
  return Object.fromEntries(
    SERVICE_NAMES.map(service => [
      service,
      Object.fromEntries(
        Object.keys(CALLS[service]).map(method => [method, (...values: unknown[]) => ask(service, method, values)]),
      ),
    ]),
  ) as unknown as Services
}
