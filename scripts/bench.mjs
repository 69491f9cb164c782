// npm run bench: measures on this machine and writes bench/results.md; npm run bench -- sound: what holds on a bad day,
// into bench/soundness.md.
import { join } from 'node:path'
import { HOME, build, install, run } from './prepare.mjs'
import { LEAN } from './serve.mjs'

await install()
build()
process.exit(
  run(
    process.execPath,
    [
      '--expose-gc',
      '--max-old-space-size=8192',
      join(HOME, process.argv[2] === 'sound' ? '.output/tools/soundness.mjs' : '.output/tools/bench.mjs'),
      ...process.argv.slice(process.argv[2] === 'sound' ? 3 : 2),
    ],
    { env: LEAN.env },
  ),
)
