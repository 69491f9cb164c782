import type { Page } from '@playwright/test'
import { call, expect, test } from './app'
import { tabTo } from './keys'

const rows = (page: Page) => page.getByTestId('phrase-row')
const open = async (page: Page, query: string) => {
  await page.goto(`/demand?${query}`)
  await expect(rows(page).first()).toBeVisible()
}
const SEED = 'seed=rear+derailleur&region=GB'

test('the sheet lays a phrase open, keeps a note, and reopens from the address', async ({ page }) => {
  await open(page, SEED)
  await rows(page)
    .nth(1)
    .getByRole('button', { name: /^Sheet of/u })
    .click()
  await expect(page).toHaveURL(/phrase=/u)
  const sheet = page.getByTestId('sheet')
  await expect(sheet.getByTestId('story')).toContainText(/season|year round|Rising|Fading|spike/u)
  await expect(sheet.getByText('On top')).toBeVisible()
  await expect(sheet.locator('.top li')).toHaveCount(5)
  await expect(sheet.locator('.apexcharts-canvas')).toBeVisible()
  await expect(sheet.getByRole('img', { name: /Interest by country/u })).toBeVisible()
  await sheet.getByTestId('note').locator('textarea').first().fill('Ask Ida about this one')
  await expect(sheet.getByText('saved', { exact: true })).toBeVisible()
  await page.reload()
  await expect(page.getByTestId('note').locator('textarea').first()).toHaveValue('Ask Ida about this one')
  // A note just typed goes to its own phrase, also when the sheet turns to another at once.
  await page.getByTestId('note').locator('textarea').first().fill('Ask Ida and Tom')
  await rows(page)
    .nth(2)
    .getByRole('button', { name: /^Sheet of/u })
    .click()
  await expect(page.getByTestId('note').locator('textarea').first()).toHaveValue('')
  await page.goBack()
  await expect(page.getByTestId('note').locator('textarea').first()).toHaveValue('Ask Ida and Tom')
  await page.getByTestId('sheet-close').click()
  await expect(sheet).toHaveCount(0)
  await page.goBack()
  await expect(page.getByTestId('sheet')).toBeVisible()
})

test('a phrase of another trade is seen and left out', async ({ page, app }) => {
  // Which of them the page shows mixed changes with the site's ranking from day to day.
  let mixed = ''
  for (const phrase of ['chain', 'fork', 'bridge', 'brake pads', 'saddle', 'fix chain', 'tyre replacement']) {
    const { status } = await call(app, `/api/results?phrase=${encodeURIComponent(phrase)}&region=GB`, {
      method: 'POST',
    })
    expect(status).toBe(200)
    const { meanings } = (await call(app, `/api/phrases/sheet?phrase=${encodeURIComponent(phrase)}&region=GB`)).json
    if (meanings.length < 2) continue
    mixed = phrase
    break
  }
  expect(mixed).not.toBe('')
  await open(page, `seed=${encodeURIComponent(mixed)}&region=GB&phrase=${encodeURIComponent(mixed)}`)
  const second = page.getByTestId('meanings').locator('li').nth(1)
  await expect(second).toBeVisible()
  const words = (await second.locator('strong').innerText()).split(', ')
  await second.getByRole('button').click()
  await expect(page).toHaveURL(/without=/u)
  await expect
    .poll(async () => {
      const names = await rows(page).locator('.phrase button').allInnerTexts()
      return names.length > 0 && !names.some(name => words.some(word => name.split(' ').includes(word)))
    })
    .toBe(true)
})

test('filters of the menu narrow, are saved and come back', async ({ page }) => {
  await open(page, SEED)
  await page.getByTestId('filter-more').click()
  await page.getByTestId('filter-questions').locator('input').check()
  await expect(page).toHaveURL(/questions=1/u)
  await expect
    .poll(async () =>
      (await rows(page).locator('.phrase button').allInnerTexts()).every(text =>
        /^(how|can|when|what|why|which|is|are|does)/u.test(text),
      ),
    )
    .toBe(true)
  await page.getByTestId('filter-save').locator('input').fill('Asked')
  await page.getByTestId('filter-save').locator('input').press('Enter')
  await expect(page.getByTestId('filter-sets')).toContainText('Asked')
  await page.getByTestId('filter-questions').locator('input').uncheck()
  await expect(page).not.toHaveURL(/questions/u)
  await page.getByTestId('filter-sets').getByRole('button', { name: 'Asked', exact: true }).click()
  await expect(page).toHaveURL(/questions=1/u)
  await page.getByTestId('filter-sets').getByRole('button', { name: 'Delete Asked' }).click()
  await expect(page.getByTestId('filter-sets')).toContainText('None yet.')
  await page.getByTestId('undo').click()
  await page.getByTestId('filter-more').click()
  await expect(page.getByTestId('filter-sets').getByRole('button', { name: 'Asked', exact: true })).toBeVisible()
})

test('for my channel everything is judged anew, in the address too', async ({ page }) => {
  await open(page, SEED)
  await expect(page.getByTestId('sort-chance')).toHaveCount(0)
  await page.getByTestId('perspective').getByRole('button', { name: 'For my channel' }).click()
  await expect(page).toHaveURL(/for=channel/u)
  await page.getByTestId('sort-chance').click()
  await expect(rows(page).first().locator('td').nth(9)).toHaveText(/%/u)
  await rows(page).first().locator('.worth').click()
  await expect(page.getByTestId('worth-working')).toContainText('for my channel')
})

test('chart, year and groups show the same rows and share the selection', async ({ page }) => {
  await open(page, `${SEED}&for=anyone`)
  await page.getByTestId('view-chart').click()
  await expect(page.getByTestId('point').nth(20)).toBeVisible()
  const frame = (await page.getByTestId('chart').locator('.frame').boundingBox())!
  const point = (await page.getByTestId('point').nth(3).boundingBox())!
  // A loop drawn round one point.
  const [x, y] = [point.x + point.width / 2, point.y + point.height / 2]
  await page.mouse.move(x - 30, y - 30)
  await page.mouse.down()
  for (const [dx, dy] of [
    [30, -30],
    [30, 30],
    [-30, 30],
    [-30, -25],
  ] as const)
    await page.mouse.move(Math.max(frame.x + 1, x + dx), Math.max(frame.y + 1, y + dy), { steps: 4 })
  await page.mouse.up()
  const chosen = Number(await page.getByTestId('actions').locator('strong').innerText())
  expect(chosen).toBeGreaterThan(0)
  await page.getByTestId('view-year').click()
  await expect(page.getByTestId('strip').first()).toBeVisible()
  await expect(page.getByTestId('actions').locator('strong')).toHaveText(String(chosen))
  await page.getByRole('button', { name: '36 months' }).click()
  await expect(page).toHaveURL(/span=36/u)
  await expect(page.getByTestId('strip').first().locator('.cells i')).toHaveCount(36)
  await page.getByTestId('view-groups').click()
  await expect(page.getByTestId('group').first()).toBeVisible()
  await page.getByTestId('group').first().getByRole('checkbox').first().click()
  await expect
    .poll(async () => Number(await page.getByTestId('actions').locator('strong').innerText()))
    .toBeGreaterThan(chosen)
  await page.reload()
  await expect(page.getByTestId('groups')).toBeVisible()
})

test('a phrase too hard is lengthened, and the word that makes it winnable is named', async ({ page }) => {
  await open(page, `${SEED}&longer=rear+derailleur`)
  await expect(page.getByTestId('longer-answer')).toContainText('makes it winnable', { timeout: 30_000 })
  await expect(page.getByTestId('longer').getByTestId('progress')).toContainText(/\d+ of \d+ assessed\./u, {
    timeout: 30_000,
  })
  await page.getByTestId('longer-row').first().getByRole('checkbox').check()
  await page.getByTestId('longer-tray').click()
  await page.getByTestId('longer').getByRole('button', { name: 'Close' }).click()
  await expect(page).not.toHaveURL(/longer/u)
})

test('phrases are crossed with places of a size, assessed, and kept; a series is made of them', async ({ page }) => {
  await page.goto('/library')
  await page.getByRole('link', { name: 'Bike repair in Marrowby' }).click()
  await page.waitForURL(/\/demand\?/u)
  await page.goto(`${page.url()}&seed=bike+repair&region=GB&places=1`)
  const dialog = page.getByTestId('places')
  await dialog.getByTestId('places-phrases').locator('textarea').first().fill('bike repair\nbike hire')
  await dialog.getByTestId('places-least').locator('input').fill('lots')
  await expect(dialog.getByTestId('places-least')).toContainText('a number')
  await dialog.getByTestId('places-least').locator('input').fill('150,000')
  await expect(dialog.getByTestId('places-run')).toHaveText(/Assess 8 phrases/u)
  await dialog.getByTestId('places-run').click()
  await expect(dialog.getByTestId('progress')).toContainText('8 of 8 assessed.', { timeout: 30_000 })
  await expect(dialog.getByTestId('places-row').first()).toContainText(/bike (repair|hire) \w+/u)
  await dialog.getByTestId('places-row').first().getByRole('checkbox').check()
  await dialog.getByTestId('places-series').click()
  await expect(page.getByTestId('notice')).toContainText('1 brief created')
  await page.goto('/library')
  await expect(page.getByText(/^series: /u)).toHaveCount(1)
})

test('two phrases stand side by side and one becomes the lead', async ({ page }) => {
  await open(page, SEED)
  await rows(page).nth(2).locator('input').check()
  await rows(page).nth(4).locator('input').check()
  await page.getByTestId('compare').click()
  await expect(page).toHaveURL(/shortlist=/u)
  const list = page.getByTestId('shortlist')
  await expect(list.getByText('Views to win')).toBeVisible({ timeout: 20_000 })
  const phrase = await list.locator('.phrase').first().innerText()
  await list.getByTestId('shortlist-lead').first().click()
  await expect(page.getByTestId('lead')).toContainText(phrase)
})

test('a phrase is chosen and its rivals’ words are taken with the keyboard alone', async ({ page }) => {
  test.setTimeout(120_000)
  await page.goto('/desk')
  await expect(page.getByTestId('ledger')).toBeVisible()
  const tags = await page.getByTestId('tag').count()
  await open(page, `${SEED}&for=channel`)
  const keys = page.keyboard
  await expect(page.getByTestId('demand-status')).toContainText('assessed', { timeout: 40_000 })
  await tabTo(page, rows(page).first().locator('[data-stop=open]'))
  await keys.press('ArrowDown')
  const phrase = await rows(page).nth(1).locator('.phrase button').innerText()
  await keys.press('Enter')
  await expect(page.getByTestId('sheet')).toContainText(phrase)
  for (const [digit, view] of [
    ['2', 'chart'],
    ['3', 'year'],
    ['4', 'groups'],
  ] as const) {
    await keys.press(digit)
    await expect(page).toHaveURL(new RegExp(`view=${view}`, 'u'))
  }
  await keys.press('1')
  await keys.press('Escape')
  await expect(page.getByTestId('sheet')).toHaveCount(0)
  // The table stayed while other views were looked at: it is scrolled to, and Tab leads, where the person was.
  const scroller = page.getByTestId('phrases').locator('.v-table__wrapper')
  const top = () => scroller.evaluate(node => node.scrollTop)
  await scroller.evaluate(node => node.scrollTo({ top: 900 }))
  await expect.poll(() => rows(page).first().getAttribute('data-row')).not.toBe('0')
  await keys.press('3')
  await expect(scroller).toBeHidden()
  await keys.press('1')
  await expect.poll(top).toBe(900)
  await scroller.evaluate(node => node.scrollTo({ top: 0 }))
  await expect(rows(page).first()).toHaveAttribute('data-row', '0')
  await tabTo(page, rows(page).nth(1).locator('input'))
  await keys.press('Space')
  await keys.press('ArrowDown')
  await expect(rows(page).nth(2).locator('input')).toBeFocused()
  await keys.press('Space')
  await tabTo(page, page.getByTestId('compare'))
  await keys.press('Enter')
  await expect(page.getByTestId('shortlist').getByText('Views to win')).toBeVisible({ timeout: 20_000 })
  const lead = await page.getByTestId('shortlist').locator('.phrase').first().innerText()
  await tabTo(page, page.getByTestId('shortlist-lead').first())
  await keys.press('Enter')
  await expect(page.getByTestId('lead')).toContainText(lead)
  await expect(page).not.toHaveURL(/shortlist=/u)
  await expect(page.getByTestId('shortlist')).toHaveCount(0)
  await expect(page.getByTestId('compare')).toBeFocused()

  await keys.press('g')
  await keys.press('2')
  await expect(page.getByTestId('reading')).toBeVisible({ timeout: 20_000 })
  await keys.press('3')
  await expect(page.getByTestId('word').first()).toBeVisible()
  await tabTo(page, page.getByTestId('word').first().getByRole('checkbox'))
  await keys.press('Space')
  await tabTo(page, page.getByTestId('words-tags'), 'Shift+Tab')
  await keys.press('Enter')
  await expect(page.getByTestId('notice')).toContainText('1 tag added to the brief')
  await keys.press('Control+z')
  await expect(page.getByTestId('notice')).toHaveCount(0)
  await keys.press('g')
  await keys.press('3')
  await expect(page.getByTestId('ledger')).toBeVisible()
  await expect(page.getByTestId('tag')).toHaveCount(tags)
})

test('more than can be assessed in a moment becomes work that a reload does not end, and that stops', async ({
  page,
  app,
}) => {
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 120 } })
  await open(page, 'seed=bike+chain&region=GB')
  await page.getByTestId('assess-stop').click()
  await page.getByTestId('assess-all').click()
  await expect(page.getByTestId('jobs')).toContainText(/\d+\s+of\s+1,\d{3}/u)
  await page.reload()
  await expect(page.getByTestId('jobs')).toContainText(/of\s+1,\d{3}/u)
  await page.getByTestId('jobs').click()
  await expect(page.getByTestId('jobs-list')).toContainText('Phrases of “bike chain” assessed')
  await page.getByTestId('job-stop').click()
  await expect(page.getByTestId('notice')).toContainText(/stopped after [\d,]+ of 1,\d{3}, which stay/u)
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 0 } })
  const { jobs } = (await call(app, '/api/jobs')).json as { jobs: { id: string; state: string; done: number }[] }
  expect(jobs[0]).toMatchObject({ state: 'stopped' })
})
