// npm run bench: measures on this machine and writes bench/results.md.
import { HOME, build, install, run } from './prepare.mjs'
import { join } from 'node:path'

install()
build()
process.exit(run(process.execPath, ['--expose-gc', join(HOME, '.output/tools/bench.mjs'), ...process.argv.slice(2)]))
