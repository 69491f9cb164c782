import { BALANCED } from '../../core/draft/ruleset'
import { call, expect, test } from './app'
import { editor, newBrief, saved } from './onDesk'

const tray = { lead: 'true a bike wheel', support: ['spoke tension', 'wheel truing stand'], setAside: [] }

test('the ledger counts points by check, and a fix is one click, with a way back', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: 'Wobbly rim',
    description: 'You will see it. wheelshed.example',
    tags: ['rim'],
    tray,
  })
  await page.goto(`/desk?brief=${id}`)
  const points = page.getByTestId('points')
  await expect(points).toHaveText(/\d/u)
  const before = Number(await points.innerText())
  const states = page.getByTestId('ledger').locator('[data-state]')
  await expect(states).toHaveCount(Object.keys(BALANCED.checks).length)
  await page.getByTestId('check-tag-lead').getByTestId('fix').click()
  await expect(page.getByTestId('tag').first()).toContainText('true a bike wheel')
  await expect(page.getByTestId('check-tag-lead')).toHaveAttribute('data-state', 'met')
  expect(Number(await points.innerText())).toBeGreaterThan(before)
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('tag')).toHaveCount(1)
  await expect(points).toHaveText(String(before))
})

test('the other rule set wants other things of the same text', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: 'True a bike wheel',
    description: 'True a bike wheel\n\nAll of it.',
    tags: ['true a bike wheel'],
    tray,
  })
  await page.goto(`/desk?brief=${id}`)
  await expect(page.getByTestId('check-title-width')).toHaveAttribute('data-state', 'partly')
  await page.getByTestId('rule-set').click()
  await page.getByRole('option', { name: 'Exact line' }).click()
  await expect(page.getByTestId('check-title-is-lead')).toHaveAttribute('data-state', 'met')
  await expect(page.getByTestId('check-title-width')).toHaveAttribute('data-state', 'met')
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('rule-set')).toContainText('Exact line')
})

test('matches are underlined with the phrase’s mark, exact and close apart', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: 'How to true a bike wheel',
    description: 'Tensioning the spokes comes first.',
    tray,
  })
  await page.goto(`/desk?brief=${id}`)
  await expect(editor(page, 'title').locator('.match-exact')).toHaveText('true a bike wheel')
  await expect(editor(page, 'title').locator('.match-exact')).toHaveAttribute('data-mark', 'A')
  await expect(editor(page, 'description').locator('.match-close').first()).toHaveAttribute('data-mark', 'B')
})

test('a phrase has one letter everywhere, also where there is no lead', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: 'Bike pump for the road',
    tray: { lead: null, support: ['bike bell', 'bike pump'], setAside: [] },
  })
  await page.goto(`/desk?brief=${id}`)
  await expect(
    page.getByTestId('grid').locator('tbody tr').filter({ hasText: 'bike pump' }).locator('.mark'),
  ).toHaveText('C')
  await page.getByRole('button', { name: 'Tray' }).click()
  await expect(page.getByTestId('support').filter({ hasText: 'bike pump' }).locator('.mark')).toHaveText('C')
  await expect(page.getByTestId('title').locator('[data-mark]')).toHaveAttribute('data-mark', 'C')
})

test('the grid shows where phrases stand, goes there on a click, and fills an empty cell', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: 'How to true a bike wheel',
    description: 'We look at it.\n\nSpoke tension matters.',
    tags: ['wheel'],
    tray,
  })
  await page.goto(`/desk?brief=${id}`)
  const grid = page.getByTestId('grid')
  await grid.getByRole('button', { name: '“spoke tension” in the description: word for word' }).click()
  await expect(editor(page, 'description')).toBeFocused()
  expect(await page.evaluate(() => getSelection()!.toString())).toBe('Spoke tension')
  await grid.getByRole('button', { name: '“spoke tension” in the tags: absent' }).click()
  await page.getByTestId('insert').click()
  await expect(page.getByTestId('tag')).toHaveCount(2)
  await expect(grid.getByRole('button', { name: '“spoke tension” in the tags: word for word' })).toBeVisible()
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('tag')).toHaveCount(1)
})

test('a pasted list becomes tags; duplicates are shown and removed; all are copied', async ({ page, app }) => {
  const id = await newBrief(app, { tray })
  await page.goto(`/desk?brief=${id}`)
  await page.evaluate(() => navigator.clipboard.writeText('bike wheel, Spoke\nspoke;rim'))
  await page.getByTestId('tag-input').focus()
  await page.keyboard.press('Control+V')
  await expect(page.getByTestId('tag')).toHaveCount(4)
  // 10 + 2 for its space, and 5, 5, 3, and three commas.
  await expect(page.getByTestId('tags-count')).toHaveText('28 / 500')
  await page.getByTestId('tidy-tags').click()
  await expect(page.getByTestId('tag')).toHaveCount(3)
  await page.getByRole('button', { name: 'Copy all' }).click()
  await expect.poll(() => page.evaluate(() => navigator.clipboard.readText())).toBe('bike wheel, Spoke, rim')
  await page.getByTestId('tag').nth(2).dragTo(page.getByTestId('tag').nth(0))
  await expect(page.getByTestId('tag').first()).toContainText('rim')
})

test('limits are told as they are passed: the ruler, the bytes, and no way to put two lines in a title', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { tray })
  await page.goto(`/desk?brief=${id}&side=points`)
  await page.evaluate(() => navigator.clipboard.writeText(`${'word '.repeat(21)}\nmore`))
  await editor(page, 'title').click()
  await page.keyboard.press('Control+V')
  await expect(page.getByTestId('ruler')).toContainText('109 / 100')
  await expect(page.getByTestId('ruler')).toContainText('phone cuts at')
  await expect(editor(page, 'title').locator('.cm-line')).toHaveCount(1)
  await expect(page.getByTestId('check-title-length')).toHaveAttribute('data-state', 'missing')
  await editor(page, 'description').click()
  await page.keyboard.insertText('é'.repeat(10))
  await expect(page.getByTestId('description-count')).toHaveText('20 / 5,000 bytes (10 characters)')
})

test('markup and control characters are text in every field', async ({ page, app }) => {
  const evil = '<script>document.title="hacked"</script><img src=x onerror=alert(1)>'
  const id = await newBrief(app, {
    topic: evil,
    title: evil,
    description: `${evil}\u0007`,
    tags: [evil],
    fileName: evil,
    tray: { lead: evil, support: [`${evil} two`], setAside: [evil] },
  })
  for (const path of ['desk', 'library', 'demand']) {
    await page.goto(`/${path}?brief=${id}`)
    await expect(page.getByTestId(path === 'desk' ? 'grid' : 'lead')).toContainText('<script>')
    expect(await page.title()).not.toContain('hacked')
    expect(await page.locator('main img').count()).toBe(0)
  }
})

test('earlier versions of a text can be looked at and brought back', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'First title', tray })
  await page.goto(`/desk?brief=${id}`)
  await editor(page, 'title').click()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Second title')
  await saved(page)
  await page.getByRole('button', { name: 'Earlier titles' }).click()
  await page.getByTestId('history').getByRole('button', { name: 'Restore' }).click()
  await expect(editor(page, 'title')).toHaveText('First title')
  await page.getByTestId('undo').click()
  await expect(editor(page, 'title')).toHaveText('Second title')
})

test('a score of the browser’s worker is the score of the API', async ({ page, app }) => {
  const fields = {
    title: 'How to true a bike wheel, calmly',
    description: 'You will true a bike wheel.',
    tags: ['true a bike wheel', 'rim'],
  }
  const id = await newBrief(app, { ...fields, tray })
  await page.goto(`/desk?brief=${id}`)
  const around = { lead: tray.lead, title: fields.title, tags: fields.tags, region: 'GB', language: 'en' }
  const { context } = (await call(app, '/api/draft/context', { method: 'POST', body: around })).json
  const told = (
    await call(app, '/api/check', {
      method: 'POST',
      body: { draft: fields, phrases: { lead: tray.lead, support: tray.support }, context },
    })
  ).json
  await expect(page.getByTestId('percent')).toHaveText(`${Math.floor(told.percent!)} %`)
})

test('titles stand beside each other: written, taken from ideas, kept, discarded and used, with a way back', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { title: 'My wheel', tray })
  await page.goto(`/desk?brief=${id}`)
  await page.getByTestId('side-bench').click()
  await expect(page).toHaveURL(/side=bench/u)
  await expect(page.getByTestId('title-now')).toContainText('no lead')
  await page.getByTestId('candidate-text').locator('input').fill('True a bike wheel at home')
  await page.getByTestId('candidate-text').locator('input').press('Enter')
  const candidates = page.getByTestId('candidate')
  await expect(candidates).toHaveCount(1)
  await expect(candidates.first()).toContainText('lead at the front')
  await expect(candidates.first()).toContainText('holds 1 of 3')
  // The same title twice is one.
  await page.getByTestId('candidate-text').locator('input').fill('  true a bike wheel AT HOME ')
  await page.getByTestId('candidate-text').locator('input').press('Enter')
  await expect(candidates).toHaveCount(1)

  await page.getByTestId('ideas').click()
  await expect(page.getByTestId('idea')).toHaveCount(30)
  const first = await page.getByTestId('idea').first().locator('.text').innerText()
  await page.getByTestId('idea-keep').first().click()
  await expect(candidates).toHaveCount(2)
  // Kept ones stand first, and are no idea any more.
  await expect(candidates.first().locator('.text')).toHaveText(first)
  await expect(page.getByTestId('idea')).toHaveCount(29)
  await page.getByTestId('ideas').click()
  await expect(page.getByTestId('idea').first()).toBeVisible()

  await page.getByTestId('candidate-discard').last().click()
  await expect(candidates).toHaveCount(1)
  await page.getByTestId('undo').click()
  await expect(candidates).toHaveCount(2)
  await page.getByTestId('candidate-use').first().click()
  await expect(editor(page, 'title')).toHaveText(first)
  // The title that stood there is not lost.
  await expect(page.getByTestId('candidate').filter({ hasText: 'My wheel' })).toHaveCount(1)
  await page.getByTestId('undo').click()
  await expect(editor(page, 'title')).toHaveText('My wheel')
  await page.reload()
  await expect(candidates).toHaveCount(2)
  await expect(candidates.first().locator('.text')).toHaveText(first)
})

test('phrases are managed where they are placed: the grid holds searches, order, lead and what is set aside', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { title: 'Wheel', tray })
  await page.goto(`/desk?brief=${id}`)
  const grid = page.getByTestId('grid')
  await expect(page.getByTestId('tray')).toHaveCount(0)
  await page.getByTestId('grid-add').locator('input').fill('nipple key')
  await page.getByTestId('grid-add').locator('input').press('Enter')
  await expect(grid.locator('tbody tr')).toHaveCount(4)
  await page.getByRole('button', { name: 'More for wheel truing stand' }).click()
  await page.getByText('Make lead', { exact: true }).click()
  await expect(grid.locator('tbody tr').first()).toContainText('wheel truing stand')
  await page.getByRole('button', { name: 'More for nipple key' }).click()
  await page.getByText('Set aside', { exact: true }).click()
  await expect(grid).toContainText('1 set aside')
  await page.getByRole('button', { name: 'Fold the places' }).click()
  await expect(grid.locator('table')).toHaveCount(0)
  await expect(grid).toContainText('Places')
  await page.reload()
  await page.getByRole('button', { name: 'Unfold the places' }).click()
  await expect(grid.locator('tbody tr')).toHaveCount(3)
})

test('each phrase says what the wording does to its chance, and follows the typing', async ({ page, app }) => {
  // The demo knows the result page of this one.
  const lead = 'how to index a rear derailleur'
  const id = await newBrief(app, { title: 'How to index a rear derailleur', tray: { lead, support: [], setAside: [] } })
  await page.goto(`/desk?brief=${id}`)
  const chance = page.getByTestId('grid-chance').first()
  await expect(chance).toHaveText(/%/u)
  const before = await chance.innerText()
  await editor(page, 'title').click()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('A film')
  await expect(chance).not.toHaveText(before)
  await expect(chance).toHaveText(/→/u)
})

test('a title that could not be saved is still there to be sent again', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'Wheel', tray })
  await page.goto(`/desk?brief=${id}&side=bench`)
  const text = page.getByTestId('candidate-text').locator('input')
  await page.route('**/items/*', route => route.abort())
  await text.fill('True a bike wheel slowly')
  await text.press('Enter')
  await expect(page.getByTestId('notice')).toBeVisible()
  await expect(text).toHaveValue('True a bike wheel slowly')
  await expect(page.getByTestId('candidate')).toHaveCount(0)
  await page.unroute('**/items/*')
  await text.press('Enter')
  await expect(page.getByTestId('candidate')).toHaveCount(1)
  await expect(text).toHaveValue('')
})
