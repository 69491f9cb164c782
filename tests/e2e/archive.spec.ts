import { readdirSync } from 'node:fs'
import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import Database from 'better-sqlite3'
import { archiveTables } from '../../server/archive/tables'
import { call, expect, startApp, test } from './app'

/** What each Fonetra learns anew from its pages, whenever it has time; archive.test compares these at rest. */
const LEARNED = new Set(['chance_model', 'standing_page'])

/** Every row of every table that travels and holds work, as text. */
function rowsOf(folder: string) {
  const db = new Database(join(folder, 'fonetra.sqlite'), { readonly: true })
  const tables = archiveTables(db).filter(({ name }) => !LEARNED.has(name))
  const rows = tables.map(({ name }) => ({
    name,
    rows: JSON.stringify(db.prepare(`SELECT * FROM ${name}`).raw().all()),
  }))
  db.close()
  return rows
}

test('everything leaves in one file, and an empty Fonetra is the same after reading it', async ({ page, app }) => {
  await page.goto('/library?tab=data')
  let before: ReturnType<typeof rowsOf> = []
  let file = ''
  // The ranks of the day may be looked up meanwhile: then it is saved once more.
  await expect(async () => {
    before = rowsOf(app.data)
    const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('archive-save').click()])
    expect(download.suggestedFilename()).toMatch(/^fonetra-\d{4}-\d\d-\d\d\.zip$/u)
    file = await download.path()
    for (const [i, { name, rows }] of rowsOf(app.data).entries()) expect(before[i]!.rows === rows, name).toBe(true)
  }).toPass({ timeout: 90_000 })

  const other = await startApp({ from: 'empty' })
  try {
    await page.goto(`${other.url}/library?tab=data`)
    await page.getByTestId('archive-file').setInputFiles({
      ...{ name: 'broken.zip', mimeType: 'application/zip' },
      buffer: (await readFile(file)).subarray(0, 5000),
    })
    await expect(page.getByTestId('archive-problem')).toContainText('not a ZIP archive, or it is damaged')
    expect((await call(other, '/api/briefs')).json.briefs).toEqual([])

    await page.getByTestId('archive-file').setInputFiles(file)
    // It is read whole, and checked, before anything of it is there.
    await expect(page).toHaveURL(/\/library(\?brief=[^&]*)?$/u, { timeout: 120_000 })
    await expect(page.getByRole('link', { name: 'Indexing a rear derailleur' }).first()).toBeVisible()
    const after = rowsOf(other.data)
    expect(after.map(({ name }) => name)).toEqual(before.map(({ name }) => name))
    for (const [i, { name, rows }] of before.entries()) expect(after[i]!.rows === rows, name).toBe(true)

    // It holds something now: it asks first, and the backup has what it held.
    await call(other, '/api/briefs', { method: 'POST', body: { topic: 'Only here' } })
    await page.goto(`${other.url}/library?tab=data`)
    await page.getByTestId('archive-file').setInputFiles(file)
    await expect(page.getByRole('dialog')).toContainText('already holds 6 briefs')
    await page.getByRole('button', { name: 'Cancel' }).click()
    expect((await call(other, '/api/briefs')).json.briefs).toHaveLength(6)
    await page.getByTestId('archive-file').setInputFiles(file)
    await page.getByTestId('archive-confirm').click()
    await expect(page).toHaveURL(/\/library(\?brief=[^&]*)?$/u, { timeout: 120_000 })
    await expect.poll(async () => (await call(other, '/api/briefs')).json.briefs.length).toBe(5)
    const { backups } = (await call(other, '/api/data')).json
    expect(backups.filter(({ kind }) => kind === 'before-restore')).toHaveLength(2)
  } finally {
    await other.close()
  }
})

test('by program: the sender who leaves stops it, and nothing has changed', async ({ app }) => {
  const archive = join(app.data, 'all.zip')
  await writeFile(archive, Buffer.from(await (await fetch(`${app.url}/api/data/archive`)).arrayBuffer()))
  const stop = new AbortController()
  const sent = fetch(`${app.url}/api/data/archive?replace=1`, {
    ...{ method: 'POST', signal: stop.signal, headers: { Accept: 'application/x-ndjson' } },
    body: await readFile(archive),
  }).then(async answer => {
    const reader = answer.body!.getReader()
    for (;;) {
      const { value, done } = await reader.read()
      if (done) return
      if (Buffer.from(value).toString().includes('rows read')) stop.abort()
    }
  })
  await expect(sent).rejects.toThrow(/abort/u)
  expect((await call(app, '/api/briefs')).json.briefs.length).toBeGreaterThan(3)
  await expect.poll(() => readdirSync(app.data).filter(name => name.startsWith('upload-'))).toEqual([])
  const { backups } = (await call(app, '/api/data')).json
  expect(backups.filter(({ kind }) => kind === 'before-restore')).toEqual([])
})
