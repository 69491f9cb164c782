// npm run key -- [--owner NAME | --editor NAME | --reader NAME | --revoke NAME] [--data DIR]: keys for opening Fonetra
// to others.
import { mkdirSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { HOME, build, install, run, stop } from './prepare.mjs'

const text = { type: 'string' }
let options
try {
  options = parseArgs({
    args: process.argv.slice(2),
    options: { owner: text, editor: text, reader: text, revoke: text, data: { type: 'string', default: 'data' } },
  }).values
} catch (error) {
  stop(
    `${error.message}\nUsage: npm run key -- [--owner NAME | --editor NAME | --reader NAME | --revoke NAME] [--data DIR]`,
  )
}
await install()
build()
const { data: folder, ...orders } = options
const data = resolve(HOME, folder)
mkdirSync(data, { recursive: true })
process.exit(
  run(process.execPath, [
    '.output/tools/key.mjs',
    '--data',
    data,
    '--migrations',
    join(HOME, 'server/data/migrations'),
    ...Object.entries(orders).map(([name, value]) => `--${name}=${value}`),
  ]),
)
