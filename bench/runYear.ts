import { writeFileSync } from 'node:fs'
import { resolve } from 'node:path'
import { commitHere, keep, machine } from './kept'
import { yardstick } from './measure'
import { benchYear } from './year'

// npm run bench -- year DIR: a store after a year, from a folder that `npm run large` filled, into bench/year.md.
const [from] = process.argv.slice(2)
if (!from) {
  console.error('Give a folder that was filled by: npm run large -- --data DIR')
  process.exit(1)
}
const mood = yardstick()
const { timings, before: full, after } = await benchYear(resolve(from))
keep('year', mood, timings)
const ms = (value: number) => (value < 10 ? value.toFixed(2) : value < 100 ? value.toFixed(1) : value.toFixed(0))
const gigabytes = (bytes: number) => (bytes / 2 ** 30).toFixed(2)
const report = `# After a year

Written by \`npm run bench -- year DIR\`; figures as they came out, in milliseconds.

- Machine: ${machine()}; ${new Date().toISOString().slice(0, 10)}
- Commit: ${commitHere()}
- Yardstick: ${mood.toFixed(0)} ms; on an idle core about 50
- The data file takes ${gigabytes(full)} GB with a month in which nothing was thinned, ${gigabytes(after)} GB as the rules for what is kept leave it (goal under 3: ${after < 3 * 2 ** 30 ? 'yes' : '**no**'})

| what | of | median | p95 | most | goal |
|---|---|---:|---:|---:|---|
${timings.map(each => `| ${each.name} | ${each.sizes} | ${ms(each.median)} | ${ms(each.p95)} | ${ms(each.most)} | ${each.goal}: ${each.met ? 'yes' : '**no**'} |`).join('\n')}
`
writeFileSync('bench/year.md', report)
console.log(report)
process.exit(0)
