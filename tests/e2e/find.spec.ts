import { call, expect, test } from './app'

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

  await look('dark')
  await expect(first).toContainText('Dark or light theme')
  await page.keyboard.press('Enter')
  await expect(page.locator('.v-theme--dark').first()).toBeVisible()
})
