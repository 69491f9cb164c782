import type { Locator, Page } from '@playwright/test'

/** Moves the focus by a key until it stands where it should. */
export async function tabTo(page: Page, target: Locator, key: 'Tab' | 'Shift+Tab' = 'Tab') {
  // Looked up once, and again only when it was drawn anew: to look it up takes as long as to move on.
  let element = await target.elementHandle()
  for (let i = 0; i < 90; i++) {
    const at = await element!.evaluate(node => (node.isConnected ? node.contains(document.activeElement) : null))
    if (at) return
    if (at === null) element = await target.elementHandle()
    else await page.keyboard.press(key)
  }
  throw new Error(`The focus does not get there by ${key}.`)
}
