import { AxeBuilder } from '@axe-core/playwright'
import type { Page } from '@playwright/test'
import { expect, test } from './app'

/** What axe finds that is serious or worse, in words. */
async function serious(page: Page, theme: 'light' | 'dark', part?: string): Promise<string[]> {
  const builder = new AxeBuilder({ page })
  if (part) builder.include(part)
  // Names and roles are the same in both themes; colours are not.
  if (theme === 'dark') builder.withRules(['color-contrast'])
  else builder.withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'])
  const { violations } = await builder.analyze()
  return violations.filter(each => each.impact === 'serious' || each.impact === 'critical').map(each => `${each.id}: ${each.nodes.map(node => node.target.join(' ')).join(', ')}`)
}

for (const theme of ['light', 'dark'] as const) {
  test.describe(theme, () => {
    test.use({ colorScheme: theme })

    test('each screen is free of serious findings', async ({ page }) => {
      test.setTimeout(120_000)
      for (const [path, ready] of [
        ['demand', '[data-test=demand-empty]'], ['demand?seed=rear+derailleur&region=GB', '[data-test=phrase-row]'], ['demand?seed=rear+derailleur&region=GB&volume=99999999', '[data-test=no-phrases]'],
        ['desk', '[data-test=ledger] li'], ['library', '[data-test=open-brief]'], ['rivals', 'h1'], ['release', 'h1'], ['ranks', 'h1'],
      ] as const) {
        await page.goto(`/${path}`)
        await page.locator(ready).first().waitFor()
        await expect(page.getByTestId('tray')).toBeVisible()
        await page.waitForTimeout(400)
        expect(await serious(page, theme), path).toEqual([])
      }
    })

    test('each dialog and menu is free of serious findings', async ({ page }) => {
      test.setTimeout(120_000)
      await page.goto('/demand?seed=rear+derailleur&region=GB')
      const row = page.getByTestId('phrase-row').first()
      await row.locator('input').check()
      await row.locator('.worth').click()
      await page.getByTestId('worth-working').locator('table').waitFor()
      await page.waitForTimeout(400)
      expect(await serious(page, theme, '.v-dialog.v-overlay--active'), 'worth').toEqual([])
      await page.keyboard.press('Escape')
      await page.getByTestId('import-open').click()
      await page.waitForTimeout(400)
      expect(await serious(page, theme, '.v-dialog.v-overlay--active'), 'import').toEqual([])
      await page.keyboard.press('Escape')
      await page.keyboard.press('?')
      await page.waitForTimeout(400)
      expect(await serious(page, theme, '.v-dialog.v-overlay--active'), 'keys').toEqual([])
      await page.keyboard.press('Escape')
      await page.keyboard.press('n')
      await page.waitForTimeout(400)
      expect(await serious(page, theme, '.v-dialog.v-overlay--active'), 'new brief').toEqual([])
    })
  })
}

test('a change of the score is said to screen readers, and every figure of the grid has a name', async ({ page }) => {
  await page.goto('/library')
  await page.getByRole('link', { name: 'Indexing a rear derailleur' }).click()
  await expect(page.getByTestId('grid').getByRole('img', { name: /“how to index a rear derailleur” in the title: word for word/u })).toBeVisible()
  const spoken = page.locator('[aria-live=polite]').filter({ hasText: /points/u })
  await page.getByTestId('title').locator('.cm-content').click()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Something else')
  await expect(spoken).toHaveText(/\d+ of \d+ points/u)
})

test('with reduced motion nothing moves', async ({ page }) => {
  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto('/desk')
  await page.getByTestId('ledger').waitFor()
  expect(await page.getByTestId('ledger').locator('.bar span').evaluate(bar => parseFloat(getComputedStyle(bar).transitionDuration))).toBeLessThan(0.001)
})
