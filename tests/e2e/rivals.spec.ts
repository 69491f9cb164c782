import type { Page } from '@playwright/test'
import { call, expect, test } from './app'

const PHRASE = 'how to clean bike chain'
const open = async (page: Page, more = '') => {
  await page.goto(`/rivals?phrase=${encodeURIComponent(PHRASE)}&region=GB${more}`)
  await expect(page.getByTestId('reading')).toBeVisible()
}
const rivals = (page: Page) => page.getByTestId('rival')
const column = (page: Page, n: number) =>
  rivals(page).evaluateAll((list, cell) => list.map(row => row.querySelectorAll('td')[cell]!.textContent.trim()), n)

test('the page is read in a sentence with its working, and the ladder sorts both ways from the address', async ({
  page,
}) => {
  await open(page)
  await expect(page.getByTestId('reading')).toContainText(
    /A video of mine with the phrase in title and description would most likely rank (between \d|at \d|below the first)/u,
  )
  await page.getByTestId('reading-working').click()
  await expect(page.getByTestId('working')).toContainText('the mean strength of the twenty results')
  await expect(page.getByTestId('working')).toContainText(/learnt from [\d,]+ result pages/u)
  await expect(rivals(page)).toHaveCount(60)
  // Rows out of sight are not drawn: a screen reader knows of them by their number.
  await expect(page.getByTestId('ladder')).toHaveAttribute('aria-rowcount', '61')
  await expect(rivals(page).last()).toHaveAttribute('aria-rowindex', '61')
  await rivals(page).last().getByTestId('open-rival').focus()
  await expect(rivals(page).last()).toBeInViewport()
  // On paper it is a table, with nothing to press.
  await page.emulateMedia({ media: 'print' })
  await expect(rivals(page).first()).toHaveCSS('display', 'table-row')
  await expect(rivals(page).first().getByTestId('off-topic')).toBeHidden()
  await page.emulateMedia({ media: null })
  await page.getByTestId('order-views').click()
  await expect(page).toHaveURL(/order=views(%3A|:)desc/u)
  const views = await rivals(page).evaluateAll(list =>
    list.map(row => Number(row.querySelectorAll('td')[3]!.getAttribute('title')!.replace(/[^\d]/gu, ''))),
  )
  expect(views).toEqual([...views].sort((a, b) => b - a))
  await page.getByTestId('order-rank').click()
  await expect.poll(async () => (await column(page, 0)).slice(0, 3).map(text => parseInt(text, 10))).toEqual([1, 2, 3])
  await page.getByTestId('depth-20').click()
  await expect(rivals(page)).toHaveCount(20)
})

test('a row opens in full and closes; its tags go to the brief and come back', async ({ page, app }) => {
  await open(page)
  // Not everyone sets tags.
  const { rows } = (await call(app, `/api/results?phrase=${encodeURIComponent(PHRASE)}&region=GB&depth=60`)).json
  const tagged = rows.findIndex((row, i) => i > 0 && (row.tags?.length ?? 0) > 2)
  await page.getByTestId('open-rival').nth(tagged).click()
  const full = page.getByTestId('rival-full')
  await expect(full).toContainText('Also ranks for')
  await expect(page).toHaveURL(/video=/u)
  const tag = full.locator('.tags button:not([disabled])').first()
  const name = await tag.innerText()
  await tag.click()
  await expect(page.getByTestId('notice')).toContainText(`“${name}” added to the brief’s tags`)
  await page.getByTestId('undo').click()
  await expect(full.locator('.tags button', { hasText: name }).first()).toBeEnabled()
})

test('a result about something else is taken out, is remembered, and every figure follows', async ({ page }) => {
  await open(page)
  const difficulty = page.getByTestId('reading').locator('dd').first()
  const before = await difficulty.getAttribute('title')
  await rivals(page).nth(1).getByTestId('off-topic').click()
  await expect(difficulty).not.toHaveAttribute('title', before!)
  await page.reload()
  await expect(page.locator('tbody.off')).toHaveCount(1)
  await page.locator('tbody.off').getByTestId('off-topic').click()
  await expect(page.locator('tbody.off')).toHaveCount(0)
  await expect(difficulty).toHaveAttribute('title', before!)
})

test('curves, words and channels open from the address; words go to tags in bulk', async ({ page }) => {
  await open(page, '&tab=curves')
  await expect(page.getByTestId('curves').locator('.apexcharts-canvas')).toHaveCount(3)
  await page.getByTestId('tab-words').click()
  await expect(page.getByTestId('word').nth(5)).toBeVisible()
  await page.getByTestId('word').nth(0).getByRole('checkbox').check()
  await page.getByTestId('word').nth(1).getByRole('checkbox').check()
  await page.getByTestId('words-tags').click()
  await expect(page.getByTestId('notice')).toContainText(/\d tags? added to the brief|All of them/u)
  await page.getByTestId('tab-channels').click()
  await expect(page.getByTestId('channel').first()).toContainText(/20\d\d/u)
  const name = await page.getByTestId('channel').first().locator('.name').innerText()
  await page.getByTestId('channel').first().locator('.name').click()
  await expect(page.getByTestId('one-channel')).toContainText(name)
  await page.getByTestId('watch').click()
  await expect(page.getByTestId('watch')).toHaveText('In the rival set')
  await page.reload()
  await expect(page.getByTestId('one-channel')).toContainText(name)
  await page.goBack()
  await expect(page.getByTestId('channels')).toContainText('rival set')
})

test('web search’s own block, trending filtered by words, and tray phrases one click away', async ({ page, app }) => {
  const { briefs } = (await call(app, '/api/briefs')).json as { briefs: { id: string; topic: string }[] }
  await open(page, `&brief=${briefs.find(({ topic }) => topic === 'Indexing a rear derailleur')!.id}`)
  await page.getByTestId('from-web').click()
  await expect(page).toHaveURL(/from=web/u)
  await expect.poll(() => rivals(page).count()).toBeLessThanOrEqual(10)
  const stood = await page.getByTestId('tab-trending').boundingBox()
  await page.route(/\/api\/results\?/u, async route => {
    await new Promise(later => setTimeout(later, 400))
    await route.continue()
  })
  await page.getByTestId('tray-chip').filter({ hasText: 'rear derailleur not' }).click()
  await expect(page).toHaveURL(/phrase=rear(\+|%20)derailleur(\+|%20)not/u)
  // The views stay under the hand while the next page is read.
  await expect(page.getByText('Loading results …')).toBeVisible()
  expect(await page.getByTestId('tab-trending').boundingBox()).toEqual(stood)
  await page.getByTestId('tab-trending').click()
  await expect(page.getByTestId('trend').first()).toBeVisible()
  await page.getByTestId('trending-find').locator('input').fill('bike')
  await expect.poll(async () => await page.getByTestId('trend').count()).toBeLessThan(40)
  await page.getByTestId('trending-find').locator('input').fill('no such word')
  await expect(page.getByTestId('trending')).toContainText('No trending video contains these words')
})

test('earlier looks are kept: who rose, fell and came is marked', async ({ page }) => {
  await open(page)
  await expect(page.getByTestId('ladder')).toContainText(/new|↑|↓/u)
  await page.getByTestId('reading-working').click()
  await expect(page.getByTestId('working')).toContainText(/complete result pages saved, the earliest from/u)
})

test('wrong phrases get a message in the field', async ({ page }) => {
  await open(page)
  await page.getByTestId('rivals-phrase').locator('input').fill('???')
  await page.getByTestId('rivals-phrase').locator('input').press('Enter')
  await expect(page.getByTestId('rivals-phrase')).toContainText('Type a phrase to see')
  await expect(page.getByTestId('reading')).toBeVisible()
})

test('a page of a past day says so where only its first results are kept', async ({ app, page }) => {
  const path = 'phrase=bike+chain&region=GB'
  const { at } = (await call(app, `/api/results?${path}&depth=60&anew=1`)).json
  const day = new Date(at).toISOString().slice(0, 10)
  await page.goto(`/rivals?${path}&day=${day}`)
  await expect(page.getByText('as seen on')).toBeVisible()
  await expect(page.getByText('results are kept')).toHaveCount(0)
  await page.route(/\/api\/results\?.*day=/u, async route => {
    const response = await route.fetch()
    const json = (await response.json()) as { rows: unknown[] }
    await route.fulfill({ response, json: { ...json, more: true, rows: json.rows.slice(0, 20) } })
  })
  await page.reload()
  await expect(page.getByText('its first 20 results are kept')).toBeVisible()
})
