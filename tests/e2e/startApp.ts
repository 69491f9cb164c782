import { spawn, type ChildProcess } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { AnswerOf, CallName } from '../../shared/api'
import { demoFolder } from '../../scripts/demoData.mjs'
import { server as serverOf } from '../../scripts/serve.mjs'

/** The project: tests and benchmarks are started from there. */
export const HOME = process.cwd()
export const DEMO = demoFolder(HOME)

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

/** The declared call that a method and a path with its query belong to; `never` for what is none. */
type CallOf<Method extends string, Path extends string> = {
  [Name in CallName]: Name extends `${Method} ${infer Pattern}`
    ? Fits<Pattern, WithoutQuery<Path>> extends true
      ? Name
      : never
    : never
}[CallName]
type WithoutQuery<Path> = Path extends `${infer Before}?${string}` ? Before : Path
type Fits<Pattern, Path> = Pattern extends `${infer Part}/${infer Rest}`
  ? Path extends `${infer Given}/${infer More}`
    ? Fits<Part, Given> extends true
      ? Fits<Rest, More>
      : false
    : false
  : Pattern extends `:${string}`
    ? Path extends `${string}/${string}`
      ? false
      : true
    : Path extends Pattern
      ? true
      : false

/** What a call answers, or the error it fails with: a test knows which of them it expects. */
type Json<Method extends string, Path extends string> = [CallOf<Method, Path>] extends [never]
  ? // What is none of the declared calls a test states itself.
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
    any
  : AnswerOf<CallOf<Method, Path>> extends string
    ? unknown
    : AnswerOf<CallOf<Method, Path>> & { error: { code: string; message: string; details: unknown } }

function jsonOf(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

/** Asks the API of an app and gives status and body. */
export async function call<const Path extends string, const Method extends string = 'GET'>(
  app: RunningApp,
  path: Path,
  options: { method?: Method; body?: unknown; raw?: string | Buffer; headers?: Record<string, string> } = {},
) {
  const { method = 'GET', body, raw, headers } = options
  const answer = await fetch(app.url + path, {
    method,
    headers: { ...(body === undefined ? {} : { 'Content-Type': 'application/json' }), ...headers },
    ...(raw === undefined ? (body === undefined ? {} : { body: JSON.stringify(body) }) : { body: raw as BodyInit }),
  })
  const text = await answer.text()
  return { status: answer.status, headers: answer.headers, text, json: jsonOf(text) as Json<Method, Path> }
}
