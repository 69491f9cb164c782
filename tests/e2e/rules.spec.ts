import { readFileSync } from 'node:fs'
import { readFile } from 'node:fs/promises'
import { call, expect, test } from './app'
import { field, fieldsOf, newBrief, saved } from './onDesk'

const tray = { lead: 'how to index a rear derailleur', support: ['rear derailleur not shifting'], setAside: [] }

test('rules are read, copied, changed and shared; the text is scored under them, everywhere', async ({ page, app }) => {
  const id = await newBrief(app, {
    tray,
    title: 'How to index a rear derailleur',
    description: 'You will see it.',
    tags: [],
  })
  await page.goto(`/desk?brief=${id}`)
  const percent = page.getByTestId('percent')
  await expect(percent).toBeVisible()
  await page.getByTestId('rules-open').click()
  const rules = page.getByTestId('rules')
  await expect(page.getByTestId('rules-set')).toHaveCount(5)
  // What ships can only be read; a copy can be changed.
  await expect(rules.getByTestId('rule-title-lead').locator('.weight')).toBeDisabled()
  await page.getByTestId('rules-duplicate').click()
  await expect(page.getByTestId('rules-set')).toHaveCount(6)
  await field(page, 'rules-name').fill('Lead or nothing')
  const weight = rules.getByTestId('rule-title-lead').locator('.weight')
  await weight.fill('lots')
  await weight.press('Enter')
  await expect(page.getByTestId('notice')).toContainText('A weight is a number from 0 to 1,000')
  await weight.fill('900')
  await weight.press('Enter')
  await expect(page.getByTestId('rules-percent')).toContainText('9')
  await page.getByTestId('rules-save').click()
  await expect(page.getByTestId('notice')).toContainText('Rule set “Lead or nothing” saved.')
  await page.getByTestId('rules-use').click()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('rules-export').click()])
  expect(download.suggestedFilename()).toBe('lead-or-nothing.rules.json')
  const file = await download.path()
  // Broken, it is refused with its line; whole, it comes back as another set.
  const open = async (text: string) => {
    const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('rules-import').click()])
    await chooser.setFiles({ name: 'a.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  }
  const text = await readFile(file, 'utf8')
  await open(text.replace('"weight": 900', '"weight": -900'))
  await expect(page.getByTestId('rules-faults')).toContainText('title-lead › weight: A weight is 0 or more.')
  await open(text)
  await expect(page.getByTestId('rules-set')).toHaveCount(7)
  await page.getByTestId('rules-delete').click()
  await expect(page.getByTestId('rules-set')).toHaveCount(6)
  await page.getByTestId('rules-close').click()
  await expect(percent).toHaveText(/^9\d %$/u)
  await saved(page)
  // The list of briefs and the API score under it too.
  const { ruleSet } = await fieldsOf(app, id)
  const line = (await call(app, '/api/briefs')).json.briefs.find(each => each.id === id)!
  expect(line.percent).toBeGreaterThan(90)
  const told = await call(app, '/api/check', {
    method: 'POST',
    body: { draft: { title: 'No' }, phrases: { lead: tray.lead, support: [] }, ruleSet },
  })
  expect(told.json.percent).toBeLessThan(10)
  // Deleted, the brief falls back to what ships.
  await call(app, `/api/rule-sets/${ruleSet}`, { method: 'DELETE' })
  await page.reload()
  await expect(percent).not.toHaveText(/^9\d %$/u)
})

test('what the pages kept say of a check stands beside it, and its weights are taken into a set of one’s own', async ({
  page,
  app,
}) => {
  // Other tests of this app keep pages as well: hundreds may have to be read.
  test.setTimeout(300_000)
  const id = await newBrief(app, { tray, title: 'How to index a rear derailleur', description: '', tags: [] })
  await page.goto(`/desk?brief=${id}`)
  await page.getByTestId('rules-open').click()
  await page.getByTestId('evidence-work').click()
  await expect(page.getByTestId('evidence-told')).toContainText(/\d+ pages in \d+ groups/u, { timeout: 150_000 })
  // The simulated site ranks by how well a title holds the phrase; spoken words no page tells.
  const row = (check: string) => page.getByTestId(`rule-${check}`)
  await expect(row('title-lead').getByRole('img', { name: /stands higher with it/u })).toBeVisible()
  await expect(row('lead-spoken').getByRole('img', { name: /not told by a page/u })).toBeVisible()
  await page.getByTestId('evidence-weights').click()
  await expect(page.getByTestId('evidence-proposal')).toContainText('Lead phrase in the title')
  await expect(page.getByTestId('evidence-take')).toBeDisabled()
  await page.getByTestId('rules-duplicate').click()
  await expect(field(page, 'rules-name')).toHaveValue('Balanced (copy)')
  // A copy has the same thresholds, and so the same readings: only the answer is made again.
  const before = Number(await row('title-lead').locator('.weight').inputValue())
  await page.getByTestId('evidence-take').click()
  await expect.poll(async () => Number(await row('title-lead').locator('.weight').inputValue())).toBeGreaterThan(before)
  await page.getByTestId('rules-save').click()
  await expect(page.getByTestId('notice')).toContainText('saved')
  // Narrowed to a subject, it says how much is left, and asks before it works anything out.
  await page.getByTestId('evidence-about').fill('zzqx')
  await page.getByTestId('evidence-about').press('Enter')
  await page.getByTestId('evidence-work').click()
  await expect(page.getByTestId('evidence-told')).toContainText('0 pages')
  await expect(row('title-lead').getByRole('img', { name: /not told by a page/u })).toBeVisible()
  // Or to the trade of the lead: the pages that results in common lead to.
  await page.getByTestId('evidence-about').fill('')
  await page.getByTestId('evidence-about').press('Enter')
  await page.getByRole('combobox', { name: 'Which pages' }).selectOption('trade')
  await page.getByTestId('evidence-work').click()
  await expect(page.getByTestId('evidence-told')).toContainText(/[1-9]\d* pages/u)
})

test('limits of another site are tried, copied and changed; the text is measured by them', async ({ page, app }) => {
  const id = await newBrief(app, { tray, title: 'How to index a rear derailleur | 5 tips', description: '', tags: [] })
  await page.goto(`/desk?brief=${id}`)
  await expect(page.getByTestId('ruler')).toHaveAttribute('aria-label', /of 100 characters/u)
  await page.getByTestId('rules-open').click()
  const sets = page.getByTestId('limits-set')
  await expect(sets).toHaveCount(2)
  await sets.filter({ hasText: 'Town library' }).click()
  const limits = page.getByTestId('limits')
  await expect(limits.getByRole('textbox', { name: 'Title', exact: true })).toBeDisabled()
  await page.getByTestId('limits-duplicate').click()
  await expect(sets).toHaveCount(3)
  const title = limits.getByRole('textbox', { name: 'Title', exact: true })
  await title.fill('-4')
  await title.press('Enter')
  await expect(page.getByTestId('notice')).toContainText('A limit is 0 or more.')
  await title.fill('33')
  await title.press('Enter')
  await page.getByTestId('limits-save').click()
  await expect(page.getByTestId('notice')).toContainText('saved.')
  await page.getByTestId('limits-use').click()
  await page.getByTestId('rules-close').click()
  await expect(page.getByTestId('ruler')).toHaveAttribute('aria-label', /of 33 characters/u)
  // The bar is a sign that this site refuses.
  await expect(page.getByTestId('check-title-signs')).toHaveAttribute('data-state', 'missing')
  await saved(page)
  const { profile } = await fieldsOf(app, id)
  // Shared as a file; one that is none is told by its lines.
  await page.getByTestId('rules-open').click()
  await sets.filter({ hasText: '(copy)' }).click()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('limits-export').click()])
  expect(download.suggestedFilename()).toMatch(/\.limits\.json$/u)
  const text = readFileSync(await download.path(), 'utf8')
  const open = async (given: string) => {
    const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('limits-import').click()])
    await chooser.setFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(given) })
  }
  await open(text.replace('"limit": 33', '"limit": -1'))
  await expect(page.getByTestId('limits-faults')).toContainText('title › limit: A limit is 0 or more.')
  await open(text)
  await expect(sets).toHaveCount(4)
  await expect(page.getByTestId('limits-faults')).toHaveCount(0)
  await page.getByTestId('rules-close').click()
  const told = await call(app, '/api/check', {
    method: 'POST',
    body: { draft: { title: 'No' }, phrases: { lead: '', support: [] }, profile },
  })
  expect(told.json.counts.title).toMatchObject({ limit: 33, unit: 'graphemes' })
})
