import type { Page } from '@playwright/test'
import { call, expect, test } from './app'

const rows = (page: Page) => page.getByTestId('phrase-row')
const open = async (page: Page, query: string) => {
  await page.goto(`/demand?${query}`)
  await expect(rows(page).first()).toBeVisible()
}

test('a chance learnt from result pages says from how many, what speaks for it, and what fixed weights say', async ({
  page,
  app,
}) => {
  await open(page, 'seed=rear+derailleur&region=GB&for=channel&sort=worth:desc')
  const phrase = (await rows(page).first().locator('td').nth(1).innerText()).trim()
  await rows(page).first().locator('.worth').click()
  const panel = page.getByTestId('chance-working')
  const { workspaces } = (await call(app, '/api/workspaces')).json
  const detail = (
    await call(app, `/api/phrases/detail?phrase=${encodeURIComponent(phrase)}&region=GB&workspace=${workspaces[0]!.id}`)
  ).json
  const { parts, constants, pairs } = detail.chanceWorking!
  await expect(panel).toContainText(/Learnt from [\d,]+ result pages/u)
  await expect(panel).toContainText('fixed weights put')
  await expect(panel.locator('tr')).toHaveCount(parts.length)
  expect(pairs.learnt).toBeGreaterThan(pairs.constants)
  expect(constants).toBeGreaterThan(0)
  // The parts are the logit of the chance of a video that does as most do.
  const [low, high] = detail.chanceWorking!.range
  const middle = 1 / (1 + Math.exp(-parts.reduce((sum, part) => sum + part.value, 0)))
  expect(middle).toBeGreaterThan(low)
  expect(middle).toBeLessThan(high)
  // For anyone there is none.
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'For anyone' }).click()
  await rows(page).first().locator('.worth').click()
  await expect(page.getByTestId('worth-working')).toContainText('for anyone')
  await expect(panel).toHaveCount(0)
})
