// npm run demo, npm start: install, build, make data, serve.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync } from 'node:fs'
import { createServer } from 'node:net'
import { join, resolve } from 'node:path'
import { createInterface } from 'node:readline/promises'
import { parseArgs } from 'node:util'
import { HOME, build, install, run, stop } from './prepare.mjs'
import { answers, server as serverOf } from './serve.mjs'

const USAGE = `Usage: npm run demo -- [--port N] [--data DIR] [--fresh [--yes]]
       npm start -- [--port N] [--data DIR]
  --port N    listen on 127.0.0.1:N (4310); FONETRA_LISTEN opens it to others, see docs/network.md
  --data DIR  keep the data in DIR (data)
  --fresh     make the demo data anew, after asking; --yes does not ask`

const command = process.argv[2] === 'start' ? 'start' : 'demo'
let options
try {
  options = parseArgs({
    args: process.argv.slice(3),
    options: {
      port: { type: 'string', default: '4310' },
      data: { type: 'string', default: 'data' },
      fresh: { type: 'boolean' },
      yes: { type: 'boolean' },
      help: { type: 'boolean' },
    },
  }).values
} catch (error) {
  stop(`${error.message}\n${USAGE}`)
}
if (options.help) {
  console.log(USAGE)
  process.exit(0)
}
const port = Number(options.port)
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stop(`“${options.port}” is not a port. Use a number from 1 to 65535.`)
const data = resolve(HOME, options.data)

const free = await new Promise(tell => {
  const probe = createServer()
    .once('error', () => tell(false))
    .once('listening', () => probe.close(() => tell(true)))
    .listen(port, answers.replace(/[[\]]/gu, ''))
})
if (!free)
  stop(
    `Port ${port} is in use, perhaps by a Fonetra that is running already: http://${answers}:${port}. Close it, or give another with --port.`,
  )

await install()
build()
mkdirSync(data, { recursive: true })

if (options.fresh && command === 'demo') {
  const files = ['fonetra.sqlite', 'world.sqlite']
    .flatMap(name => ['', '-wal', '-shm'].map(ending => join(data, name + ending)))
    .filter(file => existsSync(file))
  if (files.length && !options.yes) {
    if (!process.stdin.isTTY)
      stop('--fresh deletes the briefs in the demo data. Say so with --yes, since nobody can be asked here.')
    const ask = createInterface({ input: process.stdin, output: process.stdout })
    const answer = await ask.question(`This deletes everything in ${data}, your own briefs too. Type yes to go on: `)
    ask.close()
    if (answer.trim().toLowerCase() !== 'yes') stop('Nothing was deleted.')
  }
}

const tool =
  command === 'demo'
    ? ['.output/tools/demo.mjs', data, ...(options.fresh ? ['--fresh'] : [])]
    : ['.output/tools/world.mjs', join(data, 'world.sqlite')]
if (run(process.execPath, tool) !== 0) stop('The data could not be made; the lines above say why.')

const { args, env } = serverOf(HOME, data, port)
const server = spawn(process.execPath, args, { cwd: HOME, stdio: ['ignore', 'inherit', 'inherit'], env })
server.on('exit', code => process.exit(code ?? 1))
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal))

for (let tries = 0; tries < 300; tries++) {
  const told = await fetch(`http://${answers}:${port}/api/health`).then(
    async answer => ({ ok: answer.ok, ...(await answer.json()) }),
    () => null,
  )
  if (told?.ok) {
    console.log(`Fonetra is ready at http://${answers}:${port}`)
    break
  }
  // The server has said what is wrong with its data; it goes on, so that a backup can be restored.
  if (told?.error?.code.startsWith('data-') || told?.error?.code === 'disk-full') {
    console.error(`To restore a backup open http://${answers}:${port}, or stop with Ctrl + C.`)
    break
  }
  await new Promise(wake => setTimeout(wake, 100))
}
