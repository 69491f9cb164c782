import type { Page } from '@playwright/test'
import { readFileSync } from 'node:fs'
import { call, expect, startApp, test } from './app'

const seed = (page: Page) => page.getByTestId('seed').locator('input[type=text]')
const rows = (page: Page) => page.getByTestId('phrase-row')
const open = async (page: Page, query: string) => {
  await page.goto(`/demand?${query}`)
  await expect(rows(page).first()).toBeVisible()
}
const column = (page: Page, cell: number) =>
  rows(page).evaluateAll((list, n) => list.map(row => row.querySelectorAll('td')[n]!.textContent.trim()), cell)

test('every column sorts both ways, and the address keeps it', async ({ page }) => {
  await open(page, 'seed=rear+derailleur&region=GB')
  await page.getByTestId('sort-words').click()
  await expect(page).toHaveURL(/sort=words(%3A|:)asc/u)
  await expect
    .poll(async () => {
      const words = (await column(page, 2)).map(Number)
      return words.length > 5 && words.every((n, i) => i === 0 || n >= words[i - 1]!)
    })
    .toBe(true)
  await page.getByTestId('sort-words').click()
  await expect(page).toHaveURL(/sort=words(%3A|:)desc/u)
  await expect
    .poll(async () => {
      const words = (await column(page, 2)).map(Number)
      return words[0]! > 7 && words.every((n, i) => i === 0 || n <= words[i - 1]!)
    })
    .toBe(true)
  for (const name of ['phrase', 'volume', 'volumeAll', 'change', 'competition', 'difficulty', 'worth', 'via']) {
    await page.getByTestId(`sort-${name}`).click()
    await expect(page.locator('th[aria-sort]')).toHaveCount(1)
    await expect(page.getByTestId(`sort-${name}`)).toContainText(/[↑↓]/u)
  }
})

test('filters narrow, say when nothing passes, and reopen from the address', async ({ page }) => {
  await open(page, 'seed=bike+chain&region=GB')
  await page.getByTestId('filter-contains').locator('input').fill('clean')
  await expect(page).toHaveURL(/holds=clean/u)
  await expect.poll(async () => (await column(page, 1)).every(text => text.includes('clean'))).toBe(true)
  await page.getByTestId('filter-min-words').locator('input').fill('5')
  const answered = page.waitForResponse(response => /\/api\/phrases\?.*minVolume=100/u.test(response.url()))
  await page.getByTestId('filter-volume').locator('input').fill('100')
  const { rows: told } = (await (await answered).json()) as { rows: { phrase: string }[] }
  await expect
    .poll(async () => (await column(page, 1)).map((text, i) => text.includes(told[i]!.phrase)))
    .not.toContain(false)
  await expect(page).toHaveURL(/volume=100/u)
  expect((await column(page, 2)).every(words => Number(words) >= 5)).toBe(true)
  const shown = await column(page, 1)
  await page.reload()
  await expect(page.getByTestId('filter-volume').locator('input')).toHaveValue('100')
  await expect.poll(() => column(page, 1)).toEqual(shown)
  await page.getByTestId('filter-volume').locator('input').fill('99999999')
  await expect(page.getByTestId('no-phrases')).toContainText('No phrases match')
  await page.getByTestId('no-phrases').getByRole('button').click()
  await expect(rows(page).first()).toBeVisible()
  await expect(page).not.toHaveURL(/volume=/u)
})

test('a figure that is none is marked in its field and loses nothing', async ({ page }) => {
  await open(page, 'seed=bike+chain&region=GB')
  const first = async () => (await column(page, 1)).slice(0, 10)
  await expect.poll(async () => (await first()).length).toBe(10)
  const before = await first()
  await page.getByTestId('filter-volume').locator('input').fill('lots')
  await expect(page.getByTestId('filter-volume')).toContainText('a number')
  expect(await first()).toEqual(before)
  // In a link as well.
  await open(page, 'seed=bike+chain&region=GB&volume=lots')
  await expect(page.getByTestId('filter-volume')).toContainText('a number')
  await expect(page.getByTestId('filter-volume').locator('input')).toHaveValue('lots')
})

test('wrong seeds get a message in the field', async ({ page }) => {
  await open(page, 'seed=bike+chain&region=GB')
  await seed(page).fill('???')
  await seed(page).press('Enter')
  await expect(page.getByTestId('seed')).toContainText('Type a word or two')
  await seed(page).fill('long '.repeat(2000))
  await seed(page).press('Enter')
  await expect(page.getByTestId('seed')).toContainText('The limit is 200')
  await expect(page).toHaveURL(/seed=bike\+chain/u)
  await seed(page).fill('<script>alert(1)</script>')
  await seed(page).press('Enter')
  await expect(page.getByTestId('demand-status')).toContainText('No source has search figures for it')
  await expect(rows(page).first()).toContainText('<script>alert(1)</script>')
})

test('a misspelt seed is no dead end: what it may have meant is one click away, and apart from its rows', async ({
  page,
}) => {
  await page.goto('/demand?seed=bike%20chian&region=GB')
  await expect(page.getByTestId('near')).toContainText('“chian” read as “chain”')
  await expect(page.getByTestId('phrase-row')).toHaveCount(1)
  await expect(page.getByTestId('phrase-row')).toContainText('none')
  await page.getByTestId('near').getByRole('button', { name: 'bike chain', exact: true }).click()
  await expect(page).toHaveURL(/seed=bike(%20|\+)chain/u)
  await expect(page.getByTestId('near')).toHaveCount(0)
})

test('a suggestion held with the arrow keys stays when an answer for later letters comes', async ({ page }) => {
  await page.goto('/demand')
  await seed(page).pressSequentially('rear der')
  await expect(page.getByRole('option').first()).toBeVisible()
  let letIn: () => void = () => undefined
  const held = new Promise<void>(go => {
    letIn = go
  })
  await page.route(/\/api\/suggest\?/u, async route => {
    await held
    await route.fulfill({ json: { suggestions: [{ phrase: 'rear seat', via: ['video'] }] } })
  })
  const asked = page.waitForRequest(/\/api\/suggest\?/u)
  const answered = page.waitForResponse(/\/api\/suggest\?/u)
  await seed(page).press('Backspace')
  await asked
  await page.keyboard.press('ArrowDown')
  await expect(page.getByRole('option').first()).toBeFocused()
  const offered = await page.getByRole('option').allInnerTexts()
  letIn()
  await answered
  await page.evaluate(() => new Promise(drawn => requestAnimationFrame(() => setTimeout(drawn))))
  expect(await page.getByRole('option').allInnerTexts()).toEqual(offered)
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(url => offered[0]!.startsWith(url.searchParams.get('seed')!))
})

test('an unknown region in the address is told, and another can be chosen', async ({ page }) => {
  await page.goto('/demand?seed=bike+chain&region=QQ')
  await expect(page.getByRole('alert')).toContainText('not a known region')
})

test('difficulty comes in where one looks, without rows moving', async ({ page, app }) => {
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 30 } })
  await open(page, 'seed=handlebar&region=GB')
  const first = async () => (await column(page, 1)).slice(0, 10)
  const before = await first()
  await expect(page.getByTestId('demand-status')).toContainText('assessing')
  await expect(rows(page).nth(4).locator('.difficulty')).toHaveText(/^\d+$/u)
  expect(await first()).toEqual(before)
  // Slow from here, so that it is stopped before it is done.
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 1000 } })
  await page.getByTestId('assess-stop').click()
  await expect(page.getByTestId('demand-status')).toContainText('assess more')
  const known = Number(
    /([\d,]+) assessed/u.exec(await page.getByTestId('demand-status').innerText())![1]!.replace(',', ''),
  )
  expect(known).toBeGreaterThan(4)
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 0 } })
})

test('a look that takes long can be stopped and asked again', async ({ page, app }) => {
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 3000 } })
  await page.goto('/demand?seed=dropper+post&region=GB')
  await page.getByTestId('look-stop').click()
  await expect(page.getByRole('alert')).toContainText('Stopped before the results arrived')
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { delayMs: 0 } })
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(rows(page).first()).toBeVisible({ timeout: 20_000 })
})

test('assessing goes on with the rows that come after the first ones', async ({ page, app }) => {
  await call(app, '/api/phrases/assess', {
    method: 'POST',
    body: {
      phrases: (await call(app, '/api/phrases?seed=headset&region=GB&limit=100')).json.rows.map(
        (row: { phrase: string }) => row.phrase,
      ),
      region: 'GB',
    },
  })
  await open(page, 'seed=headset&region=GB')
  await expect(page.getByTestId('demand-status')).toContainText(/(1[2-9]\d|[2-9]\d\d) assessed/u, { timeout: 30_000 })
})

test('the worth opens its working, and the figures add up', async ({ page, app }) => {
  await open(page, 'seed=bike+chain&region=GB&sort=worth:desc')
  const phrase = (await column(page, 1))[0]!
  await rows(page).first().locator('.worth').click()
  const panel = page.getByTestId('worth-working')
  const detail = (await call(app, `/api/phrases/detail?phrase=${encodeURIComponent(phrase)}&region=GB`)).json
  await expect(panel).toContainText(phrase)
  const anyone = detail.worth.anyone!
  await expect(panel.locator('.big')).toHaveText(anyone.toFixed(2).replace(/\.?0+$/u, ''))
  const product = detail.worthWorking.factors.reduce((all, { value, weight }) => all * value! ** weight, 100)
  expect(Math.min(100, product)).toBeCloseTo(anyone, 6)
  await page.keyboard.press('Escape')
  await expect(panel).toBeHidden()
})

test('selected rows are copied, exported and set aside', async ({ page }) => {
  await open(page, 'seed=bike+chain&region=GB')
  await rows(page).nth(1).locator('input').click()
  await rows(page)
    .nth(3)
    .locator('input')
    .click({ modifiers: ['Shift'] })
  await expect(page.getByTestId('actions')).toContainText('3 selected')
  const names = (await column(page, 1)).slice(1, 4).map(text => text.replace(/(lead|support|set aside)$/u, ''))
  await page.getByTestId('actions').getByRole('button', { name: 'Copy' }).click()
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(names.join('\n'))
  const download = page.waitForEvent('download')
  await page.getByTestId('actions').getByRole('button', { name: 'Export CSV' }).click()
  await page.getByText('All columns').click()
  const file = await download
  expect(file.suggestedFilename()).toBe('bike-chain.csv')
  const lines = readFileSync(await file.path(), 'utf8')
    .replace('\ufeff', '')
    .trim()
    .split('\r\n')
  expect(lines).toHaveLength(4)
  expect(lines.slice(1).map(line => line.split(',')[0])).toEqual(names)
  await page.getByTestId('set-aside').click()
  await expect(rows(page).nth(1)).toContainText('set aside')
  await page.getByTestId('undo').click()
  await expect(rows(page).nth(1)).not.toContainText('set aside')
})

test('a list is imported: headers mapped by hand, bad lines told, figures in the table with their source', async ({
  page,
}) => {
  await open(page, 'seed=bike+chain&region=GB')
  await page.getByTestId('import-open').click()
  await page.getByTestId('import-send').click()
  await expect(page.getByTestId('import')).toContainText('Choose a file first')
  await page
    .getByTestId('import-file')
    .locator('input')
    .setInputFiles({
      name: 'werkstatt.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('\ufeffWas;Wie oft\nbike chain whisperer;"12.345,5"\n;4\nbike chain oil;viele\n'),
    })
  await page.getByTestId('import-send').click()
  await expect(page.getByTestId('import-mapping')).toBeVisible()
  await expect(page.getByTestId('map-phrase')).toContainText('Was')
  await expect(page.getByTestId('map-volume')).toContainText('Wie oft')
  await page.getByTestId('import-send').click()
  await expect(page.getByTestId('import-answer')).toContainText('1 phrase new, 0 updated, 2 lines skipped')
  await expect(page.getByTestId('import-answer')).toContainText('“viele” is not a number')
  await page.keyboard.press('Escape')
  await page.getByTestId('filter-contains').locator('input').fill('whisperer')
  await expect(rows(page)).toHaveCount(1)
  await expect(rows(page).first().locator('td').nth(4)).toHaveAttribute(
    'title',
    /12,345\.5 searches a month, from werkstatt\.csv/u,
  )
})

test('a long import says how far it is, and what it kept stays when it is stopped', async ({ page, app }) => {
  await page.goto('/demand')
  await page.getByTestId('import-open').click()
  const list = `phrase,volume\n${Array.from({ length: 400_000 }, (_, i) => `quern stone ${i},${i}\n`).join('')}`
  await page
    .getByTestId('import-file')
    .locator('input')
    .setInputFiles({ name: 'querns.csv', mimeType: 'text/csv', buffer: Buffer.from(list) })
  await page.getByTestId('import-send').click()
  await expect(page.getByTestId('importing')).toContainText(/[\d,]+ phrases imported, (\d+ s|a moment|\d+ min) left/u)
  expect(
    Number(await page.getByRole('progressbar', { name: 'Imported so far' }).getAttribute('aria-valuenow')),
  ).toBeGreaterThan(0)
  await page.getByRole('button', { name: 'Stop', exact: true }).click()
  await expect(page.getByTestId('notice')).toContainText('The rows read so far are saved')
  const kept = () =>
    call(app, '/api/sources').then(
      ({ json }) =>
        (json as { sources: { name: string; figures: number }[] }).sources.find(each => each.name === 'querns.csv')
          ?.figures ?? 0,
    )
  await expect.poll(kept).toBeGreaterThan(0)
  expect(await kept()).toBeLessThan(400_000)
})

test('with services that fail, what came is shown, what is missing is said, and asking again mends it', async ({
  page,
}) => {
  test.setTimeout(120_000)
  const app = await startApp({ env: { FONETRA_STANDIN_FAIL: '1' } })
  await page.goto(`${app.url}/demand?seed=bar+tape&region=GB`)
  await expect(page.getByTestId('no-phrases').or(page.getByTestId('demand-status'))).toBeVisible()
  await expect(page.getByTestId('demand-status')).toContainText(/Missing: .*related phrases.*figures for GB/u, {
    timeout: 30_000,
  })
  // What an earlier look learnt is still answered.
  await page.goto(`${app.url}/demand?seed=bike+chain&region=GB`)
  await expect(rows(page).first().locator('.difficulty')).toHaveText(/^\d+$/u)
  await call(app, '/api/standin/behaviour', { method: 'PUT', body: { fail: 0 } })
  await page.goto(`${app.url}/demand?seed=bar+tape&region=GB`)
  await expect(rows(page).first()).toBeVisible({ timeout: 20_000 })
  await app.close()
})
