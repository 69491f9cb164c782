import { writeFileSync } from 'node:fs'
import demoData from '../tests/e2e/demoData'
import { benchGrowth } from './growth'
import { growthChart } from './growthChart'
import { commitHere, machine } from './kept'
import { yardstick } from './measure'

// npm run bench -- growth: how answers slow down as work grows, into bench/growth.md and charts in docs/.
demoData()
const before = yardstick()
const charts = await benchGrowth(what => console.log(`${what} …`))
const ms = (value: number | null) => (value === null ? '' : value < 10 ? value.toFixed(2) : value.toFixed(0))
const report = `# How times grow

Written by \`npm run bench -- growth\`; medians in milliseconds, as they came out. The charts are in \`docs/\`.

- Machine: ${machine()}; ${new Date().toISOString().slice(0, 10)}
- Commit: ${commitHere()}
- Yardstick: ${before.toFixed(0)} ms before, ${yardstick().toFixed(0)} ms after; on an idle core about 50

${charts
  .map(
    ({ file, what, sizes, lines }) => `![${what}](../docs/${file}.svg)

| ${what} | ${sizes.map(size => size.toLocaleString('en')).join(' | ')} |
|---|${'---:|'.repeat(sizes.length)}
${lines.map(line => `| ${line.name} | ${line.ms.map(ms).join(' | ')} |`).join('\n')}
`,
  )
  .join('\n')}`
for (const { file, ...chart } of charts) writeFileSync(`docs/${file}.svg`, growthChart(chart))
writeFileSync('bench/growth.md', report)
console.log(report)
process.exit(0)
