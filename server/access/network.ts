import { isIP } from 'node:net'

/** How far Fonetra can be reached, as its environment says. */
export interface Network {
  /** The address it listens on. */
  listen: string
  /** The address people open it by, where a proxy stands before it: `https://name`; `null` for none. */
  origin: URL | null
  /** Whether others than who sits at this machine can reach it, so that everybody needs a key. */
  shared: boolean
}

const OWN_HOST = /^(127\.0\.0\.1|localhost|\[::1\])(:\d+)?$/u
const isOwn = (address: string) =>
  address === 'localhost' || address === '::1' || (isIP(address) === 4 && address.startsWith('127.'))

/**
 * FONETRA_LISTEN is an address to listen on, FONETRA_ORIGIN what people open behind a proxy. HOST and NITRO_HOST, which
 * other programs set, open nothing.
 * @throws Error with a message for the person when one of them cannot be used.
 */
export function networkOf({
  FONETRA_LISTEN,
  FONETRA_ORIGIN,
  NITRO_HOST,
  HOST,
}: Record<string, string | undefined>): Network {
  const listen = FONETRA_LISTEN || '127.0.0.1'
  if (listen !== 'localhost' && !isIP(listen))
    throw new Error(
      `FONETRA_LISTEN is “${listen}”, which is no address. Give an address of this machine, as 192.168.0.10, or 0.0.0.0 for all of them.`,
    )
  const other = [NITRO_HOST, HOST].find(host => host && !isOwn(host) && host !== listen)
  if (other && !FONETRA_LISTEN)
    throw new Error(
      `Fonetra listens on this machine alone, not on ${other}. To open it to others set FONETRA_LISTEN; docs/network.md says how.`,
    )
  let origin: URL | null = null
  if (FONETRA_ORIGIN) {
    origin = URL.canParse(FONETRA_ORIGIN) ? new URL(FONETRA_ORIGIN) : null
    if (
      !origin ||
      !/^https?:$/u.test(origin.protocol) ||
      origin.pathname !== '/' ||
      origin.search ||
      origin.hash ||
      origin.username
    )
      throw new Error(`FONETRA_ORIGIN is “${FONETRA_ORIGIN}”. Give what people open, as https://fonetra.example.`)
  }
  return { listen, origin, shared: !isOwn(listen) || origin !== null }
}

let read: Network | undefined
/** How far this program can be reached. */
export const network = (): Network => (read ??= networkOf(process.env))

/** Whether a request names one of our own addresses: another name that leads here is another site's doing. */
export function isOwnHost(host: string, { origin, shared }: Network): boolean {
  if (OWN_HOST.test(host) || host === origin?.host) return true
  // Only names can be made to lead elsewhere; who asks for a bare address means it.
  return shared && isIP(host.replace(/:\d+$/u, '').replace(/^\[|\]$/gu, '')) !== 0
}
