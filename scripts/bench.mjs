// npm run bench: measures on this machine and writes bench/results.md; npm run bench -- sound: what holds on a bad day,
// into bench/soundness.md; npm run bench -- forecast SEED…: whether chances come true, into bench/forecast.md;
// npm run bench -- year DIR: a store after a year of work, into bench/year.md; npm run bench -- growth: how times grow
// with briefs, videos and ranks, into bench/growth.md and docs/;
// npm run bench -- --against COMMIT PART…: this build and that of a commit in turn, into bench/against.md.
import { join } from 'node:path'
import { HOME, build, install, run } from './prepare.mjs'
import { LEAN } from './serve.mjs'

await install()
build()
const TOOLS = { sound: 'soundness', forecast: 'forecast', year: 'year', growth: 'growth' }
const [what, ...rest] = process.argv.slice(2)
const tool = what === '--against' ? 'against' : TOOLS[what]
process.exit(
  run(
    process.execPath,
    [
      '--expose-gc',
      '--max-old-space-size=8192',
      join(HOME, `.output/tools/${tool ?? 'bench'}.mjs`),
      ...(TOOLS[what] ? rest : process.argv.slice(2)),
    ],
    { env: LEAN.env },
  ),
)
