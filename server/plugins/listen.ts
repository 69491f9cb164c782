import { defineNitroPlugin } from 'nitropack/runtime'
import { hasOwnerKey } from '../data/accessKeys'
import { networkOf } from '../access/network'
import { places } from '../folders'

/**
 * Whoever reaches the server reads and changes everything: it listens on this machine alone, however it is started,
 * unless it was told otherwise and whoever comes needs a key.
 */
export default defineNitroPlugin(() => {
  try {
    const { listen, shared, origin } = networkOf(process.env)
    if (shared && !hasOwnerKey(places().file))
      throw new Error(
        'Fonetra would be reachable from other computers, but there is no access key yet. Create one for the owner first, with the same --data: npm run key -- --owner NAME. Then start again.',
      )
    process.env.NITRO_HOST = listen
    if (shared)
      console.log(
        `Fonetra asks everybody for a key${origin ? ` at ${origin.origin}` : `. It listens on ${listen}, and what is sent can be read on the way: put a proxy with TLS before it (docs/network.md)`}.`,
      )
  } catch (error) {
    console.error((error as Error).message)
    process.exit(1)
  }
})
