// npm test: everything a change must pass, on a machine with only Node.js and root. Last line: N passed, N failed.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { HOME, aptInstall, build, install, run, stop } from './prepare.mjs'

const REPORTS = join(HOME, '.cache/reports')
const CHROMIUM = process.env.FONETRA_CHROMIUM ?? '/usr/bin/chromium'
let passed = 0
let failed = 0

function step(name, work) {
  const startedAt = Date.now()
  console.log(`\n— ${name} —`)
  work()
  console.log(`  ${((Date.now() - startedAt) / 1000).toFixed(1)} s`)
}

/** A step that counts as one test. */
const one = (name, command, args) => step(name, () => { if (run(command, args) === 0) passed++; else failed++ })

/** Adds a report's counts; a run that left no report is one failure. */
function add(file, read) {
  if (!existsSync(file)) { failed++; console.error('  It ended without a report.'); return }
  const counts = read(JSON.parse(readFileSync(file, 'utf8')))
  passed += counts.passed
  failed += counts.failed
}

function browser() {
  if (existsSync(CHROMIUM)) return
  if (!aptInstall(['chromium'], 'for the tests of the interface, about a minute, once') || !existsSync(CHROMIUM)) stop(`Chromium is not at ${CHROMIUM} and could not be installed. As root: apt-get install chromium; or name another by FONETRA_CHROMIUM.`)
}

install()
mkdirSync(REPORTS, { recursive: true })
const unit = join(REPORTS, 'unit.json')
const e2e = join(REPORTS, 'e2e.json')
for (const file of [unit, e2e]) rmSync(file, { force: true })

step('Build', build)
one('Lint', 'npx', ['--no-install', 'eslint', '.', '--max-warnings', '0'])
one('Types', 'npx', ['--no-install', 'nuxt', 'typecheck'])
step('Units and the store', () => {
  const code = run('npx', ['--no-install', 'jest', '--json', `--outputFile=${unit}`, '--reporters=default'])
  add(unit, report => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }))
  if (code !== 0 && failed === 0) failed++
})
step('The interface in Chromium', () => {
  browser()
  const code = run('npx', ['--no-install', 'playwright', 'test'], { env: { FONETRA_TEST_REPORT: e2e } })
  add(e2e, ({ stats, errors }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected + errors.length }))
  if (code !== 0 && failed === 0) failed++
})
console.log(`\n${passed} passed, ${failed} failed`)
process.exit(failed ? 1 : 0)
