import { appendResponseHeader, defineEventHandler, setResponseHeader, setResponseStatus, type H3Event } from 'h3'
import { isOwnHost, network, type Network } from '../access/network'
import type { ProblemBody } from './problem'
import { inDigits } from '../../core/text/inWords'

const hostOf = (address: string) => {
  try {
    return new URL(address).host
  } catch {
    return null
  }
}

const HERE: Network = { listen: '127.0.0.1', origin: null, shared: false }

/**
 * Why a request is no business of ours; `null` for one of our own pages', or of a program that names one of our
 * addresses.
 */
export function strangerIn(
  path: string,
  headers: { 'host'?: string; 'origin'?: string; 'referer'?: string; 'sec-fetch-site'?: string | string[] },
  network: Network = HERE,
): string | null {
  const { host = '', origin, referer } = headers
  if (!isOwnHost(host, network))
    return network.shared
      ? 'Fonetra cannot be opened under this address. The person running it can set FONETRA_ORIGIN.'
      : 'Fonetra only answers requests from this computer.'
  // What another page asks for would be stored, and may cost calls to a live service, even where it cannot read the
  // answer.
  const site = headers['sec-fetch-site']
  const foreign =
    (origin !== undefined && hostOf(origin) !== host) ||
    (path.startsWith('/api/') &&
      ((site !== undefined && site !== 'same-origin' && site !== 'none') ||
        (site === undefined && referer !== undefined && hostOf(referer) !== host)))
  return foreign ? 'Requests from other websites are blocked. Open Fonetra directly.' : null
}

/** No address that a screen makes is this long. */
const LONGEST_ADDRESS = 16_000

/** Stands before everything, files included. */
export const guard = defineEventHandler((event: H3Event): ProblemBody | undefined => {
  setResponseHeader(event, 'X-Content-Type-Options', 'nosniff')
  setResponseHeader(event, 'Referrer-Policy', 'no-referrer')
  setResponseHeader(event, 'X-Frame-Options', 'DENY')
  if (event.path.length > LONGEST_ADDRESS) {
    setResponseStatus(event, 414)
    return {
      error: {
        code: 'too-long',
        message: `The address is longer than ${inDigits(LONGEST_ADDRESS)} characters. Send long input in the body.`,
        details: null,
      },
    }
  }
  const message = strangerIn(event.path, event.node.req.headers, network())
  if (message === null) return undefined
  setResponseStatus(event, 403)
  appendResponseHeader(event, 'Cache-Control', 'no-store')
  return { error: { code: 'not-local', message, details: null } }
})
