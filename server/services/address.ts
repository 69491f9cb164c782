import { isIP } from 'node:net'

/** Addresses within a machine's own link, where cloud machines tell their secrets. */
const LINK_LOCAL = /^(?:169\.254\.|0\.|\[?fe[89ab][0-9a-f]:|\[?fd00:ec2:|\[?::ffff:(?:a9fe|169\.254))/iu

/**
 * Why an address cannot be that of a live service; `null` when it can.
 * @param own the port this program itself answers on.
 */
export function addressFault(given: string, own: number | null): string | null {
  let url: URL
  try {
    url = new URL(given)
  } catch {
    return 'Give an address such as https://demand.example/api.'
  }
  if (url.protocol !== 'http:' && url.protocol !== 'https:')
    return 'Give an address that begins with http:// or https://.'
  if (url.username || url.password)
    return 'Leave user name and password out of the address; there is a separate field for the key.'
  if (url.search || url.hash) return 'Remove ? or # and everything after it from the address.'
  const host = url.hostname.toLowerCase()
  if (LINK_LOCAL.test(host) || host === '0' || host.endsWith('.internal'))
    return 'This address belongs to the local network, not to a service. Enter another one.'
  const local =
    host === 'localhost' ||
    host.endsWith('.localhost') ||
    host === '[::1]' ||
    (isIP(host) === 4 && host.startsWith('127.'))
  const port = Number(url.port || (url.protocol === 'https:' ? 443 : 80))
  if (local && own !== null && port === own) return 'This is Fonetra’s own address. Enter the address of the service.'
  return null
}
