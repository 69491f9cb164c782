import { call, expect, test } from './app'
import { fieldsOf, newBrief } from './onDesk'

const CSV = `title,tags,id,description
How to index gears,"how to index gears, gears, bike",v1,How to index gears in ten minutes.
How to bleed brakes,"brakes, how to bleed brakes",v2,
Something else,bike,v3,A text.
,x,v4,
`

test('texts of a file are scored, sorted, mended together and saved; what cannot be read is told', async ({ page }) => {
  await page.goto('/library?tab=texts')
  await expect(page.getByTestId('texts-told')).toContainText('from briefs')
  const open = async (name: string, text: string) => {
    const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('texts-file').click()])
    await chooser.setFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  }
  await open('broken.csv', 'a,b\n1,2')
  await expect(page.getByRole('alert')).toContainText('There is no column for the title.')
  await open('mine.csv', CSV)
  await expect(page.getByTestId('texts-told')).toContainText('3 texts from mine.csv')
  await expect(page.getByTestId('texts-told')).toContainText('no percent without a lead phrase: 1 text')
  await expect(page.getByTestId('texts-refused')).toContainText('1 record could not be read')
  const table = page.getByTestId('texts-table')
  const row = (title: string) => table.getByRole('row').filter({ hasText: title })
  await expect(row('Something else')).toContainText('–')
  // A lead typed gives it a percent.
  await row('Something else').getByRole('textbox').fill('bike')
  await row('Something else').getByRole('textbox').press('Enter')
  await expect(row('Something else')).toContainText('%')
  // A second set stands beside the first.
  await page.getByTestId('texts-beside').click()
  await page.getByRole('option', { name: 'Exact line' }).click()
  await expect(table.getByRole('columnheader', { name: 'Exact line' })).toBeVisible()
  await expect(row('How to index gears').getByText('%')).toHaveCount(2)
  // The check that lacks most in all: here the lead as first tag, in one of them.
  await page.getByTestId('texts-check').click()
  await page.getByRole('option', { name: /^Lead phrase among the tags/u }).click()
  await expect(table.getByRole('textbox')).toHaveCount(1)
  await page.getByTestId('texts-propose').click()
  await expect(page.getByTestId('changes')).toContainText('1 text would change')
  await expect(page.getByTestId('changes').locator('ins')).toContainText('brakes')
  await page.getByTestId('changes-apply').click()
  await expect(page.getByTestId('notice')).toContainText('1 text changed.')
  await expect(table).toContainText('No text lacks points for this.')
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click()
  await expect(table.getByRole('textbox')).toHaveCount(1)
  const menu = page.getByRole('button', { name: 'Save' })
  await menu.click()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('texts-csv').click()])
  expect(download.suggestedFilename()).toBe('texts.csv')
})

test('one fix goes into many briefs, and back', async ({ page, app }) => {
  const tray = (lead: string) => ({ lead, support: [], setAside: [] })
  const ids = await Promise.all(
    ['index gears', 'bleed brakes'].map(lead =>
      newBrief(app, { title: `How to ${lead} zq`, tags: ['zq'], tray: tray(lead), description: '' }),
    ),
  )
  await page.goto('/library?tab=texts')
  await page.getByTestId('texts-check').click()
  await page.getByRole('option', { name: /^Lead phrase among the tags/u }).click()
  for (const lead of ['index gears', 'bleed brakes'])
    await page
      .getByTestId('texts-table')
      .getByRole('row')
      .filter({ hasText: `How to ${lead} zq` })
      .getByRole('checkbox')
      .check()
  await page.getByTestId('texts-propose').click()
  await page.getByTestId('changes-apply').click()
  await expect(page.getByTestId('notice')).toContainText('2 texts changed.')
  for (const [i, lead] of ['index gears', 'bleed brakes'].entries())
    expect((await fieldsOf(app, ids[i]!)).tags).toEqual([lead, 'zq'])
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await fieldsOf(app, ids[1]!)).tags).toEqual(['zq'])
  expect((await fieldsOf(app, ids[0]!)).tags).toEqual(['zq'])
})

test('lines come back in their order, bad ones as such', async ({ app }) => {
  const lines = [
    { id: 'a', draft: { title: 'Index gears' }, phrases: { lead: 'index gears' } },
    'nonsense',
    { id: 'c', draft: { title: 5 } },
    { draft: {} },
  ]
  const answer = await call(app, '/api/check/many?ruleSet=exact-line', {
    method: 'POST',
    raw: `${lines.map(line => (typeof line === 'string' ? line : JSON.stringify(line))).join('\n')}\n`,
  })
  const told = answer.text
    .trim()
    .split('\n')
    .map(line => JSON.parse(line))
  expect(told).toHaveLength(4)
  expect(told[0]).toMatchObject({ id: 'a', percent: expect.any(Number) })
  expect(told[1].error.code).toBe('no-json')
  expect(told[2].error.message).toContain('title')
  expect(told[3]).toMatchObject({ percent: null, points: 0, outOf: 0 })
  expect((await call(app, '/api/check/many?ruleSet=nope', { method: 'POST', raw: '{}' })).status).toBe(400)
})

test('my videos are scored as the site tells them, under limits of one’s choice', async ({ page }) => {
  await page.goto('/library?tab=texts')
  await page.getByTestId('texts-videos').click()
  await expect(page.getByTestId('texts-told')).toContainText(/63 texts from my videos, \d+ % on average/u)
  const before = await page.getByTestId('texts-told').textContent()
  await page.getByTestId('texts-limits').click()
  await page.getByRole('option', { name: 'Town library' }).click()
  await expect(page.getByTestId('texts-told')).toContainText('63 texts from my videos')
  await expect(page.getByTestId('texts-told')).not.toHaveText(before!)
})
