import type { Locator, Page } from '@playwright/test'

/** Moves the focus by a key until it stands where it should. */
export async function tabTo(page: Page, target: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab') {
  for (let i = 0; i < 90; i++) {
    if (
      await target
        .evaluate(node => node === document.activeElement || node.contains(document.activeElement))
        .catch(() => false)
    )
      return
    await page.keyboard.press(key)
  }
  throw new Error(`The focus does not get there by ${key}.`)
}
