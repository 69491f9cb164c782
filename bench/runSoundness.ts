import { readFileSync, writeFileSync } from 'node:fs'
import { cpus, totalmem } from 'node:os'
import demoData from '../tests/e2e/demoData'
import { yardstick } from './measure'
import { benchMutated } from './mutated'
import { benchClients, benchDoubled, benchFuzz, benchHold, benchStorm } from './soundness'

// npm run bench -- sound [rounds [requests]]: what holds on a bad day, into bench/soundness.md.
const [rounds = 60, requests = 100_000] = process.argv.slice(2).map(Number)
demoData()
const before = yardstick()
const lines: string[] = []
for (const [name, work] of [
  ['Ends at random moments', () => benchStorm(rounds)],
  ['Requests of every kind', () => benchFuzz(requests)],
  ['Broken pictures and packages', () => benchMutated(requests)],
  ['Fifty clients', () => benchClients(60)],
  ['Long and hostile files', benchHold],
  ['Doubled texts', benchDoubled],
] as const) {
  console.log(`${name} …`)
  const told = await work()
  console.log(told.join('\n'))
  lines.push(...told)
}
/** Sections of earlier days stay below. */
const REPORT = 'bench/soundness.md'
const earlier = /^## .*$/msu.exec(readFileSync(REPORT, 'utf8'))?.[0] ?? ''
writeFileSync(
  REPORT,
  `# What holds on a bad day

Written by \`npm run bench -- sound\`; figures as they came out.

- Machine: ${cpus().length} × ${cpus()[0]!.model.trim()}, ${Math.round(totalmem() / 2 ** 30)} GB, Node.js ${process.versions.node}; clients and server share it
- Day: ${new Date().toISOString().slice(0, 10)}
- Yardstick: ${before.toFixed(0)} ms before, ${yardstick().toFixed(0)} ms after; on an idle core about 50

| what | how much | what came of it | goal |
|---|---|---|---|
${lines.join('\n')}

${earlier}`,
)
