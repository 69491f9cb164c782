import { join, resolve } from 'node:path'

/** Where things are: FONETRA_HOME the project, FONETRA_DATA the user's folder. */
export function places() {
  const home = process.env.FONETRA_HOME ?? process.cwd()
  const data = resolve(home, process.env.FONETRA_DATA ?? 'data')
  return {
    data,
    file: join(data, 'fonetra.sqlite'),
    world: join(data, 'world.sqlite'),
    migrations: join(home, 'server/data/migrations'),
    workers: join(home, '.output/workers'),
  }
}

/** The port this program listens on; `null` when none was given. */
export const ownPort = () => Number(process.env.NITRO_PORT ?? process.env.PORT ?? 0) || null
