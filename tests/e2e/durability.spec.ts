import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  truncateSync,
  writeFileSync,
} from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { emptyFileBytes } from '../setup/emptyFile'
import { call, expect, startApp, test, type RunningApp } from './app'
import { HOME } from './startApp'
import { storm } from './storm'

const patch = (app: RunningApp, id: string, revision: number, value: string) =>
  call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: randomUUID(), fields: { description: { revision, value } } },
  })

for (const signal of ['SIGKILL', 'SIGTERM'] as const) {
  test(`ended by ${signal} at any moment while twelve writers save, nothing acknowledged is lost and the file stays whole`, async () => {
    test.setTimeout(240_000)
    const report = await storm(2, signal)
    expect(report).toMatchObject({ lost: [], faults: [], endedByItself: 0 })
    expect(report.acknowledged).toBeGreaterThanOrEqual(report.rounds)
  })
}

test('server and threads share one copy of the database driver', async () => {
  const app = await startApp()
  // Each thread that opens the file has done so once these are answered.
  await call(app, '/api/phrases?seed=bike%20chain&region=GB&limit=1')
  await call(app, '/api/import/phrases?region=GB&name=few.csv', { method: 'POST', raw: 'phrase,volume\none copy,5\n' })
  const maps = readFileSync(`/proc/${app.process.pid}/maps`, 'utf8')
  const copies = new Set(
    maps
      .split('\n')
      .filter(line => line.endsWith('better_sqlite3.node'))
      .map(line => line.slice(line.indexOf('/'))),
  )
  expect([...copies]).toHaveLength(1)
  await app.close()
})

test('a second program on the same data says where the first one is, ends, and disturbs nothing', async () => {
  const app = await startApp({ from: 'empty' })
  writeFileSync(join(app.data, 'upload-of-the-first.tmp'), 'being read')
  const message = await startApp({ data: app.data }).then(
    () => '',
    (error: Error) => error.message,
  )
  expect(message).toContain(
    `already running with the data in ${app.data} (process ${app.process.pid}): open ${app.url}.`,
  )
  expect(message).not.toContain('    at ')
  expect(existsSync(join(app.data, 'upload-of-the-first.tmp'))).toBe(true)
  expect((await call(app, '/api/briefs', { method: 'POST', body: { fields: {} } })).status).toBe(201)
  await app.close()
})

test('a backup made by hand is restored, and the state before it can be had back', async () => {
  const app = await startApp({ from: 'empty' })
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { description: 'First' } } })).json
  const made = (await call(app, '/api/data/backups', { method: 'POST' })).json
  await patch(app, id, 1, 'Second')
  expect((await call(app, '/api/data/restore', { method: 'POST', body: { name: made.name } })).status).toBe(200)
  const description = async () => (await call(app, `/api/briefs/${id}`)).json.fields.description
  expect(await description()).toBe('First')
  const { backups } = (await call(app, '/api/data')).json
  expect(backups.map(each => each.kind).sort()).toEqual(['before-restore', 'by-hand'])
  await call(app, '/api/data/restore', {
    method: 'POST',
    body: { name: backups.find(each => each.kind === 'before-restore')!.name },
  })
  expect(await description()).toBe('Second')
  expect((await call(app, '/api/data/restore', { method: 'POST', body: { name: '../fonetra.sqlite' } })).status).toBe(
    422,
  )
  truncateSync(join(app.data, 'backups', made.name), 5000)
  expect(await call(app, '/api/data/restore', { method: 'POST', body: { name: made.name } })).toMatchObject({
    status: 422,
    json: { error: { code: 'unusable-backup', message: expect.stringContaining('Nothing was changed') } },
  })
  expect(await description()).toBe('Second')
  await app.close()
})

test('a damaged file is told plainly on the screen, and a backup restored from there', async ({ page }) => {
  const data = mkdtempSync(join(tmpdir(), 'fonetra-e2e-'))
  const first = await startApp({ from: 'demo' })
  const made = (await call(first, '/api/data/backups', { method: 'POST' })).json
  for (const name of ['fonetra.sqlite', 'world.sqlite', `backups/${made.name}`])
    copyFileSync(join(first.data, name), join(data, name.split('/').at(-1)!))
  const { port } = new URL(first.url)
  await first.kill()
  writeFileSync(join(first.data, 'fonetra.sqlite'), 'This was a database once. '.repeat(400))
  for (const ending of ['-wal', '-shm']) rmSync(join(first.data, `fonetra.sqlite${ending}`), { force: true })
  const app = await startApp({ data: first.data, port: Number(port), closed: true })
  expect(app.errors()).toContain('is damaged or is not a Fonetra file. Restore a backup')
  expect(app.errors()).not.toContain('    at ')
  expect(await call(app, '/api/briefs')).toMatchObject({ status: 503, json: { error: { code: 'data-damaged' } } })
  await page.goto(app.url)
  await expect(page.getByTestId('closed')).toContainText('Your data cannot be opened')
  await page.getByTestId('backup-restore').click()
  await page.getByTestId('backup-confirm').click()
  // While it is put in place requests are answered that it is.
  await expect.poll(async () => (await call(app, '/api/briefs')).json.briefs?.length ?? 0).toBeGreaterThan(0)
  await expect(page.getByRole('button', { name: 'Switch brief' })).toContainText('Indexing a rear derailleur')
  await app.close()
  for (const folder of [data, first.data]) rmSync(folder, { recursive: true, force: true })
})

/** An app with a brief open and its title ready to be typed in; it can be started again on the same port. */
async function atTheTitle(page: Page) {
  const app = await startApp()
  await page.goto(`${app.url}/library`)
  await page.getByTestId('open-brief').first().click()
  await titleOf(page).click()
  return { app, again: () => startApp({ data: app.data, port: Number(new URL(app.url).port) }) }
}
const titleOf = (page: Page) => page.getByTestId('title').locator('.cm-content')

test('what is typed while the server is down is saved when it is back', async ({ page }) => {
  const { app, again } = await atTheTitle(page)
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Before ')
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
  await app.kill()
  await page.keyboard.type('and during')
  await expect(page.getByTestId('save-state')).toContainText('Not saved')
  await expect(page.getByTestId('save-state')).toContainText('kept here')
  const back = await again()
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u, { timeout: 15_000 })
  await page.reload()
  await expect(titleOf(page)).toHaveText('Before and during')
  await back.close()
  await app.close()
})

test('typed while the server is down and the window closed, it is taken up by the next window', async ({ page }) => {
  const { app, again } = await atTheTitle(page)
  await app.kill()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Only in the browser')
  await expect(page.getByTestId('save-state')).toContainText('Not saved')
  const { context, url } = { context: page.context(), url: page.url() }
  await page.close()
  const back = await again()
  const next = await context.newPage()
  await next.goto(url)
  await expect(titleOf(next)).toHaveText('Only in the browser')
  await expect(next.getByTestId('save-state')).toHaveText(/^Saved/u)
  await back.close()
  await app.close()
})

test('on a full disk the edit stays in the window and is told; nothing saved is lost', async ({ page }) => {
  const limit = (emptyFileBytes(join(HOME, 'server/data/migrations')) + 50_000) / 1024 / 1024
  const app = await startApp({ from: 'empty', env: { FONETRA_DATA_LIMIT_MB: String(limit) } })
  const { id } = (
    await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Full', title: 'Kept' } } })
  ).json
  // Growing texts until one does not fit; then small ones, each of which leaves an answer behind, until there is no
  // room for a line.
  let full = await patch(app, id, 0, 'x')
  let revision = 1
  for (let size = 4000; full.status === 200 && size < 60_000; size += 4000, revision++)
    full = await patch(app, id, revision, `${revision} `.repeat(size).slice(0, size))
  // An edit's id says which page its answer goes to: only when many in a row are refused is there no room on any.
  revision--
  for (let refused = 0, tries = 0; refused < 30 && tries < 1500; tries++) {
    full = await patch(app, id, revision, `Line ${revision}`)
    if (full.status === 200) {
      revision++
      refused = 0
    } else refused++
  }
  expect(full.status).toBe(507)
  expect(full.json.error).toMatchObject({
    code: 'disk-full',
    message: expect.stringMatching(/still in this window\. Free some space/u),
  })
  await page.goto(`${app.url}/desk?brief=${id}`)
  await page.getByTestId('description').locator('.cm-content').click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.type('More words that no disk has room for. ')
  await expect(page.getByTestId('save-state')).toContainText('The disk is full')
  await expect(page.getByTestId('description')).toContainText('no disk has room for')
  await expect(page.getByTestId('title')).toHaveText('Kept')
  await app.close()
})

test('an import runs in its thread while an edit is saved, leaves no file behind, and is there after a kill', async () => {
  const app = await startApp({ from: 'empty' })
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: {} } })).json
  const list = `phrase,volume\n${Array.from({ length: 30_000 }, (_, i) => `imported phrase ${i},${i}`).join('\n')}\n`
  const importing = call(app, '/api/import/phrases?region=GB&name=big.csv', { method: 'POST', raw: list })
  let edits = 0
  let done = false
  void importing.then(() => {
    done = true
  })
  while (!done) {
    const answer = await patch(app, id, edits, `edit ${edits}`)
    expect(answer.status).toBe(200)
    edits++
  }
  expect((await importing).json).toMatchObject({ accepted: 30_000, updated: 0, rejected: [] })
  expect(edits).toBeGreaterThan(3)
  const left = () => readdirSync(app.data).filter(name => name.endsWith('.tmp'))
  expect(left()).toEqual([])
  const cutOff = call(app, '/api/import/phrases?region=GB&name=cut-off.csv', { method: 'POST', raw: list }).catch(
    () => null,
  )
  await expect.poll(() => left().length).toBe(1)
  await app.kill()
  await cutOff
  const again = await startApp({ data: app.data })
  expect(left()).toEqual([])
  const { total } = (await call(again, '/api/phrases?seed=imported%20phrase&region=GB&limit=1')).json
  expect(total).toBeGreaterThanOrEqual(30_000)
  await again.close()
  await app.close()
})

test('an import that is stopped ends soon, keeps what it did, and leaves no file behind', async () => {
  const app = await startApp({ from: 'empty' })
  const rows = 400_000
  const stop = new AbortController()
  const importing = fetch(`${app.url}/api/import/phrases?region=GB&name=long.csv`, {
    method: 'POST',
    signal: stop.signal,
    body: `phrase,volume\n${Array.from({ length: rows }, (_, i) => `long phrase ${i},${i}`).join('\n')}\n`,
  }).catch(() => null)
  const figures = async () =>
    ((await call(app, '/api/sources')).json as { sources: { name: string; figures: number }[] }).sources.find(
      each => each.name === 'long.csv',
    )?.figures ?? 0
  await expect.poll(figures).toBeGreaterThan(0)
  stop.abort()
  expect(await importing).toBeNull()
  await expect.poll(() => readdirSync(app.data).filter(name => name.endsWith('.tmp'))).toEqual([])
  const kept = await figures()
  expect(kept).toBeLessThan(rows)
  // The seed itself is a phrase too.
  expect((await call(app, '/api/phrases?seed=long%20phrase&region=GB&limit=1')).json).toMatchObject({ total: kept + 1 })
  await app.close()
})
