import { call, demoApp, expect, test as base, type RunningApp } from './app'

// What is told of videos changes what others see: an app of its own.
const test = base.extend<object, { app: RunningApp }>(demoApp)

const day = (ago: number) => new Date(Date.now() - ago * 86_400_000).toISOString().slice(0, 10)

/** The videos of which ranks are known. */
async function ranked(app: RunningApp): Promise<string[]> {
  const { rows } = (await call(app, '/api/ranks/channel?region=GB')).json as { rows: { videoId: string }[] }
  return [...new Set(rows.map(({ videoId }) => videoId))]
}

/** The demo's own book is put away. */
async function forget(app: RunningApp): Promise<void> {
  for (;;) {
    const { lines } = (await call(app, '/api/earned')).json as {
      lines: { videoId: string; day: string; kind: string; link: string }[]
    }
    if (!lines.length) return
    for (const { videoId, day: on, kind, link } of lines)
      await call(app, `/api/earned?${new URLSearchParams({ videoId, day: on, kind, link }).toString()}`, {
        method: 'DELETE',
      })
  }
}

test('the demo tells what bookings came; what each intent brings counts in the worth once it is taken over', async ({
  page,
  app,
}) => {
  await page.goto('/ranks?view=channel&of=earned')
  await expect(page.getByTestId('earned-said')).toContainText('orders from')
  await expect(page.getByTestId('worth-currency').locator('input')).toHaveValue('GBP')
  await expect(page.getByTestId('earned-intent').first()).toContainText(/\d views/u)
  const { workspaces } = (await call(app, '/api/workspaces')).json as { workspaces: { id: string }[] }
  const settings = `/api/workspaces/${workspaces[0]!.id}/settings`
  const detail = async () =>
    (await call(app, '/api/phrases/detail?phrase=bike%20chain&region=GB')).json as unknown as {
      intent: string | null
      worth: { anyone: number }
      worthWorking: { factors: { name: string; value: number }[] }
    }
  const before = await detail()
  expect(before.worthWorking.factors.map(({ name }) => name)).toEqual(['demand', 'ease', 'trend'])
  const brings = { intents: { hire: 0.02 }, other: 0.005 }
  const weights = { demand: 0.4, ease: 0.4, trend: 0.1, earnings: 0, brings }
  expect((await call(app, settings, { method: 'PUT', body: { weights } })).status).toBe(200)
  await page.goto('/library?tab=channels')
  const field = page.getByTestId('weight-earnings').locator('input')
  await expect(page.getByTestId('weights')).toContainText('hire 20 and others 5.0 of 1,000 views')
  await field.fill('0.1')
  await page.getByTestId('weights-save').click()
  await expect(page.getByTestId('notice')).toContainText('Weights saved')
  const after = await detail()
  expect(after.worthWorking.factors.find(({ name }) => name === 'earnings')!.value).toBeCloseTo(0.25)
  const product = after.worthWorking.factors.reduce(
    (all, { name, value }) => all * value ** { ...weights, earnings: 0.1 }[name as 'demand'],
    100,
  )
  expect(after.worth.anyone).toBeCloseTo(product, 6)
  const { rows } = (await call(app, '/api/phrases?seed=bike%20chain&region=GB&sort=worth:desc&limit=5')).json as {
    rows: { phrase: string; worth: { anyone: number } }[]
  }
  expect(rows.find(({ phrase }) => phrase === 'bike chain')?.worth.anyone ?? after.worth.anyone).toBeCloseTo(product, 6)
})

test('what videos brought is read from a table, divided among phrases, and worth what one is worth', async ({
  page,
  app,
}) => {
  const ids = await ranked(app)
  await forget(app)
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
}) => {
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
