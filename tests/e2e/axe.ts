import type { Page } from '@playwright/test'
import axe from 'axe-core'

/**
 * What axe finds that is serious or worse, in words. Contrast follows from the theme's colours, which have a test of
 * their own: to look for it takes most of the time.
 */
export async function serious(page: Page, part?: string, contrast = false, without: string[] = []): Promise<string[]> {
  if (part) await page.locator(part).first().waitFor()
  // Once a page: to read its script takes as long as to look at a screen.
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source)
  // Rows are alike: the first ones tell of all.
  const rows = ['tbody > tr', 'ul > li', 'ol > li', '[data-test=phrase-row]', '[data-test=rival]'].map(
    row => `${row}:nth-child(n+4)`,
  )
  const violations = await page.evaluate(
    async ({ include, exclude, enabled }) => {
      const { run } = (window as unknown as { axe: Pick<typeof axe, 'run'> }).axe
      const found = await run(
        { include, exclude },
        {
          runOnly: { type: 'tag', values: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] },
          resultTypes: ['violations'],
          rules: { 'color-contrast': { enabled } },
        },
      )
      return found.violations.map(({ id, impact, nodes }) => ({
        ...{ id, impact, at: nodes.map(({ target }) => target.join(' ')) },
      }))
    },
    { include: [part ?? 'html'], exclude: [...rows, ...without], enabled: contrast },
  )
  return violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, at }) => `${id}: ${at.join(', ')}`)
}
