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

test('from a topic to a scored text that is there tomorrow, with the keyboard alone', async ({ page }) => {
  const first = await startApp({ from: 'empty' })
  await page.goto(`${first.url}/demand`)
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
  // The machine goes down; tomorrow all of it is there.
  await first.kill()
  const again = await startApp({ data: first.data })
  await everythingIsThere(page, again.url, names[2]!)
  await again.close()
  await first.close()
})
