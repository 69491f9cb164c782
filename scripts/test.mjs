// npm test: everything a change must pass, on a machine with only Node.js and root. Last line: N passed, N failed.
import { spawn } from 'node:child_process'
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, rmSync } from 'node:fs'
import { join, relative } from 'node:path'
import { PACKAGES, chromium } from './chromium.mjs'
import { HOME, aptInstall, install, run, stop } from './prepare.mjs'

const REPORTS = join(HOME, '.cache/reports')
let passed = 0
let failed = 0
/** Told once more at the end, where it is looked for: each thing that failed, and each that passed only when alone. */
const notable = []

function step(name, work) {
  const startedAt = Date.now()
  console.log(`\n— ${name} —`)
  work()
  console.log(`  ${((Date.now() - startedAt) / 1000).toFixed(1)} s`)
}

/** A step that counts as one test, run beside the others: what it says is shown when it is waited for. */
function beside(name, command, args) {
  const file = join(REPORTS, `${name}.txt`)
  const output = openSync(file, 'w')
  const child = spawn(command, args, {
    cwd: HOME,
    stdio: ['ignore', output, output],
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1' },
  })
  const ended = new Promise(tell => {
    child
      .on('exit', code => {
        tell(code)
      })
      .on('error', () => {
        tell(1)
      })
  })
  closeSync(output)
  return async () => {
    const code = await ended
    console.log(`\n— ${name} —\n${readFileSync(file, 'utf8').trim() || '  nothing to say'}`)
    if (code === 0) {
      passed++
      return
    }
    failed++
    notable.push(`${name} failed.`)
  }
}

const reportOf = file => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null)

/** Adds a report's counts; a run that left no report is one failure. */
function add(file, read) {
  const report = reportOf(file)
  if (!report) {
    failed++
    notable.push(`${relative(HOME, file)} was not written.`)
    return
  }
  const counts = read(report)
  passed += counts.passed
  failed += counts.failed
}

/** The tests that failed, or the files that could not be run. */
const failedUnits = ({ testResults }) =>
  testResults
    .filter(({ status }) => status === 'failed')
    .flatMap(({ name, assertionResults }) => {
      const tests = assertionResults.filter(({ status }) => status === 'failed')
      return tests.length ? tests : [{ fullName: relative(HOME, name) }]
    })

/** The tests of a browser report that did not pass at once. */
const unsteady = suites =>
  suites.flatMap(({ suites: inner = [], specs = [] }) => [
    ...specs.flatMap(({ file, line, title, tests }) =>
      tests
        .filter(({ status }) => status === 'flaky' || status === 'unexpected')
        .map(({ status }) => `${file}:${line} ${title}: ${status === 'flaky' ? 'passed the second time' : 'failed'}.`),
    ),
    ...unsteady(inner),
  ])

async function browser() {
  for (const [name] of PACKAGES) {
    if (chromium()) return
    await aptInstall([name], 'for the tests of the interface, about a minute, once')
  }
  if (!chromium())
    stop(
      `Chromium could not be installed. As root: apt-get install ${PACKAGES[0][0]}; or name another by FONETRA_CHROMIUM.`,
    )
}

mkdirSync(REPORTS, { recursive: true })
const unit = join(REPORTS, 'unit.json')
const e2e = join(REPORTS, 'e2e.json')
for (const file of [unit, e2e]) rmSync(file, { force: true })

// Compiling keeps one core busy: what needs no database driver is done beside it.
const checks = []
let installed
await install(() => {
  run('npx', ['--no-install', 'nuxt', 'prepare'], { quiet: true })
  checks.push(
    beside('Types of the interface', 'npx', ['--no-install', 'vue-tsc', '--noEmit', '-p', '.nuxt/tsconfig.app.json']),
    beside('Types of the rest', 'npx', ['--no-install', 'tsc', '-p', 'tests']),
    beside('Lint', 'npx', ['--no-install', 'eslint', '.', '--max-warnings', '0']),
    beside('Format', 'npx', ['--no-install', 'prettier', '--check', '.', '--log-level', 'warn']),
  )
  installed = browser()
})
// The build writes the folder that the types are read from.
for (const told of checks) await told()
// It keeps little more than one core busy, and making the demo data one.
const built = beside('Build and demo data', process.execPath, ['scripts/build.mjs', '--demo'])
step('Units and the store', () => {
  const code = run('npx', [
    '--no-install',
    'jest',
    '--maxWorkers=2',
    '--json',
    `--outputFile=${unit}`,
    '--reporters=default',
  ])
  const report = reportOf(unit)
  // As in the browser: a file that failed is tried once more, alone, and that is told.
  const again = report?.testResults.filter(each => each.status === 'failed').map(each => each.name) ?? []
  if (code !== 0 && again.length) {
    console.log(`\n  Trying once more: ${again.map(file => relative(HOME, file)).join(', ')}`)
    const lost = report.numFailedTests + report.numRuntimeErrorTestSuites
    const second = run('npx', ['--no-install', 'jest', '--runInBand', '--runTestsByPath', ...again])
    for (const { fullName } of failedUnits(report))
      notable.push(`${fullName}: ${second === 0 ? 'failed at first and passed alone' : 'failed, also when run alone'}.`)
    passed += report.numPassedTests + (second === 0 ? lost : 0)
    failed += second === 0 ? 0 : lost
    return
  }
  add(unit, ({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) => ({
    passed: numPassedTests,
    failed: numFailedTests + numRuntimeErrorTestSuites,
  }))
  if (code !== 0 && failed === 0) failed++
})
await built()
await installed
step('The interface in Chromium', () => {
  const code = run('npx', ['--no-install', 'playwright', 'test'], { env: { FONETRA_TEST_REPORT: e2e } })
  add(e2e, ({ stats, errors, suites }) => {
    notable.push(...unsteady(suites), ...errors.map(({ message }) => message))
    return { passed: stats.expected + stats.flaky, failed: stats.unexpected + errors.length }
  })
  if (code !== 0 && failed === 0) failed++
})
if (notable.length) console.log(`\n— Not at once —\n${notable.join('\n')}`)
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
