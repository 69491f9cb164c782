import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { server as serverOf } from '../../scripts/serve.mjs'

/** The project: tests and benchmarks are started from there. */
export const HOME = process.cwd()
export const DEMO = join(HOME, '.cache/e2e/demo')

const freePort = () =>
  new Promise<number>(tell => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => {
        tell(port)
      })
    })
  })

export interface RunningApp {
  url: string
  /** The folder of its data. */
  data: string
  process: ChildProcess
  /** What it has written to its error output. */
  errors: () => string
  /** Ends the process at once, as a crash would. */
  kill: () => Promise<void>
  close: () => Promise<void>
}

export interface StartOptions {
  /** Demo data, or the made-up world alone with empty user data. */
  from?: 'demo' | 'empty'
  /** The folder of an app that ran before, to start on its data again. */
  data?: string
  port?: number
  env?: Record<string, string>
  /** Whether the data is expected not to open: then what the health says of it is enough. */
  closed?: boolean
}

/** Starts the built app on data of its own. */
export async function startApp({
  from = 'demo',
  data,
  port,
  env = {},
  closed = false,
}: StartOptions = {}): Promise<RunningApp> {
  const folder = data ?? mkdtempSync(join(tmpdir(), 'fonetra-e2e-'))
  if (!data)
    for (const name of ['world.sqlite', ...(from === 'demo' ? ['fonetra.sqlite'] : [])])
      cpSync(join(DEMO, name), join(folder, name))
  const at = port ?? (await freePort())
  const { args, env: serverEnv } = serverOf(HOME, folder, at)
  const server = spawn(process.execPath, args, {
    cwd: HOME,
    stdio: ['ignore', 'ignore', 'pipe'],
    env: { ...serverEnv, FONETRA_STANDIN_CONTROL: '1', ...env },
  })
  let told = ''
  server.stderr.on('data', (chunk: Buffer) => {
    told += chunk.toString()
  })
  const ended = new Promise<void>(tell => {
    server.once('exit', () => {
      tell()
    })
  })
  const url = `http://127.0.0.1:${at}`
  for (let tries = 0; ; tries++) {
    if (
      await fetch(`${url}/api/health`).then(
        async answer => answer.ok || (closed && (await answer.text()).includes('data-')),
        () => false,
      )
    )
      break
    if (tries > 300 || server.exitCode !== null) throw new Error(`The app did not start: ${told}`)
    await new Promise(wake => setTimeout(wake, 50))
  }
  const end = async (signal: NodeJS.Signals) => {
    server.kill(signal)
    await ended
  }
  return {
    url,
    data: folder,
    process: server,
    errors: () => told,
    kill: () => end('SIGKILL'),
    close: async () => {
      if (server.exitCode === null && server.signalCode === null) await end('SIGTERM')
      if (!data && existsSync(folder)) rmSync(folder, { recursive: true, force: true })
    },
  }
}

// What a test expects of an answer it states itself: a type here would only repeat it.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
function jsonOf(text: string): any {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** Asks the API of an app and gives status and body. */
export async function call(
  app: RunningApp,
  path: string,
  options: { method?: string; body?: unknown; raw?: string | Buffer; headers?: Record<string, string> } = {},
) {
  const { method = 'GET', body, raw, headers } = options
  const answer = await fetch(app.url + path, {
    method,
    headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
    ...(raw === undefined ? (body === undefined ? {} : { body: JSON.stringify(body) }) : { body: raw as BodyInit }),
  })
  const text = await answer.text()
  return { status: answer.status, headers: answer.headers, text, json: jsonOf(text) }
}
