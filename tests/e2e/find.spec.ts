import type { Route } from '@playwright/test'
import { DEFAULT_PROFILE } from '../../core/draft/limits'
import { BALANCED } from '../../core/draft/ruleset'
import { call, expect, test } from './app'

test('a moment after a screen stands, Find opens without fetching anything: no letter typed after its key is lost', async ({
  page,
}) => {
  const code = page.waitForResponse(
    async answer => /_nuxt\/[^/]*\.js$/u.test(answer.url()) && (await answer.text()).includes('find-box'),
  )
  await page.goto('/next')
  await expect(page.getByTestId('tray')).toBeVisible()
  await (await code).finished()
  await page.route('**/_nuxt/**', route => route.abort())
  await page.keyboard.press('Control+k')
  await page.keyboard.type('backup')
  await expect(page.getByTestId('find-box').locator('input')).toHaveValue('backup')
  await expect(page.getByRole('option').first()).toContainText('Data')
})

test('what is typed before a box is there is in its field; a box that cannot be loaded says so', async ({ page }) => {
  await page.goto('/next')
  await expect(page.getByTestId('tray')).toBeVisible()
  const waiting: Route[] = []
  const hold = (route: Route) => void waiting.push(route)
  await page.route('**/_nuxt/*.js', hold)
  await page.keyboard.press('n')
  await page.keyboard.type('wrt')
  await page.keyboard.press('Backspace')
  await page.keyboard.type('ong')
  await page.keyboard.press('Escape')
  await page.keyboard.press('n')
  await expect.poll(() => waiting.length).toBeGreaterThan(0)
  // Some of these letters are keys of the shell.
  await page.keyboard.type('tent and 2 brakes')
  await page.keyboard.press('Backspace')
  for (const route of waiting.splice(0)) await route.continue()
  await page.unroute('**/_nuxt/*.js', hold)
  const topic = page.getByTestId('new-topic').locator('input')
  await expect(topic).toHaveValue('tent and 2 brake')
  await page.keyboard.type(' pads')
  await expect(topic).toHaveValue('tent and 2 brake pads')
  await expect(page.getByTestId('tray')).toBeVisible()
  // Its key once more, from one of its buttons, keeps nothing from the field.
  await page.getByRole('button', { name: 'Cancel' }).focus()
  await page.keyboard.press('n')
  await topic.focus()
  await page.keyboard.press('End')
  await page.keyboard.type('!')
  await expect(topic).toHaveValue('tent and 2 brake pads!')

  await page.reload()
  await expect(page.getByTestId('tray')).toBeVisible()
  await page.route('**/_nuxt/*.js', route => route.abort())
  await page.keyboard.press('n')
  await expect(page.getByTestId('notice')).toContainText('Could not load the form. Try again.')
  // Keys are the screen's again.
  await page.keyboard.press('t')
  await expect(page.getByTestId('tray')).toBeHidden()
})

test('anything is found with one key, by words, beginnings and misspellings; Enter goes there', async ({
  page,
  app,
}) => {
  await page.goto('/next')
  await expect(page.getByTestId('tray')).toBeVisible()
  const box = page.getByTestId('find-box').locator('input')
  const first = page.getByRole('option').first()
  async function look(q: string) {
    await page.keyboard.press('Control+k')
    await expect(box).toBeFocused()
    await page.keyboard.type(q)
  }
  await look('indexng derai')
  await expect(first).toContainText('Indexing a rear derailleur')
  await expect(first).toContainText('Brief')
  await page.keyboard.press('Enter')
  const { briefs } = (await call(app, '/api/briefs')).json
  const { id } = briefs.find(({ topic }) => topic === 'Indexing a rear derailleur')!
  await expect(page).toHaveURL(new RegExp(`/desk\\?brief=${id}`, 'u'))
  await expect(page.getByTestId('find')).toHaveCount(0)

  await page.getByTestId('find-open').click()
  await expect(box).toBeFocused()
  await page.keyboard.type('backup')
  await expect(first).toContainText('Data')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/library\?.*tab=data/u)

  await look('gears')
  await page.getByRole('option').filter({ hasText: 'Playlist' }).first().click()
  await expect(page).toHaveURL(/tab=playlists&playlist=/u)

  await look('bike chain squeaking')
  await page.getByRole('option').filter({ hasText: 'Phrase' }).first().click()
  await expect(page).toHaveURL(/\/demand\?.*region=GB/u)

  await look('zzqx')
  await expect(page.getByText('Nothing found. Try fewer words.')).toBeVisible()
  await page.keyboard.press('Escape')
  await expect(page.getByTestId('find')).toHaveCount(0)

  await look('rule sets')
  await page.keyboard.press('Enter')
  await expect(page).toHaveURL(/\/desk\?.*rules=/u)
  await expect(
    page.getByTestId('rules').getByTestId('rules-set').and(page.locator('[aria-current=true]')),
  ).toContainText('in use')
  await page.getByTestId('rules-close').click()
  await expect(page).not.toHaveURL(/rules=/u)

  await look('dark')
  await expect(first).toContainText('Dark or light theme')
  await page.keyboard.press('Enter')
  await expect(page.locator('.v-theme--dark').first()).toBeVisible()
})

test('a rule set and limits of one’s own are found by name, and the address leads there again', async ({
  page,
  app,
}) => {
  const make = async (path: string, body: object) =>
    ((await call(app, path, { method: 'POST', body })).json as unknown as { id: string }).id
  const set = await make('/api/rule-sets', { ...BALANCED, id: undefined, name: 'For weekend guests' })
  const profile = await make('/api/limit-profiles', { ...DEFAULT_PROFILE, id: undefined, name: 'A narrow kiosk' })
  await page.goto('/next')
  await expect(page.getByTestId('tray')).toBeVisible()
  const look = async (q: string, kind: string) => {
    await expect(page.getByTestId('rules')).toHaveCount(0)
    await page.keyboard.press('Control+k')
    await expect(page.getByTestId('find-box').locator('input')).toBeFocused()
    await page.keyboard.type(q)
    await page.getByRole('option').filter({ hasText: kind }).first().click()
  }
  await look('weekend', 'Rule set')
  await expect(page).toHaveURL(new RegExp(`rules=${set}`, 'u'))
  await expect(page.getByTestId('rules-name').locator('input')).toHaveValue('For weekend guests')
  await page.reload()
  await expect(page.getByTestId('rules-name').locator('input')).toHaveValue('For weekend guests')
  await page.getByTestId('limits-set').filter({ hasText: 'A narrow kiosk' }).click()
  await expect(page).toHaveURL(new RegExp(`limits=${profile}`, 'u'))
  await page.getByTestId('rules-close').click()
  await expect(page).not.toHaveURL(/limits=/u)

  await look('limits', 'Screen')
  const used = page.getByTestId('limits-set').and(page.locator('[aria-current=true]'))
  await expect(used).toContainText('in use')
  await page.getByTestId('rules-close').click()
  await look('kiosk', 'Limits')
  const shown = page.getByTestId('limits-set').and(page.locator('[aria-current=true]'))
  await expect(shown).toContainText('A narrow kiosk')
  await page.goBack()
  await expect(page.getByTestId('rules')).toHaveCount(0)
  await call(app, `/api/rule-sets/${set}`, { method: 'DELETE' })
  await call(app, `/api/limit-profiles/${profile}`, { method: 'DELETE' })
})
