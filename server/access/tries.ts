import { getRequestIP, setResponseHeader, type H3Event } from 'h3'
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible'
import { Problem } from '../http/problem'
import { network } from './network'

/** Wrong keys from one address in a quarter of an hour, and from all addresses in a minute. */
const fromOne = new RateLimiterMemory({ points: 10, duration: 900 })
const fromAll = new RateLimiterMemory({ points: 120, duration: 60 })
/** Checks at a time: each takes a core for some fifty milliseconds, on purpose. */
const AT_ONCE = 2
let checking = 0

/** Behind a proxy of ours the address is the one it saw. */
const addressOf = (event: H3Event) => getRequestIP(event, { xForwardedFor: network().origin !== null }) ?? 'unknown'

const tooMany = (event: H3Event, ms: number): Problem => {
  const seconds = Math.max(1, Math.ceil(ms / 1000))
  setResponseHeader(event, 'Retry-After', seconds)
  return new Problem(
    429,
    'too-many-tries',
    `Too many wrong keys. Try again in ${seconds < 90 ? `${seconds} seconds` : `${Math.ceil(seconds / 60)} minutes`}.`,
  )
}

/**
 * Checks a key, unless too many wrong ones came before.
 * @throws Problem 429 then, with Retry-After.
 */
export async function tries<Found>(event: H3Event, check: () => Promise<Found | null>): Promise<Found | null> {
  const address = addressOf(event)
  for (const [limit, key] of [
    [fromOne, address],
    [fromAll, 'all'],
  ] as const) {
    const spent = await limit.get(key)
    if (spent && spent.remainingPoints <= 0) throw tooMany(event, spent.msBeforeNext)
  }
  if (checking >= AT_ONCE) throw tooMany(event, 1000)
  checking++
  try {
    const found = await check()
    if (found === null)
      await Promise.all([fromOne.consume(address), fromAll.consume('all')]).catch((error: unknown) => {
        if (!(error instanceof RateLimiterRes)) throw error
      })
    return found
  } finally {
    checking--
  }
}
