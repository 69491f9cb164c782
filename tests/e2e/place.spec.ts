import type { Page } from '@playwright/test'
import { call, expect, test } from './app'

test('whoever opens Fonetra again is where they were, and each area shows a brief’s last look', async ({
  page,
  app,
}) => {
  await page.goto('/demand?seed=bike+chain&region=GB&view=year')
  await expect(page.getByTestId('strip').first()).toBeVisible()
  await page.getByRole('link', { name: 'Desk' }).click()
  await expect(page.getByTestId('points')).toBeVisible()
  await page.getByRole('link', { name: 'Demand' }).click()
  await expect(page).toHaveURL(/seed=bike(\+|%20)chain.*view=year|view=year.*seed=bike(\+|%20)chain/u)
  await expect(page.getByTestId('strip').first()).toBeVisible()
  await page.goto(`${app.url}/`)
  await expect(page).toHaveURL(/demand\?.*view=year/u)
  // What lay over the screen for a moment does not come back.
  await page.goto('/demand?seed=bike+chain&region=GB&places=1')
  await expect(page.getByTestId('places')).toBeVisible()
  await page.keyboard.press('Escape')
  await page.getByRole('link', { name: 'Library' }).click()
  await page.getByRole('link', { name: 'Demand' }).click()
  await expect(page.getByTestId('phrase-row').first()).toBeVisible()
  await expect(page.getByTestId('places')).toHaveCount(0)
})

test('a printed screen is a page of its own: headed with the channel, without what is pressed', async ({ page }) => {
  await page.goto('/desk')
  await expect(page.getByTestId('points')).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(page.locator('.print-head')).toContainText(/Marrowby Wheel Shed.+\d{4}/u)
  await expect(page.locator('.print-head')).toBeVisible()
  for (const hidden of [page.getByTestId('tray'), page.getByRole('link', { name: 'Demand' }), page.getByTestId('fix')])
    await expect(hidden.first()).toBeHidden()
  const [text, ledger] = await Promise.all(
    [page.locator('.write'), page.locator('.side')].map(part => part.boundingBox()),
  )
  expect(ledger!.y).toBeGreaterThan(text!.y + text!.height)
  // What is ticked as done says so on paper, too.
  await page.emulateMedia({ media: 'screen' })
  await page.goto('/release')
  const tick = page.locator('.tick').first()
  await expect(tick).toBeVisible()
  await page.emulateMedia({ media: 'print' })
  await expect(tick).toBeVisible()
})

test('after printing a list, the rows seen before are seen', async ({ page }) => {
  await page.goto('/demand?seed=bike&region=GB')
  const rows = page.getByTestId('phrase-row')
  await expect(rows.first()).toBeVisible()
  const frame = page.locator('.v-table__wrapper')
  const far = 60 * 34
  await frame.evaluate((element, top) => element.scrollTo({ top }), far)
  const above = () => frame.evaluate(element => element.scrollTop)
  await expect.poll(above).toBe(far)
  // A browser says so before it lays out the paper.
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')))
  await page.emulateMedia({ media: 'print' })
  // All of them, and not those seen alone.
  await expect.poll(() => rows.count()).toBeGreaterThan(300)
  await page.emulateMedia({ media: 'screen' })
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')))
  await expect.poll(above).toBe(far)
  await expect.poll(() => rows.count()).toBeLessThan(100)
})

test('keys go on from the row that has the focus, and the table is right again after another view', async ({
  page,
}) => {
  await page.goto('/demand?seed=bike&region=GB')
  const rows = page.getByTestId('phrase-row')
  const place = () => page.evaluate(() => Number(document.activeElement!.closest('tr')?.dataset.row))
  await rows.first().locator('input').focus()
  for (let n = 1; n <= 5; n++) {
    await page.keyboard.press('PageDown')
    await expect.poll(place).toBe(10 * n)
  }
  // A row scrolled into sight stands where one was that went out of it: the next key goes on from what is focused.
  const frame = page.locator('.v-table__wrapper')
  await frame.evaluate(element => element.scrollBy({ top: 25 * 34 }))
  await expect(page.locator('[data-row="70"]')).toBeVisible()
  await page.locator('[data-row="70"] input').focus()
  await page.keyboard.press('ArrowDown')
  await expect.poll(place).toBe(71)
  // Another question, asked while the chart is looked at, begins at the top.
  await page.getByRole('button', { name: 'Chart', exact: true }).click()
  await expect(frame).toBeHidden()
  await page.getByTestId('seed').locator('input[role=combobox]').fill('bike chain')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/seed=bike(\+|%20)chain/u)
  await page.getByRole('button', { name: 'Table', exact: true }).click()
  await expect(page.locator('[data-row="0"]')).toBeInViewport()
  await expect(page.locator('[data-row="0"]')).toContainText('bike chain')
  expect(await frame.evaluate(element => element.scrollTop)).toBe(0)
})

/** Words and figures of a table that stick out of their cells, into the next ones. */
const stickingOut = (page: Page) =>
  page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('main th, main td')]
      .filter(cell => cell.clientWidth > 1 && getComputedStyle(cell).overflowX === 'visible')
      .filter(cell => {
        const end = cell.getBoundingClientRect().right
        return [...cell.querySelectorAll<HTMLElement>('button, a, span')].some(part => {
          // What a part of the cell cuts off is cut, not in the way.
          for (let at = part.parentElement!; at !== cell; at = at.parentElement!)
            if (getComputedStyle(at).overflowX !== 'visible') return false
          const box = part.getBoundingClientRect()
          return box.width > 1 && box.right > end + 2 && !part.closest('.unseen')
        })
      })
      .map(cell => cell.outerHTML.slice(0, 160)),
  )

// With the tray beside the screen, and without it.
for (const width of [1024, 1240])
  test(`at ${width} wide no cell of a table reaches into the next, and a phrase has room`, async ({ page, app }) => {
    await page.setViewportSize({ width, height: 800 })
    const { briefs } = (await call(app, '/api/briefs')).json
    const { id } = briefs.find(({ topic }) => topic === 'Indexing a rear derailleur')!
    for (const [path, ready] of [
      ['/demand?seed=bike+chain&region=GB', 'phrase-row'],
      ['/demand?seed=bike+chain&region=GB&phrase=bike+chain&for=channel', 'sheet'],
      ['/rivals?phrase=how+to+clean+bike+chain&region=GB', 'rival'],
      ['/library', 'open-brief'],
      [`/desk?side=tags&brief=${id}`, 'rack-row'],
      ['/ranks?view=mend', 'mend-row'],
    ] as const) {
      await page.goto(path)
      await expect(page.getByTestId(ready).first()).toBeVisible()
      expect(await stickingOut(page), path).toEqual([])
      if (path.startsWith('/demand')) {
        const { width: room } = (await page.getByRole('columnheader', { name: 'Phrase' }).boundingBox())!
        expect(room, path).toBeGreaterThan(130)
      }
    }
    if (width < 1240) await expect(page.getByTestId('tray')).not.toBeInViewport()
    else await expect(page.getByTestId('tray')).toBeInViewport()
  })

for (const width of [420, 1024]) {
  test(`at ${width} wide nothing is cut off that cannot be scrolled to, and no head of the grid overlaps another`, async ({
    page,
  }) => {
    await page.setViewportSize({ width, height: 800 })
    for (const [path, ready] of [
      ['/demand?seed=bike+chain&region=GB', 'phrase-row'],
      ['/rivals?phrase=how+to+clean+bike+chain&region=GB', 'rival'],
      ['/library', 'open-brief'],
      ['/desk', 'points'],
    ] as const) {
      await page.goto(path)
      await expect(page.getByTestId(ready).first()).toBeVisible()
      // What is wider than the screen stands in something that scrolls.
      const cut = await page.evaluate(() =>
        [...document.querySelectorAll<HTMLElement>('main button, main input, main td, main th, main p, main h2')]
          .filter(element => {
            const box = element.getBoundingClientRect()
            if (!box.width || box.right <= innerWidth + 1) return false
            for (let parent = element.parentElement; parent; parent = parent.parentElement)
              if (/auto|scroll/u.test(getComputedStyle(parent).overflowX) && parent.scrollWidth > parent.clientWidth)
                return false
            return true
          })
          .map(element => element.outerHTML.slice(0, 120)),
      )
      expect(cut, path).toEqual([])
    }
    const heads = await page
      .getByTestId('grid')
      .locator('thead th')
      .evaluateAll(list =>
        list.map(each => each.getBoundingClientRect()).map(({ left, right }) => [left, right] as const),
      )
    for (const [i, [left]] of heads.entries()) if (i) expect(left).toBeGreaterThanOrEqual(heads[i - 1]![1] - 1)
    const texts = await page
      .getByTestId('grid')
      .locator('thead th')
      .evaluateAll(list => list.filter(each => each.scrollWidth > each.clientWidth + 1).map(each => each.textContent))
    expect(texts).toEqual([])
  })
}

test('a title far too long leaves the Desk its places, and scrolls', async ({ page, app }) => {
  const title = 'How to clean a bike chain, how to wax it and how to replace it. '.repeat(15).slice(0, 900)
  const { id } = (
    await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Too long', region: 'GB', title } } })
  ).json
  await page.goto(`/desk?brief=${id}`)
  await expect(page.getByTestId('grid')).toBeVisible()
  const file = (await page.getByTestId('file-name').boundingBox())!
  const places = (await page.getByTestId('grid').boundingBox())!
  expect(file.y + file.height).toBeLessThanOrEqual(places.y)
  expect((await page.getByTestId('title').boundingBox())!.height).toBeLessThan(100)
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
})
