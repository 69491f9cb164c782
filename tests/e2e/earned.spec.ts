import { call, demoApp, expect, test as base, type RunningApp } from './app'

// Views of all videos are asked for, which others do without: an app of its own.
const test = base.extend<object, { app: RunningApp }>(demoApp)

const day = (ago: number) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10)

async function looked(app: RunningApp): Promise<string[]> {
  await call(app, '/api/videos/views', { method: 'POST', body: {} })
  await expect
    .poll(async () => (await call(app, '/api/jobs')).json.jobs.find(({ kind }) => kind === 'views')?.state)
    .toBe('done')
  const { rows } = (await call(app, '/api/ranks/channel?region=GB')).json as { rows: { videoId: string }[] }
  return [...new Set(rows.map(({ videoId }) => videoId))]
}

test('what videos brought is read from a table, divided among phrases, and worth what one is worth', async ({
  page,
  app,
}) => {
  const ids = await looked(app)
  await page.goto('/ranks?view=channel&of=earned')
  await expect(page.getByTestId('earned-empty')).toBeVisible()
  await page.getByTestId('earned-import').click()
  const dialog = page.getByTestId('earnings')
  const table = ids.slice(0, 12).flatMap((id, i) => [5, 9, 20].map(ago => `${day(ago)},${id},${1 + ((i + ago) % 3)}`))
  await dialog.locator('input[type=file]').setInputFiles({
    name: 'orders.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`Date,Video id,Orders\n${table.join('\n')}\n${day(5)},nobody,4\n`),
  })
  await page.getByTestId('earnings-send').click()
  await expect(dialog).toContainText('36 lines new')
  await expect(dialog).toContainText('“nobody” is no video of your channel')
  await page.keyboard.press('Escape')

  await expect(page.getByTestId('earned-said')).toContainText('orders from')
  const rows = page.getByTestId('earned-row')
  await expect(rows.first()).toBeVisible()
  const told = (await call(app, '/api/earned')).json
  expect(told.phrases.reduce((sum, { count }) => sum + count.value, 0)).toBeCloseTo(told.counted, 6)
  // Nobody told what an order is worth: it is not 0.
  await expect(page.getByRole('row').filter({ has: rows.first() }).locator('td').last()).toHaveText('–')
  const worth = page.getByTestId('worth-order').locator('input')
  await worth.fill('-3')
  await expect(page.getByTestId('worth-order')).toContainText('Enter a number of 0 or more.')
  await worth.fill('40')
  await worth.press('Tab')
  await expect(page.getByRole('row').filter({ has: rows.first() }).locator('td').last()).toContainText(/\d/u)
  expect((await call(app, '/api/earned')).json.kinds).toEqual([
    { kind: 'order', count: told.told, each: 40, eachFrom: 'set' },
  ])
})

test('a day is told by hand, with the keyboard; wrong input is said; it is removed and taken back', async ({
  page,
  app,
}) => {
  await looked(app)
  await page.goto('/ranks?view=channel&of=earned')
  const form = page.getByTestId('earned-line')
  await form.getByTestId('line-add').focus()
  await page.keyboard.press('Enter')
  await expect(form).toContainText('Choose the video.')
  await expect(form).toContainText('Give the day.')
  await expect(form).toContainText('Enter a whole number.')
  await form.getByTestId('line-video').locator('input').focus()
  await page.keyboard.type('touring')
  await expect(page.getByRole('option').first()).toBeVisible()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('option').first()).toBeHidden()
  await form.getByTestId('line-day').locator('input').fill(day(3))
  await form.getByTestId('line-count').locator('input').fill('7')
  await form.getByTestId('line-value').locator('input').fill('210')
  await page.keyboard.press('Enter')
  await expect(page.getByTestId('notice')).toContainText('Saved')
  const line = page.getByTestId('told-line').filter({ hasText: '7 orders' })
  await expect(line).toHaveCount(1)
  await expect(line).toContainText('210')
  await line.getByTestId('told-remove').click()
  await expect(line).toHaveCount(0)
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click()
  await expect(line).toHaveCount(1)
  await page.reload()
  await expect(line).toHaveCount(1)
})
