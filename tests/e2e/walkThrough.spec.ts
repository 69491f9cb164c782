import { call, demoApp, expect, test as shared } from './app'
import { serious } from './axe'
import { editor, fieldsOf } from './onDesk'

// It makes and deletes a brief that others would count.
const test = shared.extend(demoApp)

test('a walk is done for real with a brief of its own, goes on after a reload, and leaves nothing behind', async ({
  page,
  app,
}) => {
  const before = (await call(app, '/api/briefs')).json.briefs
  await page.goto('/next')
  await page.getByTestId('walk-begin').click()
  await expect(page).toHaveURL(/\/demand\?.*seed=true/u)
  const { briefs } = (await call(app, '/api/briefs')).json
  const { id } = briefs.find(({ topic }) => topic === 'A walk: truing a wheel')!
  await expect(page.getByTestId('walk-next')).toHaveText('Skip it')
  expect(await serious(page, '[data-test=walk]')).toEqual([])

  const rows = page.getByTestId('phrase-row')
  await rows.nth(0).locator('input').click()
  await page.getByTestId('make-lead').click()
  await expect(page.getByTestId('walk').getByText('Lead ✓')).toBeVisible()
  await page.getByTestId('walk-next').click()
  // A step that is skipped holds up none.
  await page.getByTestId('walk-next').click()
  await expect(page).toHaveURL(/\/rivals\?phrase=/u)
  await expect(page.getByTestId('walk').getByText('Rivals ✓')).toBeVisible()
  await page.getByTestId('walk-next').click()
  await expect(page).toHaveURL(/\/desk/u)

  // Where it stands is kept in this browser.
  await page.reload()
  await expect(page.getByTestId('walk-say')).toContainText('Write a title that holds the lead')
  const { tray } = await fieldsOf(app, id)
  await editor(page, 'title').click()
  await page.keyboard.type(`How to: ${tray.lead}`)
  await expect(page.getByTestId('walk').getByText('Title ✓')).toBeVisible()

  // Another brief may be opened meanwhile.
  await page.goto(`/desk?brief=${before[0]!.id}`)
  await expect(page.getByTestId('walk-say')).toContainText('Another brief is open')
  await page.getByTestId('walk-end').press('Enter')
  await expect(page.getByTestId('walk')).toHaveCount(0)
  const ids = (list: typeof before) => list.map(each => each.id).sort()
  expect(ids((await call(app, '/api/briefs')).json.briefs)).toEqual(ids(before))
})
