import { readFileSync } from 'node:fs'
import { call, expect, startApp, test } from './app'

test('briefs are made, found, duplicated, deleted and brought back', async ({ page }) => {
  const app = await startApp()
  await page.goto(`${app.url}/library`)
  const briefs = page.getByTestId('open-brief')
  await expect(briefs).toHaveCount(5)
  await page.getByTestId('new-brief').click()
  await page.getByTestId('new-make').click()
  await expect(page.getByTestId('new-topic')).toContainText('Enter a topic')
  await page.getByTestId('new-topic').locator('input').fill('Bleeding brakes')
  await page.getByTestId('new-make').click()
  await expect(page).toHaveURL(/\/demand\?.*seed=bleeding(\+|%20)brakes/u)
  await page.getByRole('link', { name: 'Library' }).click()
  await expect(briefs).toHaveCount(6)
  await page.getByRole('textbox', { name: 'Find a brief' }).fill('bleeding')
  await expect(briefs).toHaveCount(1)
  await page.getByRole('button', { name: 'Duplicate Bleeding brakes' }).click()
  await expect(briefs).toHaveCount(2)
  await page.getByTestId('delete-brief').first().click()
  await expect(briefs).toHaveCount(1)
  await page.getByTestId('undo').click()
  await expect(briefs).toHaveCount(2)
  await page.getByRole('textbox', { name: 'Find a brief' }).fill('nothing like it')
  await expect(page.getByText('No briefs contain these words.')).toBeVisible()
  await app.close()
})

test('a brief is exported as text, JSON and CSV', async ({ page }) => {
  await page.goto('/library')
  // However many briefs other tests have made: the list draws those that are seen.
  await page.getByRole('textbox', { name: 'Find a brief' }).fill('Indexing a rear derailleur')
  for (const [name, ending] of [
    ['Plain text, ready to paste', 'txt'],
    ['JSON, to send on and to open again', 'json'],
    ['CSV of its phrases', 'csv'],
  ] as const) {
    await page.getByTestId('briefs').getByRole('button', { name: 'Export Indexing a rear derailleur' }).click()
    const download = page.waitForEvent('download')
    await page
      .getByRole('link', { name, exact: true })
      .or(page.getByText(name, { exact: true }))
      .first()
      .click()
    const file = await download
    expect(file.suggestedFilename()).toBe(`how-to-index-a-rear-derailleur.${ending}`)
    expect(readFileSync(await file.path(), 'utf8')).toContain('how to index a rear derailleur')
  }
})

test('two windows never overwrite each other: the second is told and shown both versions', async ({
  page,
  context,
  app,
}) => {
  const { id } = (
    await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Two windows', title: 'Start' } } })
  ).json
  const other = await context.newPage()
  const title = (window: typeof page) => window.getByTestId('title').locator('.cm-content')
  for (const window of [page, other]) {
    await window.goto(`/desk?brief=${id}`)
    await expect(title(window)).toHaveText('Start')
  }
  // A window that nobody types in follows.
  await title(page).click()
  await page.keyboard.press('End')
  await page.keyboard.type(' here')
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
  await expect(title(other)).toHaveText('Start here')

  // Both change it before either hears of the other.
  await other.route('**/api/briefs/**', route =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  )
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: crypto.randomUUID(), fields: { title: { revision: 2, value: 'From elsewhere' } } },
  })
  await title(other).click()
  await other.keyboard.press('End')
  await other.keyboard.type(' and there')
  const conflict = other.getByTestId('conflict')
  await expect(conflict).toContainText('Start here and there')
  await expect(conflict).toContainText('From elsewhere')
  expect((await call(app, `/api/briefs/${id}`)).json.fields.title).toBe('From elsewhere')
  await other.getByTestId('theirs-title').click()
  await expect(title(other)).toHaveText('From elsewhere')
  // What gave way can still be found.
  await expect
    .poll(async () => (await call(app, `/api/briefs/${id}/history?field=title`)).json.entries.map(entry => entry.value))
    .toContain('Start here and there')
  // Others of this app open with the newest brief.
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
})

test('the theme, the tray and the keys', async ({ page }) => {
  await page.goto('/library')
  await expect(page.getByTestId('open-brief').first()).toBeVisible()
  await page.getByRole('button', { name: 'Dark theme' }).click()
  await page.reload()
  await expect(page.locator('.v-theme--dark').first()).toBeVisible()
  await page.keyboard.press('t')
  await expect(page.getByTestId('tray')).toBeHidden()
  await page.keyboard.press('t')
  await expect(page.getByTestId('tray')).toBeVisible()
  await page.keyboard.press('?')
  await expect(page.getByText('To the seed box, or to the title on the Desk')).toBeVisible()
  await page.keyboard.press('Escape')
  for (const [key, path] of [
    ['1', 'demand'],
    ['2', 'rivals'],
    ['4', 'release'],
    ['5', 'ranks'],
    ['6', 'library'],
    ['3', 'desk'],
  ] as const) {
    await page.keyboard.press('g')
    await page.keyboard.press(key)
    await expect(page).toHaveURL(new RegExp(`/${path}`, 'u'))
  }
})
