// npm run standin -- [--port N] [--key K] [--data DIR]: the simulated services as a process of their own, over HTTP.
import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { HOME, build, install, run, stop } from './prepare.mjs'

let options
try {
  options = parseArgs({
    args: process.argv.slice(2),
    options: {
      port: { type: 'string', default: '4320' },
      key: { type: 'string' },
      data: { type: 'string', default: 'data' },
    },
  }).values
} catch (error) {
  stop(`${error.message}\nUsage: npm run standin -- [--port N] [--key K] [--data DIR]`)
}
const port = Number(options.port)
if (!Number.isInteger(port) || port < 1 || port > 65535)
  stop(`“${options.port}” is not a port. Use a number from 1 to 65535.`)
await install()
build()
const data = resolve(HOME, options.data)
mkdirSync(data, { recursive: true })
const world = join(data, 'world.sqlite')
if (run(process.execPath, ['.output/tools/world.mjs', world]) !== 0)
  stop('The made-up world could not be made; the lines above say why.')
process.exit(
  run(process.execPath, [
    '.output/tools/standin.mjs',
    '--world',
    world,
    '--port',
    String(port),
    ...(options.key ? ['--key', options.key] : []),
  ]),
)
