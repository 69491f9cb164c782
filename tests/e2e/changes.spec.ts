import type { Browser, BrowserContext } from '@playwright/test'
import { rmSync } from 'node:fs'
import { call, demoApp, expect, startApp, test as pageTest, type RunningApp } from './app'

// Figures and briefs change here: other files do not see them.
const test = pageTest.extend<object, { app: RunningApp }>(demoApp)

/** A window of another browser, which shares nothing with this one but the server. */
async function elsewhere(browser: Browser, app: RunningApp): Promise<BrowserContext> {
  return browser.newContext({ baseURL: app.url, viewport: { width: 1280, height: 800 }, reducedMotion: 'reduce' })
}

test('what another browser writes in the same brief, and its new briefs, are seen at once', async ({
  page,
  app,
  browser,
}) => {
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Seen by two' } } })).json
  await page.goto(`/desk?brief=${id}`)
  await expect(page.getByTestId('title')).toBeVisible()
  const other = await elsewhere(browser, app)
  const there = await other.newPage()
  await there.goto(`/desk?brief=${id}`)
  await there.getByTestId('title').locator('.cm-content').pressSequentially('Typed elsewhere')
  await expect(page.getByTestId('title').locator('.cm-content')).toHaveText('Typed elsewhere')
  // What is typed here meanwhile is not overwritten, and neither window is asked anything.
  await page.getByTestId('file-name').locator('input').fill('here.mp4')
  await expect(there.getByTestId('file-name').locator('input')).toHaveValue('here.mp4')
  await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'New from a script' } } })
  await page.getByRole('button', { name: 'Switch brief' }).click()
  await expect(page.locator('.v-list-item').filter({ hasText: 'New from a script' })).toBeVisible()
  await other.close()
})

test('figures imported elsewhere are offered on Demand, and stand in the tray by themselves', async ({ page, app }) => {
  const { id } = (
    await call(app, '/api/briefs', {
      method: 'POST',
      body: { fields: { topic: 'Figures', region: 'GB', tray: { lead: 'bike chain', support: [], setAside: [] } } },
    })
  ).json
  await page.goto(`/demand?brief=${id}&seed=bike%20chain&sort=volume:desc`)
  await expect(page.getByTestId('phrase-row').first()).toBeVisible()
  await expect(page.getByTestId('assess-stop')).toHaveCount(0)
  await call(app, '/api/import/phrases?region=GB&name=elsewhere.csv', {
    method: 'POST',
    raw: 'phrase,volume\nbike chain,98765\n',
  })
  await expect(page.getByTestId('tray')).toContainText('98.8K')
  await page.getByTestId('demand-stale').click()
  await expect(page.getByTestId('phrase-row').filter({ hasText: '98.8K' }).first()).toBeVisible()
  await expect(page.getByTestId('demand-stale')).toHaveCount(0)
})

test('what one assesses oneself is not told as somebody else’s', async ({ page, app }) => {
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Before it' } } })).json
  await page.goto(`/demand?brief=${id}&seed=bike%20pump&region=GB`)
  await expect(page.getByTestId('assess-stop')).toBeVisible()
  await expect(page.getByTestId('assess-stop')).toHaveCount(0)
  // What another one changes is told after all of one's own.
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: crypto.randomUUID(), fields: { topic: { revision: 1, value: 'After it' } } },
  })
  await expect(page.getByRole('button', { name: 'Switch brief' })).toContainText('After it')
  await expect(page.getByTestId('demand-stale')).toHaveCount(0)
})

test('work begun elsewhere is shown, and its end is told', async ({ page, app }) => {
  await page.goto('/library')
  await expect(page.getByTestId('library-briefs')).toBeVisible()
  const { rows } = (await call(app, '/api/phrases?seed=bike&region=GB&limit=1000')).json as {
    rows: { phrase: string }[]
  }
  await call(app, '/api/phrases/assess', {
    method: 'POST',
    body: {
      phrases: rows.slice(0, 420).map(row => row.phrase),
      region: 'GB',
      language: 'en',
      title: 'Begun elsewhere',
    },
  })
  await expect(page.getByTestId('jobs')).toBeVisible()
  await expect(page.getByTestId('notice')).toContainText('Begun elsewhere: done.', { timeout: 110_000 })
})

test('the stream that broke off with the server is taken up, and what happened meanwhile is asked for', async ({
  page,
}) => {
  const first = await startApp({ from: 'empty' })
  await page.goto(`${first.url}/library`)
  await expect(page.getByText('No briefs yet')).toBeVisible()
  await first.kill()
  const again = await startApp({ data: first.data, port: Number(new URL(first.url).port) })
  await call(again, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Made while away' } } })
  await expect(page.getByText('Made while away').first()).toBeVisible()
  await again.close()
  rmSync(first.data, { recursive: true, force: true })
})
