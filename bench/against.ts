import { spawnSync } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { compare, LEAST_ROUNDS, type Round, type Run } from './compare'
import { commitHere, keep, machine } from './kept'
import { PARTS } from './parts'

const HOME = process.cwd()
const PLACE = join(HOME, '.cache/against')

function stop(message: string): never {
  console.error(message)
  process.exit(1)
}

/** Runs a command. @returns what it wrote. */
function run(command: string, args: readonly string[], cwd: string, quiet = true): string {
  const done = spawnSync(command, args, {
    cwd,
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', quiet ? 'pipe' : 'inherit'],
  })
  if (done.status !== 0) stop(`${command} ${args.join(' ')} failed in ${cwd}.\n${done.stderr ?? ''}`)
  return done.stdout.trim()
}

/** The project as it was at a commit, with its packages, built. @returns its folder. */
function builtAt(commit: string): string {
  const folder = join(PLACE, commit)
  if (!existsSync(folder)) {
    mkdirSync(PLACE, { recursive: true })
    run('git', ['worktree', 'prune'], HOME)
    run('git', ['worktree', 'add', '--detach', folder, commit], HOME)
  }
  const lock = (home: string) => readFileSync(join(home, 'package-lock.json'), 'utf8')
  // Its own packages, unless they are the same as here.
  if (!existsSync(join(folder, 'node_modules')) && lock(folder) === lock(HOME)) {
    run('cp', ['-al', join(HOME, 'node_modules'), folder], HOME)
    rmSync(join(folder, 'node_modules/.cache'), { recursive: true, force: true })
  }
  console.log(`Building ${commit.slice(0, 10)} …`)
  run(
    process.execPath,
    ['-e', "import('./scripts/prepare.mjs').then(async ({ install, build }) => { await install(); build() })"],
    folder,
    false,
  )
  if (!existsSync(join(folder, '.output/tools/parts.mjs')))
    stop(`${commit.slice(0, 10)} is too old: its benchmarks cannot be run one at a time. Choose a newer commit.`)
  return folder
}

const { values, positionals } = parseArgs({
  options: { against: { type: 'string' }, rounds: { type: 'string', default: String(LEAST_ROUNDS) } },
  allowPositionals: true,
})
const rounds = Number(values.rounds)
if (!Number.isInteger(rounds) || rounds < 1 || rounds > 50) stop('Give 1 to 50 rounds, as in --rounds 5.')
const names = positionals.length ? positionals : ['check', 'demand', 'desk', 'screen']
for (const name of names)
  if (!(name in PARTS)) stop(`There is no part ${name}. Parts: ${Object.keys(PARTS).join(', ')}.`)
const commit = run('git', ['rev-parse', '--verify', `${values.against}^{commit}`], HOME)
const here = commitHere()
const there = builtAt(commit)

/** One run of the parts in a build. */
function measured(folder: string): Run {
  const to = join(PLACE, 'run.json')
  rmSync(to, { force: true })
  run(
    process.execPath,
    ['--expose-gc', '--max-old-space-size=8192', join(folder, '.output/tools/parts.mjs'), to, ...names],
    folder,
  )
  return JSON.parse(readFileSync(to, 'utf8')) as Run
}

const done: Round[] = []
for (let round = 0; round < rounds; round++) {
  console.log(`Round ${round + 1} of ${rounds} …`)
  // Each goes first in turn: a machine that tires or warms up favours neither.
  const order = round % 2 ? ([there, HOME] as const) : ([HOME, there] as const)
  const runs = new Map(order.map(folder => [folder, measured(folder)]))
  done.push({ here: runs.get(HOME)!, there: runs.get(there)! })
  for (const [folder, of] of [
    [HOME, here],
    [there, commit.slice(0, 10)],
  ] as const)
    keep(names.join(' '), runs.get(folder)!.yardstick, runs.get(folder)!.timings, of)
}

const ms = (value: number) => (value < 10 ? value.toFixed(2) : value < 100 ? value.toFixed(1) : value.toFixed(0))
const rows = compare(done)
const yardsticks = done.flatMap(each => [each.here.yardstick, each.there.yardstick])
const report = `# ${here} against ${commit.slice(0, 10)}

${machine()}; ${new Date().toISOString().slice(0, 10)}; ${rounds} rounds in turn. Yardstick ${ms(Math.min(...yardsticks))} to ${ms(Math.max(...yardsticks))} ms. Milliseconds, medians; “times” is how many times as long it takes here by the yardstick of its run, with the rounds’ spread.${rounds < LEAST_ROUNDS ? ` With fewer than ${LEAST_ROUNDS} rounds nothing is called slower or faster.` : ''}

| what | sizes | here | there | times | spread | |
|---|---|---:|---:|---:|---|---|
${rows.map(row => `| ${row.name} | ${row.sizes} | ${ms(row.here)} | ${ms(row.there)} | ${row.ratio.toFixed(2)} | ${row.low.toFixed(2)} to ${row.high.toFixed(2)} | ${row.verdict === 'slower' ? '**slower**' : row.verdict} |`).join('\n')}
`
writeFileSync(join(HOME, 'bench/against.md'), report)
console.log(`\n${report}`)
process.exit(0)
