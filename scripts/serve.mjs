// How the server process is started, by the launcher, the tests and the benchmarks alike.

/**
 * Large arrays go back to the system as soon as they are free, and the young generation stays small:
 * an import of a million rows takes some 150 MB less, in the same time. Node.js breaks off what has longer headers
 * than it takes, and the answer may not arrive: addresses too long are refused by the server itself.
 */
export const LEAN = {
  env: { MALLOC_MMAP_THRESHOLD_: '2097152', MALLOC_TRIM_THRESHOLD_: '2097152', MALLOC_ARENA_MAX: '2' },
  args: ['--max-semi-space-size=4', '--max-http-header-size=131072'],
}

/** The address it listens on, and one of this machine at which it answers. */
const listen = process.env.FONETRA_LISTEN || '127.0.0.1'
export const answers = /^(0\.0\.0\.0|::)$/u.test(listen) ? '127.0.0.1' : listen.includes(':') ? `[${listen}]` : listen

/** Arguments and environment of a server for a data folder on a port of this machine. */
export function server(home, data, port) {
  return {
    args: [...LEAN.args, `${home}/.output/server/index.mjs`],
    env: {
      ...process.env,
      ...LEAN.env,
      NODE_ENV: 'production',
      HOST: listen,
      NITRO_HOST: listen,
      PORT: String(port),
      NITRO_PORT: String(port),
      FONETRA_HOME: home,
      FONETRA_DATA: data,
    },
  }
}
