// npm run bench: measures on this machine and writes bench/results.md.
import { join } from 'node:path'
import { HOME, build, install, run } from './prepare.mjs'
import { LEAN } from './serve.mjs'

await install()
build()
process.exit(run(process.execPath, ['--expose-gc', '--max-old-space-size=8192', join(HOME, '.output/tools/bench.mjs'), ...process.argv.slice(2)], { env: LEAN.env }))
