import { isIP } from 'node:net'
import { defineNitroPlugin } from 'nitropack/runtime'

const isOwn = (host: string) => host === 'localhost' || host === '::1' || isIP(host) === 4 && host.startsWith('127.')

/** Whoever can reach the server can read and change everything: it listens on this machine alone, however it is started. */
export default defineNitroPlugin(() => {
  const host = process.env.NITRO_HOST ?? process.env.HOST
  if (host === undefined || host === '') process.env.NITRO_HOST = '127.0.0.1'
  else if (!isOwn(host)) {
    console.error(`Fonetra listens on this machine alone, not on ${host}. Start it with HOST=127.0.0.1, or by npm start.`)
    process.exit(1)
  }
})
