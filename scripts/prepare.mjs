// What every command needs first: packages as locked, and a build newer than its sources. Plain Node, since nothing is
// installed yet.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const HOME = dirname(dirname(fileURLToPath(import.meta.url)))
const SOURCES = [
  'app',
  'core',
  'server',
  'shared',
  'demo',
  'bench',
  'modules',
  'public',
  'nuxt.config.ts',
  'package-lock.json',
  'package.json',
  'scripts/build-tools.mjs',
]
const STAMP = join(HOME, '.output/.built')
const LOCK_STAMP = join(HOME, 'node_modules/.fonetra-lock')

/** Stops with a message a person can act on. */
export function stop(message) {
  console.error(`\n${message}`)
  process.exit(1)
}

/** Runs a command in the project; its output is shown, or kept and shown only when it fails. */
export function run(command, args, { quiet = false, env = {} } = {}) {
  const done = spawnSync(command, args, {
    cwd: HOME,
    stdio: quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    env: { ...process.env, NUXT_TELEMETRY_DISABLED: '1', ...env },
    encoding: 'utf8',
    maxBuffer: 1 << 28,
  })
  if (done.status !== 0 && quiet) process.stderr.write(`${done.stdout ?? ''}${done.stderr ?? ''}`)
  return done.status ?? 1
}

/** The same beside others, its output kept and shown only when it fails. @returns its exit code, once it has ended. */
function begin(command, args, env = {}) {
  const child = spawn(command, args, { cwd: HOME, stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } })
  let told = ''
  for (const output of [child.stdout, child.stderr])
    output.on('data', chunk => {
      told += chunk
    })
  return new Promise(tell => {
    child.once('error', error => {
      told += error.message
      tell(1)
    })
    child.once('close', code => {
      if (code !== 0) process.stderr.write(told)
      tell(code ?? 1)
    })
  })
}

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major < 20 || (major === 20 && minor < 19))
    stop(`Fonetra needs Node.js 20.19 or newer; this is ${process.versions.node}.`)
}

const there = command => spawnSync(command, ['--version'], { stdio: 'ignore' }).status === 0

/** Installs packages of Debian; says so first. @returns whether it worked. */
export async function aptInstall(packages, why) {
  if (process.getuid?.() !== 0) return false
  console.log(`Installing ${packages.join(', ')} (${why}) …`)
  const apt = args => begin('apt-get', ['-qq', '-o', 'Dpkg::Use-Pty=0', ...args], { DEBIAN_FRONTEND: 'noninteractive' })
  await apt(['update'])
  return (await apt(['install', '-y', '--no-install-recommends', ...packages])) === 0
}

/** better-sqlite3 is compiled at install. */
async function compiler() {
  const missing = ['python3', 'make', 'g++'].filter(command => !there(command))
  if (missing.length && !(await aptInstall(missing, 'to compile the database driver, once')))
    stop(`${missing.join(', ')} must be installed first: the database driver is compiled.`)
}

/**
 * Installs the packages named by the lockfile unless they are there. The database driver is compiled, which takes one
 * core a minute or two; no other package needs its install script.
 * @param meanwhile begun once the packages are there, beside the compiling.
 */
export async function install(meanwhile = () => undefined) {
  checkNode()
  const lock = createHash('sha256')
    .update(readFileSync(join(HOME, 'package-lock.json')))
    .update(process.versions.modules)
    .digest('hex')
  if (existsSync(LOCK_STAMP) && readFileSync(LOCK_STAMP, 'utf8') === lock) {
    meanwhile()
    return
  }
  await compiler()
  const failed =
    'The packages could not be installed; the lines above say why. Run the same command again once that is mended.'
  console.log('Installing packages from the lockfile (about four minutes, once) …')
  if (run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']) !== 0) stop(failed)
  console.log('Compiling the database driver …')
  const compiled = begin('npm', ['rebuild', 'better-sqlite3', '--loglevel=error'], {
    JOBS: '2',
    npm_config_build_from_source: 'true',
  })
  meanwhile()
  if ((await compiled) !== 0) stop(failed)
  writeFileSync(LOCK_STAMP, lock)
}

function newest(path) {
  const stat = statSync(path, { throwIfNoEntry: false })
  if (!stat) return 0
  if (!stat.isDirectory()) return stat.mtimeMs
  return readdirSync(path).reduce((latest, name) => Math.max(latest, newest(join(path, name))), stat.mtimeMs)
}

/** Builds unless the build is newer than every source. */
export function build() {
  const built = existsSync(STAMP) ? statSync(STAMP).mtimeMs : 0
  if (built > Math.max(...SOURCES.map(source => newest(join(HOME, source))))) return
  console.log('Building (about half a minute) …')
  const startedAt = Date.now()
  if (run('npx', ['--no-install', 'nuxt', 'build'], { quiet: true }) !== 0)
    stop('The build failed; the lines above say why.')
  if (run(process.execPath, ['scripts/build-tools.mjs'], { quiet: true }) !== 0)
    stop('The worker threads could not be built; the lines above say why.')
  mkdirSync(dirname(STAMP), { recursive: true })
  writeFileSync(STAMP, String(startedAt))
}
