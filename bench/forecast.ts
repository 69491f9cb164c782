import { fork } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { availableParallelism, cpus, tmpdir } from 'node:os'
import { join } from 'node:path'
import { max, mean, min, quantile } from 'd3-array'
import { figuresOf, type Figures } from './forecast/figures'
import { PICKED } from './forecast/picking'
import { SMALL, smallWorld, type Small } from './forecast/small'
import { makeTrial, TRIAL } from './forecast/trial'

// npm run bench -- forecast SEED…: whether chances come true, in made-up sites whose ranking is drawn anew for each
// seed, and whether learning from little does harm; into bench/forecast.md. Three minutes a seed and core.
const [task, ...seeds] = process.send
  ? [process.argv[2]!, Number(process.argv[3])]
  : ['', ...process.argv.slice(2).map(Number)]

/** Small sites, numbered from 1. */
const SMALL_WORLDS = 100

type Work = { world: Figures; small: Small }

/** Does one task of this process. */
async function one(seed: number): Promise<void> {
  const dir = mkdtempSync(join(tmpdir(), 'fonetra-forecast-'))
  try {
    const result = task === 'world' ? figuresOf(await makeTrial(seed, dir)) : await smallWorld(seed, dir)
    await new Promise<void>((resolve, reject) => {
      process.send!(result, undefined, undefined, error => (error ? reject(error) : resolve()))
    })
  } finally {
    rmSync(dir, { recursive: true, force: true })
  }
  process.disconnect()
}

/** Each seed in a process of its own, as many at once as the machine has cores. */
async function each<Name extends keyof Work>(name: Name, list: readonly number[]): Promise<Work[Name][]> {
  const waiting = [...list]
  const done: Work[Name][] = []
  await Promise.all(
    Array.from({ length: Math.min(list.length, availableParallelism()) }, async () => {
      for (let seed = waiting.shift(); seed !== undefined; seed = waiting.shift()) {
        done.push(await inProcess(name, seed))
        console.log(`${name} ${seed} done, ${waiting.length} to go`)
      }
    }),
  )
  return done.sort((a, b) => a.seed - b.seed)
}

async function all(list: number[]): Promise<void> {
  if (!list.length || list.some(seed => !Number.isInteger(seed)))
    throw new Error('Give one or more whole numbers as seeds: npm run bench -- forecast 1 2 3')
  const worlds = await each('world', list)
  const small = await each(
    'small',
    Array.from({ length: SMALL_WORLDS }, (_, i) => i + 1),
  )
  const told = report(worlds, small)
  console.log(told)
  writeFileSync('bench/forecast.md', told)
}

const inProcess = <Name extends keyof Work>(name: Name, seed: number) =>
  new Promise<Work[Name]>((resolve, reject) => {
    const child = fork(process.argv[1]!, [name, String(seed)])
    let result: Work[Name] | null = null
    child.on('message', message => (result = message as Work[Name]))
    child.on('exit', () => (result ? resolve(result) : reject(new Error(`Seed ${seed} failed.`))))
  })

const three = (value: number) => value.toFixed(3)
const percent = (part: number) => `${Math.round(part * 100)} %`
/** The part of the oracle's gain over saying the base rate. */
const gain = ({ scores: { learnt, base, oracle } }: Figures) =>
  (base.brier - learnt.brier) / (base.brier - oracle.brier)
const gap = ({ scores: { learnt, oracle } }: Figures) => oracle.auc - learnt.auc

function line(of: Figures): string {
  const { seed, rate, scores, ranksCovered, viewsCovered, took } = of
  const auc = Object.values(scores).map(each => three(each.auc))
  return `| ${[seed, percent(rate), ...auc, three(scores.learnt.brier), three(scores.constants.brier), three(scores.oracle.brier), percent(gain(of)), three(scores.learnt.calibration), three(scores.constants.calibration), three(of.perfect), percent(ranksCovered), percent(viewsCovered), (took / 1000).toFixed(1)].join(' | ')} |`
}

function report(done: readonly Figures[], small: readonly Small[]): string {
  const { world, phrases, alsoKept, channels, videos, lots } = TRIAL
  const met = (is: boolean) => (is ? 'met' : '**missed**')
  const goal = (what: string, figure: string, is: boolean) => `| ${what} | ${figure} | ${met(is)} |`
  const all = (of: (figures: Figures) => number) => done.map(of)
  const pooled = Array.from({ length: 10 }, (_, bin) => {
    const bins = done.map(each => each.scores.learnt.bins[bin]!).filter(each => each.n)
    const n = bins.reduce((sum, each) => sum + each.n, 0)
    const of = (what: 'said' | 'came') => bins.reduce((sum, each) => sum + each.n * each[what], 0) / n
    return `| ${bin * 10} to ${bin * 10 + 10} % | ${n.toLocaleString('en')} | ${n ? three(of('said')) : ''} | ${n ? three(of('came')) : ''} |`
  })
  const picks = done[0]!.picks.map(({ size }, i) => {
    const ways = Object.keys(done[0]!.picks[i]!.reached)
    return ways.map(way => ({ size, way, part: mean(done, each => each.picks[i]!.reached[way]!)! }))
  })
  const beaten = (way: string) =>
    picks.every(list => list.find(each => each.way === 'worth')!.part > list.find(each => each.way === way)!.part)
  const harm = quantile(small, 0.95, each => each.learnt - each.constants)!
  const held = small.filter(each => each.idleHeld).length
  const everywhere = (than: 'difficulty' | 'rule') => done.every(({ scores }) => scores.learnt.auc > scores[than].auc)
  return `# Do chances come true?

Written by \`npm run bench -- forecast ${done.map(each => each.seed).join(' ')}\`; figures as they came out.

A seed makes a site with ${world.videos.toLocaleString('en')} videos of ${world.channels} channels, whose ranking is drawn within wide bounds. What a user sees is kept: ${(2 * (phrases + alsoKept)).toLocaleString('en')} result pages of twenty and the lists of ${channels} channels with ten to a million subscribers. Then these publish ${videos.toLocaleString('en')} videos, worded well and badly, in ${lots} copies of the site so that they do not meet each other; 28 days later their ranks are looked up. *Learnt* is the chance of the product, *constants* the one before anything is learnt, *rule* the trade's (no exact words in the first five titles). The *oracle* knows how the site ranks and all that can be seen; the *all-seeing* one also what viewers think of every other video and the site of every channel.

- Machine: ${cpus().length} × ${cpus()[0]!.model.trim()}, Node.js ${process.versions.node}
- Day: ${new Date().toISOString().slice(0, 10)}

| goal | came out | |
|---|---|---|
${[
  goal('AUC behind the oracle in the mean, .03 at most', three(mean(all(gap))!), mean(all(gap))! <= 0.03),
  goal('… in the worst world, .06 at most', three(max(all(gap))!), max(all(gap))! <= 0.06),
  goal(
    'Calibration error in the mean, .04 at most',
    three(mean(all(each => each.scores.learnt.calibration))!),
    mean(all(each => each.scores.learnt.calibration))! <= 0.04,
  ),
  goal(
    'Part of the oracle’s gain in Brier score over the base rate, 70 % at least',
    percent(mean(all(gain))!),
    mean(all(gain))! >= 0.7,
  ),
  goal(
    'Better than difficulty alone in every world',
    three(min(all(each => each.scores.learnt.auc - each.scores.difficulty.auc))!),
    everywhere('difficulty'),
  ),
  goal(
    'Better than the trade’s rule in every world',
    three(min(all(each => each.scores.learnt.auc - each.scores.rule.auc))!),
    everywhere('rule'),
  ),
  goal(
    'Likely ranks cover 45 to 60 %',
    percent(mean(all(each => each.ranksCovered))!),
    mean(all(each => each.ranksCovered))! >= 0.45 && mean(all(each => each.ranksCovered))! <= 0.6,
  ),
  ...['searches', 'difficulty', 'chance'].map(way =>
    goal(`Picking ${PICKED} by worth reaches more than by ${way} alone, for each channel`, '', beaten(way)),
  ),
  goal(
    'Learning from little: its Brier score over the constants’, 95th percentile of 100 small sites, .005 at most',
    three(harm),
    harm <= 0.005,
  ),
  goal('The interval of a signal that does nothing holds 0 in 90 of 100 small sites', String(held), held >= 90),
].join('\n')}

A small site has ${SMALL.pages} pages and ${SMALL.lists} lists kept of ${SMALL.world.videos.toLocaleString('en')} videos. Two thirds of the pages are learnt from, by folds within them it is decided whether what is learnt is used, and the listed videos on the others are foretold: Brier ${three(mean(small, each => each.learnt)!)} in the mean after learning, ${three(mean(small, each => each.constants)!)} by the constants; it was used in ${small.reduce((sum, each) => sum + each.used, 0)} of ${3 * small.length} rounds.

## World by world

| seed | on page one | AUC learnt | constants | difficulty | rule | base | oracle | all-seeing | Brier learnt | constants | oracle | gain | calibration learnt | constants | perfect | ranks covered | views covered | s to learn |
|${'---|'.repeat(19)}
${done.map(line).join('\n')}

## Said and come true, all worlds

| said | videos | said in the mean | came true |
|---|---|---|---|
${pooled.join('\n')}

## Picking ${PICKED} of ${phrases}

Searches × true chance of what is picked, as a part of the best possible, in the mean.

| channel of | ${picks[0]!.map(each => each.way).join(' | ')} |
|---|${'---|'.repeat(picks[0]!.length)}
${picks.map(list => `| ${list[0]!.size.toLocaleString('en')} | ${list.map(each => percent(each.part)).join(' | ')} |`).join('\n')}
`
}

if (process.send) await one(seeds[0]!)
else await all(seeds)
