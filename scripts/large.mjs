// npm run large -- --data DIR: a store of a million phrases and 200,000 videos, filled by import; goes on where it was
// stopped.
import { parseArgs } from 'node:util'
import { resolve } from 'node:path'
import { HOME, build, install, run, stop } from './prepare.mjs'

const USAGE = 'Usage: npm run large -- --data DIR [--phrases N] [--videos N] [--pages N]'
let options
try {
  options = parseArgs({
    args: process.argv.slice(2),
    options: {
      data: { type: 'string' },
      phrases: { type: 'string', default: '1000000' },
      videos: { type: 'string', default: '200000' },
      pages: { type: 'string', default: '10000' },
    },
  }).values
} catch (error) {
  stop(`${error.message}\n${USAGE}`)
}
if (!options.data) stop(`Say with --data which folder to fill; it may be a new one.\n${USAGE}`)
const sizes = ['phrases', 'videos', 'pages'].map(name => {
  const size = Number(options[name])
  if (!Number.isInteger(size) || size < 1 || size > 5_000_000)
    stop(`--${name} takes a number from 1 to 5,000,000, not “${options[name]}”.`)
  return String(size)
})
// The tool itself answers Ctrl-C, once the file it is at is imported.
process.on('SIGINT', () => undefined)
await install()
build()
process.exit(
  run(process.execPath, [
    '--max-old-space-size=8192',
    '.output/tools/large.mjs',
    resolve(HOME, options.data),
    ...sizes,
  ]),
)
