// npm run bench: measures on this machine and writes bench/results.md.
import { join } from 'node:path'
import { HOME, build, install, run } from './prepare.mjs'

install()
build()
process.exit(run(process.execPath, ['--expose-gc', join(HOME, '.output/tools/bench.mjs'), ...process.argv.slice(2)]))
