import { call, expect, startApp, test } from './app'

test('the demo’s clock is moved on by days, stops on request, and ages and months follow it', async ({ page }) => {
  const app = await startApp()
  try {
    await page.goto(`${app.url}/rivals?phrase=bike+chain&region=GB`)
    await expect(page.getByText(/video site, seen/u)).toBeVisible()
    const before = (await call(app, '/api/phrases?seed=bike%20chain&region=GB&limit=20', { method: 'POST' })).json
    await page.goto(`${app.url}/library?tab=sources`)
    const days = page.getByTestId('clock-days').locator('input')
    for (const [wrong, why] of [
      ['0', 'Enter 1 to 366 days'],
      ['1.5', 'Enter 1 to 366 days'],
      ['367', 'Enter 1 to 366 days'],
      ['', 'Enter a number of days'],
    ] as const) {
      await days.fill(wrong)
      await expect(page.getByTestId('clock-days')).toContainText(why)
      await expect(page.getByTestId('clock-move')).toBeDisabled()
    }
    // By keyboard alone.
    await days.fill('45')
    await days.press('Enter')
    await expect(page.getByTestId('clock')).toContainText('45 days ahead of this machine')
    await expect(page.getByTestId('clock-move')).toBeEnabled()
    const clock = (await call(app, '/api/standin/clock')).json
    expect(clock).toMatchObject({ daysAhead: 45, left: 0 })
    expect((await call(app, '/api/session')).json.now - Date.now()).toBeGreaterThan(44 * 86_400_000)
    // Figures of another month are asked for behind the first answer.
    await expect
      .poll(
        async () =>
          (await call(app, '/api/phrases?seed=bike%20chain&region=GB&limit=20', { method: 'POST' })).json.monthsEnd! >
          before.monthsEnd!,
      )
      .toBe(true)
    // What was seen 45 days ago is not seen just now.
    await page.goto(`${app.url}/rivals?phrase=bike+chain&region=GB`)
    await expect(page.getByText(/video site, seen just now/u)).toBeVisible()
    const page2 = (await call(app, '/api/results?phrase=bike%20chain&region=GB')).json
    expect(page2.at - Date.now()).toBeGreaterThan(44 * 86_400_000)

    const moved = await call(app, '/api/standin/clock', { method: 'POST', body: { days: 366 } })
    expect(moved.json.left).toBeGreaterThan(0)
    await page.goto(`${app.url}/library?tab=sources`)
    const stopped = (await call(app, '/api/standin/clock', { method: 'DELETE' })).json
    expect(stopped.left).toBe(0)
    expect(stopped.daysAhead).toBeGreaterThanOrEqual(45)
    expect((await call(app, '/api/standin/clock')).json.daysAhead).toBe(stopped.daysAhead)
    // It stays where it was moved, also when the program ends while days pass.
    await call(app, '/api/standin/clock', { method: 'POST', body: { days: 366 } })
    await app.kill()
    const again = await startApp({ data: app.data })
    try {
      expect((await call(again, '/api/standin/clock')).json.daysAhead).toBeGreaterThanOrEqual(stopped.daysAhead)
      expect((await call(again, '/api/results?phrase=bike%20bell&region=GB', { method: 'POST' })).status).toBe(200)
    } finally {
      await again.close()
    }
  } finally {
    await app.close()
  }
})
