import { writeFileSync } from 'node:fs'
import demoData from '../tests/e2e/demoData'
import { benchCheck } from './check'
import { yardstick, type Timing } from './measure'
import { benchChapters } from './chapters'
import { benchDesk } from './desk'
import { growthChart } from './growthChart'
import { commitHere, keep, machine } from './kept'
import { benchPictures } from './pictures'
import { benchRanks } from './ranks'
import { benchScale, type Growth } from './scale'
import { benchScreen } from './screen'
import { benchDemand, benchImport, benchKept } from './server'

const ms = (value: number) =>
  value < 10 ? value.toFixed(2) : value < 100 ? value.toFixed(1) : Math.round(value).toLocaleString('en')
const line = (each: Timing) =>
  `| ${each.name} | ${each.sizes} | ${each.runs} | ${ms(each.median)} | ${ms(each.p95)} | ${ms(each.most)} | ${each.goal ? `${each.goal}: ${each.met ? 'yes' : '**no**'}` : ''} |`

const say = (what: string) => {
  console.log(`${what} …`)
}
demoData()
const before = yardstick()
say('Scoring a full draft')
const check = await benchCheck()
say('Phrases and their assessment')
const demand = await benchDemand()
say('10,000 phrases assessed from kept pages as one job')
const kept = await benchKept()
say('Importing 100,000 rows while a brief is edited')
const list = await benchImport()
say('The Desk: ideas, tags, typing')
const desk = await benchDesk()
say('Chapters from captions')
const chapters = await benchChapters()
say('Pictures for a thumbnail')
const pictures = await benchPictures()
say('Ranks: a daily watch, and millions of days')
const ranks = await benchRanks()
say('The first screen in Chromium')
const screen = await benchScreen()
const scale = await benchScale(say)
const after = yardstick()

const timings = [
  ...[check, demand, kept, list.timings, desk, chapters.timings, pictures, ranks, screen.timings, scale.timings],
].flat()
keep('all', Math.min(before, after), timings)
const code = (screen.loadedKb.script ?? 0) + (screen.loadedKb.stylesheet ?? 0) + (screen.loadedKb.document ?? 0)
const report = `# What it takes

Written by \`npm run bench\`; figures as they came out. Milliseconds of wall time.

- Machine: ${machine()}
- Commit: ${commitHere()}
- Day: ${new Date().toISOString().slice(0, 10)}
- Yardstick (a loop of 50 million steps, the machine's own mood): ${ms(before)} ms before, ${ms(after)} ms after. On an idle core it takes about 50.

| what | sizes | runs | median | p95 | most | goal |
|---|---|---:|---:|---:|---:|---|
${timings.map(line).join('\n')}

- Most memory resident in the server after the import: ${Math.round(list.residentMb)} MB (goal under 400: ${list.residentMb < 400 ? 'yes' : '**no**'})
- First load of the Demand screen as transferred: ${Math.round(code)} KB of page, scripts and styles (goal under 250: ${code < 250 ? 'yes' : '**no**'}), ${Math.round(screen.loadedKb.font ?? 0)} KB of fonts

## Chapters from what is spoken

60 texts joined of five to ten unlike subjects (sentences from the descriptions of installed packages, other ones than those the constants were chosen on), without a pause between them; P_k goal under .18 and .05 better than TextTiling. Beside them the demo's own captions, parted by hand.

| way | P_k | WindowDiff | P_k, own captions |
|---|---:|---:|---:|
${chapters.joined.map(({ name, pk, windowDiff }, i) => `| ${name} | ${pk.toFixed(3)} | ${windowDiff.toFixed(3)} | ${chapters.own[i]!.pk.toFixed(3)} |`).join('\n')}

Boundaries that were told with so much sureness, and how often they were true within a cue:

| told | true | boundaries |
|---:|---:|---:|
${chapters.calibration
  .filter(each => each.n)
  .map(each => `| ${each.told.toFixed(2)} | ${each.true.toFixed(2)} | ${each.n} |`)
  .join('\n')}

## A million phrases

- MiniSearch takes ${Math.round(scale.growth.at(-1)!.miniSearchMs! / scale.growth.at(-1)!.queryMs).toLocaleString('en')} times as long as the index for the same words over the same phrases (medians; goal at least fifty times: ${scale.growth.at(-1)!.miniSearchMs! >= 50 * scale.growth.at(-1)!.queryMs ? 'yes' : '**no**'}), FTS5 ${Math.round(scale.growth.at(-1)!.fts5Ms / scale.growth.at(-1)!.queryMs).toLocaleString('en')} times
- The slowest single question of the index: ${scale.worst}
- Most memory resident in the whole program during the import of a million rows, the index in it: ${Math.round(scale.residentMb)} MB (goal under 400: ${scale.residentMb < 400 ? 'yes' : '**no**'})
- The store all this is asked of (\`npm run large\`): 1,000,000 phrases in three regions, 200,000 videos, 10,000 result pages, filled by import in ${Math.round(scale.fillSeconds)} s (goal under 600: ${scale.fillSeconds < 600 ? 'yes' : '**no**'})${scale.filesSeconds > 1 ? `, from files made in ${Math.round(scale.filesSeconds)} s` : ''}

| phrases | import | sqlite3 shell | loading the index | a question | FTS5 | MiniSearch |
|---:|---:|---:|---:|---:|---:|---:|
${scale.growth.map(each => `| ${each.size.toLocaleString('en')} | ${each.importSeconds.toFixed(1)} s | ${each.shellSeconds.toFixed(1)} s | ${ms(each.loadMs)} ms | ${ms(each.queryMs)} ms | ${ms(each.fts5Ms)} ms | ${each.miniSearchMs === null ? '' : `${ms(each.miniSearchMs)} ms`} |`).join('\n')}
`
const grown = (name: string, of: (each: Growth) => number | null) => ({ name, ms: scale.growth.map(of) })
writeFileSync(
  'docs/scale.svg',
  growthChart({
    what: 'phrases in the store',
    sizes: scale.growth.map(each => each.size),
    lines: [
      grown('index: a question', each => each.queryMs),
      grown('FTS5: the same', each => each.fts5Ms),
      grown('MiniSearch: the same', each => each.miniSearchMs),
      grown('loading the index', each => each.loadMs),
      grown('importing the list', each => each.importSeconds * 1000),
      grown('sqlite3 shell: the same', each => each.shellSeconds * 1000),
    ],
  }),
)
writeFileSync('bench/results.md', report)
console.log(`\n${report}`)
