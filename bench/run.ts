import { writeFileSync } from 'node:fs'
import { cpus, release, totalmem } from 'node:os'
import demoData from '../tests/e2e/demoData'
import { benchCheck } from './check'
import { yardstick, type Timing } from './measure'
import { benchScreen } from './screen'
import { benchDemand, benchImport } from './server'

const ms = (value: number) => value < 10 ? value.toFixed(2) : value < 100 ? value.toFixed(1) : Math.round(value).toLocaleString('en')
const line = (each: Timing) => `| ${each.name} | ${each.sizes} | ${each.runs} | ${ms(each.median)} | ${ms(each.p95)} | ${ms(each.most)} | ${each.goal ? `${each.goal}: ${each.met ? 'yes' : '**no**'}` : ''} |`

const say = (what: string) => { console.log(`${what} …`) }
demoData()
const before = yardstick()
say('Scoring a full draft')
const check = await benchCheck()
say('Phrases and their assessment')
const demand = await benchDemand()
say('Importing 100,000 rows while a brief is edited')
const list = await benchImport()
say('The first screen in Chromium')
const screen = await benchScreen()
const after = yardstick()

const code = (screen.loadedKb.script ?? 0) + (screen.loadedKb.stylesheet ?? 0) + (screen.loadedKb.document ?? 0)
const report = `# What it takes

Written by \`npm run bench\`; figures as they came out. Milliseconds of wall time.

- Machine: ${cpus().length} × ${cpus()[0]!.model.trim()}, ${Math.round(totalmem() / 2 ** 30)} GB, Linux ${release()}, Node.js ${process.versions.node}
- Day: ${new Date().toISOString().slice(0, 10)}
- Yardstick (a loop of 50 million steps, the machine's own mood): ${ms(before)} ms before, ${ms(after)} ms after. On an idle core it takes about 50.

| what | sizes | runs | median | p95 | most | goal |
|---|---|---:|---:|---:|---:|---|
${[...check, ...demand, ...list.timings, ...screen.timings].map(line).join('\n')}

- Most memory resident in the server after the import: ${Math.round(list.residentMb)} MB (goal under 400: ${list.residentMb < 400 ? 'yes' : '**no**'})
- First load of the Demand screen as transferred: ${Math.round(code)} KB of page, scripts and styles (goal under 400: ${code < 400 ? 'yes' : '**no**'}), ${Math.round(screen.loadedKb.font ?? 0)} KB of fonts
`
writeFileSync('bench/results.md', report)
console.log(`\n${report}`)
