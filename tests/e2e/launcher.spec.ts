import { spawn, spawnSync } from 'node:child_process'
import { cpSync, existsSync, mkdtempSync, rmSync, statSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { DEMO, HOME } from './startApp'

let folder = ''
test.beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'fonetra-launcher-'))
})
test.afterEach(() => {
  rmSync(folder, { recursive: true, force: true })
})

const SCRIPT = join(HOME, 'scripts/fonetra.mjs')
const once = (...args: string[]) =>
  spawnSync(process.execPath, [SCRIPT, ...args], { cwd: HOME, encoding: 'utf8', input: '' })

/** Starts it, waits for the line that it is ready, asks it, and ends it as Ctrl + C does. */
async function upAndDown(command: string, port: number): Promise<string> {
  const run = spawn(process.execPath, [SCRIPT, command, '--port', String(port), '--data', folder], {
    cwd: HOME,
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  let said = ''
  run.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString()
  })
  const ended = new Promise<number | null>(tell => {
    run.once('exit', tell)
  })
  try {
    await expect
      // To make the demo's data takes half a minute, and five times that on a machine that is slow and busy.
      .poll(() => said.split('\n'), { timeout: 240_000 })
      .toContain(`Fonetra is ready at http://127.0.0.1:${port}`)
    expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).toBe(200)
    const { briefs } = (await (await fetch(`http://127.0.0.1:${port}/api/briefs`)).json()) as { briefs: unknown[] }
    said += `\nbriefs: ${briefs.length}`
  } finally {
    run.kill('SIGINT')
    await ended
  }
  return said
}

test('the demo makes its data, says when it is ready, and is up again without making it', async () => {
  test.setTimeout(600_000)
  const first = await upAndDown('demo', 43_871)
  expect(first).toContain('40,000 phrases')
  expect(first).toContain('briefs: 5')
  const made = statSync(join(folder, 'world.sqlite')).mtimeMs
  const second = await upAndDown('demo', 43_871)
  expect(second).not.toContain('40,000 phrases')
  expect(second).toContain('briefs: 5')
  expect(statSync(join(folder, 'world.sqlite')).mtimeMs).toBe(made)
})

test('the plain start has the made-up world and no briefs', async () => {
  cpSync(join(DEMO, 'world.sqlite'), join(folder, 'world.sqlite'))
  expect(await upAndDown('start', 43_872)).toContain('briefs: 0')
})

test('a port in use, a port that is none and an unknown option are told', async () => {
  const busy = createServer().listen(43_873, '127.0.0.1')
  await new Promise(resolve => busy.once('listening', resolve))
  expect(once('demo', '--port', '43873', '--data', folder)).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('Port 43873 is in use'),
  })
  busy.close()
  expect(once('demo', '--port', 'harbour')).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('“harbour” is not a port'),
  })
  expect(once('demo', '--speed')).toMatchObject({ status: 1, stderr: expect.stringContaining('--fresh') })
})

test('started by hand it listens on this machine alone, or says why it does not start', async () => {
  cpSync(join(DEMO, 'world.sqlite'), join(folder, 'world.sqlite'))
  const env = Object.fromEntries(
    Object.entries(process.env).filter(([name]) => !/^(?:NITRO_)?(?:HOST|PORT)$/u.test(name)),
  )
  const byHand = (more: Record<string, string>) => ({
    cwd: HOME,
    env: { ...env, FONETRA_HOME: HOME, FONETRA_DATA: folder, ...more },
  })
  const entry = join(HOME, '.output/server/index.mjs')
  const refused = spawnSync(process.execPath, [entry], {
    ...byHand({ HOST: '0.0.0.0', PORT: '43875' }),
    encoding: 'utf8',
  })
  expect(refused).toMatchObject({ status: 1, stderr: expect.stringContaining('listens on this machine alone') })
  const run = spawn(process.execPath, [entry], { ...byHand({ PORT: '43876' }), stdio: ['ignore', 'pipe', 'inherit'] })
  let said = ''
  run.stdout.on('data', (chunk: Buffer) => {
    said += chunk.toString()
  })
  await expect.poll(() => said).toContain('Listening on http://127.0.0.1:43876')
  const ended = new Promise(tell => {
    run.once('exit', tell)
  })
  run.kill('SIGTERM')
  await ended
})

test('it goes on when nobody reads what it says any more', async () => {
  cpSync(join(DEMO, 'world.sqlite'), join(folder, 'world.sqlite'))
  const run = spawn(process.execPath, [join(HOME, '.output/server/index.mjs')], {
    cwd: HOME,
    env: { ...process.env, FONETRA_HOME: HOME, FONETRA_DATA: folder, HOST: '127.0.0.1', PORT: '43877' },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  const ended = new Promise(tell => {
    run.once('exit', tell)
  })
  // Closed before it says that it listens.
  run.stdout.destroy()
  run.stderr.destroy()
  const health = () =>
    fetch('http://127.0.0.1:43877/api/health', { signal: AbortSignal.timeout(2000) }).then(
      ({ ok }) => ok,
      () => false,
    )
  try {
    await expect.poll(health).toBe(true)
  } finally {
    run.kill('SIGKILL')
    await ended
  }
})

test('making demo data anew deletes nothing unasked', () => {
  const file = join(folder, 'fonetra.sqlite')
  cpSync(join(DEMO, 'fonetra.sqlite'), file)
  expect(once('demo', '--fresh', '--port', '43874', '--data', folder)).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('--yes'),
  })
  expect(existsSync(file)).toBe(true)
})
