import type { Page } from '@playwright/test'
import { expect, startApp, test } from './app'
import { tabTo } from './keys'

// As most people have it; other files look at things without motion.
test.use({ contextOptions: { reducedMotion: 'no-preference' } })

const row = (page: Page, n: number) => page.getByTestId('phrase-row').nth(n)
const saved = (page: Page) => expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
const editor = (page: Page, name: 'title' | 'description') => page.getByTestId(name).locator('.cm-content')

/** What must still be there after the server was killed and the window closed. */
async function everythingIsThere(page: Page, url: string, lead: string) {
  await page.goto(`${url}/library`)
  await expect(page.getByTestId('open-brief')).toHaveCount(1)
  await page.getByTestId('open-brief').click()
  await expect(page).toHaveURL(/\/desk\?brief=/u)
  const phrases = page.getByTestId('grid').locator('tbody tr')
  await expect(phrases).toHaveCount(3)
  await expect(phrases.first()).toContainText(lead)
  await expect(editor(page, 'title')).toContainText('with one tool')
  await expect(editor(page, 'description')).toContainText('You will learn')
  await expect(page.getByTestId('tag')).toHaveCount(3)
  await expect(page.getByTestId('percent')).toHaveText(/^\d+ %$/u)
}

test('from a topic to a scored text that is there tomorrow', async ({ page }) => {
  const first = await startApp({ from: 'empty' })
  await page.goto(first.url)
  await expect(page.getByTestId('demand-empty')).toBeVisible()

  // A topic: related phrases with figures, difficulty coming in.
  await page.getByTestId('seed').locator('input[type=text]').fill('bottom bracket')
  await page.getByTestId('seed').locator('input[type=text]').press('Enter')
  await expect(page.getByTestId('demand-status')).toContainText(/[\d,]{3,} phrases/u)
  const count = Number((await page.getByTestId('demand-status').locator('strong').innerText()).replace(/\D/gu, ''))
  expect(count).toBeGreaterThanOrEqual(200)
  await expect(row(page, 0).locator('.difficulty')).toHaveText(/^\d+$/u)
  await expect(row(page, 0).locator('.worth')).toHaveText(/^\d+$/u)

  // The next seed by a click, and the browser's way back.
  const second = await row(page, 3).locator('.phrase button').innerText()
  await row(page, 3).locator('.phrase button').click()
  await expect(page).toHaveURL(url => url.searchParams.get('seed') === second)
  await page.goBack()
  await expect(page).toHaveURL(/seed=bottom\+bracket/u)
  await expect(row(page, 0)).toBeVisible()

  // Three phrases to the tray, the best of them made lead.
  const names: string[] = []
  for (const n of [1, 2, 4]) {
    names.push(await row(page, n).locator('.phrase button').innerText())
    await row(page, n).locator('input').check()
  }
  await page.getByTestId('to-tray').click()
  await expect(page.getByTestId('support')).toHaveCount(3)
  await row(page, 2).locator('input').check()
  await page.getByTestId('make-lead').click()
  const lead = names[1]!
  await expect(page.getByTestId('lead')).toContainText(lead)
  await expect(page.getByTestId('support')).toHaveCount(2)
  await expect(page.getByTestId('lead').locator('.volume')).toHaveText(/\d/u)

  // The text, scored as it is typed.
  await page.getByRole('link', { name: 'Desk' }).click()
  await editor(page, 'title').click()
  // An empty title brings the bench; the points are beside it.
  await expect(page.getByTestId('bench')).toBeVisible()
  await page.keyboard.type('Do it right with one tool', { delay: 5 })
  await page.getByTestId('side-points').click()
  await expect(page.getByTestId('check-title-lead')).toHaveAttribute('data-state', /missing|partly/u)
  await page.getByTestId('check-title-lead').getByTestId('fix').first().click()
  await expect(page.getByTestId('check-title-lead')).toHaveAttribute('data-state', 'met')
  await expect(editor(page, 'title').locator('.match-exact')).toHaveText(new RegExp(lead, 'iu'))
  await editor(page, 'description').click()
  await page.keyboard.type(`You will learn to ${lead}. See wheelshed.example/bench`)
  await page.getByTestId('check-link-scheme').getByTestId('fix').click()
  await expect(editor(page, 'description')).toContainText('https://wheelshed.example/bench')
  await page.getByTestId('undo').click()
  await expect(editor(page, 'description')).not.toContainText('https://')
  await page.getByTestId('tag-input').fill(`${lead}, bike repair, bottom bracket`)
  await page.getByTestId('tag-input').press('Enter')
  await expect(page.getByTestId('tag')).toHaveCount(3)
  await saved(page)

  // The machine goes down; tomorrow all of it is there.
  await first.kill()
  const again = await startApp({ data: first.data })
  await everythingIsThere(page, again.url, lead)
  await again.close()
  await first.close()
})

test('the same with the keyboard alone', async ({ page }) => {
  const app = await startApp({ from: 'empty' })
  await page.goto(app.url)
  await expect(page.getByTestId('demand-empty')).toBeVisible()
  const keys = page.keyboard
  await keys.press('n')
  await expect(page.getByTestId('new-topic').locator('input')).toBeFocused()
  await keys.type('bottom bracket')
  await keys.press('Enter')
  await expect(row(page, 3).locator('.worth')).toHaveText(/^\d+$/u)

  // A suggestion is taken with the arrow keys.
  await keys.press('Escape')
  await page.locator('body').click({ position: { x: 2, y: 790 } })
  await keys.press('/')
  await keys.press('Control+A')
  await keys.type('replace bottom br', { delay: 20 })
  await expect(page.getByRole('option').first()).toBeVisible()
  await keys.press('ArrowDown')
  await expect(page.getByRole('option').first()).toBeFocused()
  // What comes late for the letters typed since does not change the list under the hand.
  const suggestion = await page.locator('[role=option]:focus .v-list-item-title').innerText()
  await keys.press('Enter')
  await expect(page).toHaveURL(url => url.searchParams.get('seed') === suggestion)
  await expect(row(page, 3).locator('.worth')).toHaveText(/^\d+$/u)

  const names: string[] = []
  await tabTo(page, row(page, 0).locator('input'))
  for (const n of [0, 1, 2]) {
    if (n) await keys.press('ArrowDown')
    names.push(await row(page, n).locator('.phrase button').innerText())
    await expect(row(page, n).locator('input')).toBeFocused()
    await keys.press('Space')
    await expect(row(page, n).locator('input')).toBeChecked()
  }
  await tabTo(page, page.getByTestId('to-tray'))
  await keys.press('Enter')
  await expect(page.getByTestId('support')).toHaveCount(3)

  // In the tray: the third moves up, then becomes the lead by its menu.
  await tabTo(page, page.getByTestId('support').nth(2))
  await keys.press('Alt+ArrowUp')
  await expect(page.getByTestId('support').nth(1)).toContainText(names[2]!)
  const more = page.getByTestId('support').nth(1).getByRole('button', { name: /^More/u })
  await tabTo(page, more)
  await keys.press('Enter')
  await expect(
    page.getByRole('menu').or(page.getByRole('listbox')).or(page.locator('.v-menu .v-list')).first(),
  ).toBeVisible()
  await keys.press('ArrowDown')
  await keys.press('Enter')
  await expect(page.getByTestId('lead')).toContainText(names[2]!)

  await keys.press('Escape')
  await keys.press('g')
  await keys.press('3')
  await expect(page).toHaveURL(/\/desk/u)
  await expect(page.getByTestId('ledger')).toBeVisible()
  await tabTo(page, editor(page, 'title'))
  await keys.type('Done at home with one tool')
  await tabTo(page, page.getByTestId('side-points'))
  await keys.press('Enter')
  await tabTo(page, page.getByTestId('check-title-lead').getByTestId('fix').first())
  await keys.press('Enter')
  await expect(page.getByTestId('check-title-lead')).toHaveAttribute('data-state', 'met')
  await page.evaluate(() => {
    ;(document.activeElement as HTMLElement).blur()
  })
  await keys.press('/')
  await tabTo(page, editor(page, 'description'))
  await keys.type('You will learn it.')
  await tabTo(page, page.getByTestId('tag-input'))
  await keys.type(`${names[2]!},bike repair,bracket`)
  await keys.press('Enter')
  await expect(page.getByTestId('tag')).toHaveCount(3)
  await saved(page)
  await everythingIsThere(page, app.url, names[2]!)
  await app.close()
})
