import type { Page } from '@playwright/test'
import { randomUUID } from 'node:crypto'
import { readdirSync } from 'node:fs'
import { call, expect, startApp, test, type RunningApp } from './app'

const patch = (app: RunningApp, id: string, revision: number, value: string) =>
  call(app, `/api/briefs/${id}`, { method: 'PATCH', body: { editId: randomUUID(), fields: { description: { revision, value } } } })

test('killed twenty times while saving, no acknowledged edit is lost', async () => {
  test.setTimeout(240_000)
  let app = await startApp({ from: 'empty' })
  const { data } = app
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Durable' } } })).json
  let acknowledged = { revision: 0, value: '' }
  for (let round = 0; round < 20; round++) {
    let { revision } = acknowledged
    let sent = acknowledged.value
    const saving = (async () => {
      for (let i = 0; ; i++) {
        const value = `round ${round} edit ${i} ${'x'.repeat(200 + 137 * i % 3000)}`
        sent = value
        const answer = await patch(app, id, revision, value).catch(() => null)
        if (answer?.status !== 200) return
        revision = answer.json.revisions.description
        acknowledged = { revision, value }
      }
    })()
    // Not before something was saved, and then at any moment of an edit.
    await expect.poll(() => acknowledged.revision > 0 && acknowledged.value.startsWith(`round ${round} `)).toBe(true)
    await new Promise(wake => setTimeout(wake, 10 + 11 * round % 60))
    await app.kill()
    await saving
    app = await startApp({ data })
    const brief = (await call(app, `/api/briefs/${id}`)).json
    // The last edit sent may have reached the disk without its answer; an acknowledged one must have.
    expect(brief.revisions.description).toBeGreaterThanOrEqual(acknowledged.revision)
    expect([acknowledged.value, sent]).toContain(brief.fields.description)
    acknowledged = { revision: brief.revisions.description, value: brief.fields.description }
    const { entries } = (await call(app, `/api/briefs/${id}/history?field=description`)).json
    expect(entries[0].value).toBe(brief.fields.description)
  }
  await app.close()
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
  const app = await startApp({ from: 'empty', env: { FONETRA_DATA_LIMIT_MB: '0.3' } })
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Full', title: 'Kept' } } })).json
  // Growing texts until one does not fit; then small ones, each of which leaves an answer behind, until there is no room for a line.
  let full = await patch(app, id, 0, 'x')
  let revision = 1
  for (let size = 4000; full.status === 200 && size < 60_000; size += 4000, revision++) full = await patch(app, id, revision, `${revision} `.repeat(size).slice(0, size))
  // An edit's id says which page its answer goes to: only when many in a row are refused is there no room on any.
  revision--
  for (let refused = 0, tries = 0; refused < 30 && tries < 1500; tries++) {
    full = await patch(app, id, revision, `Line ${revision}`)
    if (full.status === 200) { revision++; refused = 0 } else refused++
  }
  expect(full.status).toBe(507)
  expect(full.json.error).toMatchObject({ code: 'disk-full', message: expect.stringMatching(/still in this window.*free some space/u) })
  await page.goto(`${app.url}/desk?brief=${id}`)
  await page.getByTestId('description').locator('.cm-content').click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.type('More words that no disk has room for. ')
  await expect(page.getByTestId('save-state')).toContainText('no room left')
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
  void importing.then(() => { done = true })
  while (!done) {
    const answer = await patch(app, id, edits, `edit ${edits}`)
    expect(answer.status).toBe(200)
    edits++
  }
  expect((await importing).json).toMatchObject({ accepted: 30_000, updated: 0, rejected: [] })
  expect(edits).toBeGreaterThan(3)
  const left = () => readdirSync(app.data).filter(name => name.endsWith('.tmp'))
  expect(left()).toEqual([])
  const cutOff = call(app, '/api/import/phrases?region=GB&name=cut-off.csv', { method: 'POST', raw: list }).catch(() => null)
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
  const importing = fetch(`${app.url}/api/import/phrases?region=GB&name=long.csv`, { method: 'POST', signal: stop.signal, body: `phrase,volume\n${Array.from({ length: rows }, (_, i) => `long phrase ${i},${i}`).join('\n')}\n` }).catch(() => null)
  const figures = async () => ((await call(app, '/api/sources')).json as { sources: { name: string, figures: number }[] }).sources.find(each => each.name === 'long.csv')?.figures ?? 0
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
