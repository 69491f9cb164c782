import { call, expect, test } from './app'

interface Row {
  key: string
  kind: string
  title: string
  views: number | null
}
const next = async (url: string) => (await (await fetch(`${url}/api/next`)).json()) as { rows: Row[]; off: Row[] }

test('what is worth doing, each with its reason and a way there; put off and taken back', async ({ page, app }) => {
  const due = Date.now() + 20 * 3_600_000
  const fields = { topic: 'Truing a wheel at the roadside', releaseAt: due }
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields } })).json
  const { rows } = await next(app.url)
  expect(rows.find(({ key }) => key === `release:${id}`)).toBeDefined()
  await page.goto(`/library?brief=${id}`)
  await expect(page.getByTestId('tray')).toBeVisible()
  await page.keyboard.press('g')
  await page.keyboard.press('0')
  await expect(page).toHaveURL(/\/next/u)
  const row = page.getByTestId('next-row').filter({ hasText: fields.topic })
  await expect(row).toContainText('It goes out soon, and is not ready')
  await expect(row).toContainText('points of its sheet are open')
  await expect(page.getByTestId('next-row')).toHaveCount(rows.length)
  const mend = rows.find(({ kind }) => kind === 'mend')!
  await expect(page.getByTestId('next-row').filter({ hasText: mend.title })).toContainText('views a month')
  // Put off with the keys, and taken back.
  await row.getByTestId('next-off').focus()
  await page.keyboard.press('Enter')
  await expect(row).toHaveCount(0)
  await expect(page.getByTestId('notice')).toContainText('put off for a week')
  expect((await next(app.url)).off.map(({ key }) => key)).toContain(`release:${id}`)
  await page.keyboard.press('Control+z')
  await expect(row).toHaveCount(1)
  await row.getByTestId('next-never').click()
  await expect(row).toHaveCount(0)
  await page.getByTestId('next-off-too').click()
  await row.getByTestId('next-take-up').click()
  await expect(row.getByTestId('next-act')).toBeVisible()
  await row.getByTestId('next-act').click()
  await expect(page).toHaveURL(new RegExp(`/release\\?brief=${id}`, 'u'))
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
})

test('Fonetra opens with it for the first time on a day, then where the person was', async ({ page }) => {
  await page.goto('/ranks?view=told')
  await expect(page.getByTestId('view-told')).toBeVisible()
  await page.goto('/')
  await expect(page).toHaveURL(/\/ranks\?view=told/u)
  await page.evaluate(() => {
    localStorage.setItem('fonetra.place.day', 'yesterday')
  })
  await page.goto('/')
  await expect(page).toHaveURL(/\/next/u)
  await page.getByTestId('next-back').click()
  await expect(page).toHaveURL(/\/ranks\?.*view=told/u)
  await page.goto('/')
  await expect(page).toHaveURL(/\/ranks\?.*view=told/u)
})

test('what cannot be loaded says so, and can be tried again', async ({ page }) => {
  await page.route('**/api/next?**', route =>
    route.fulfill({ status: 500, json: { error: { code: 'broken', message: 'Broken.' } } }),
  )
  await page.goto('/next')
  await expect(page.getByRole('alert')).toContainText('Broken.')
  await page.unroute('**/api/next?**')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByTestId('next-looked')).toContainText('Looked at')
})
