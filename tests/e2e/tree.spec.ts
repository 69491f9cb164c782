import type { Page } from '@playwright/test'
import { expect, test } from './app'

type Role = Parameters<Page['getByRole']>[0]

/**
 * Fonetra as somebody has it read out: everything is known by its role and name, and what stands on a screen by the
 * text of the accessibility tree.
 */
const reader = (page: Page) => {
  const named = (role: Role, name: string | RegExp) => page.getByRole(role, { name }).first()
  return {
    named,
    press: (role: Role, name: string | RegExp) => named(role, name).click(),
    write: (name: string | RegExp, text: string) => named('textbox', name).fill(text),
    /** Waits until it is read out in the main part of the page, or in another one. */
    hears: (text: string | RegExp, part: Role = 'main') =>
      expect.poll(() => page.getByRole(part).first().ariaSnapshot(), { timeout: 30_000 }).toMatch(text),
  }
}

test('from a topic to a scored title, by what the accessibility tree says alone', async ({ page }) => {
  const { named, press, write, hears } = reader(page)
  await page.goto('/demand')
  await press('button', /: switch brief$/u)
  await press('menuitem', 'New brief')
  await write('What is the video about?', 'bleed a brake')
  await press('button', 'Create')
  await hears(/heading "Demand: “bleed a brake”, United Kingdom"/u)
  await hears(/button "Table" \[pressed\]/u)
  await hears(/columnheader "Worth"/u)

  // A row says what it is about, its figures and what can be done with it.
  const phrase = (await named('checkbox', /^Select (?!all rows)/u).getAttribute('aria-label'))!.slice('Select '.length)
  await expect(named('row', new RegExp(`^Select ${phrase}`, 'u'))).toContainText(/\d/u)
  await named('checkbox', `Select ${phrase}`).check()
  await hears(/button "Make lead"/u)
  await press('button', 'Make lead')
  await hears(new RegExp(`region "Lead":[^]*${phrase}`, 'u'), 'complementary')

  await press('link', 'Desk')
  await hears(/button "Text" \[pressed\]/u)
  await write('Title', `${phrase} at home, step by step`)
  await hears(`“${phrase}” in the title: word for word`)
  await hears(`“${phrase}” in the tags: no tags yet`)
  await press('button', 'Points')
  await hears(/button "Points" \[pressed\]/u)
  await hears(/region "Points ledger":\s+- text: \d+ of \d+ points \d+ %/u)
  await hears(/Lead phrase among the tags/u)

  // A chart says what it shows, and a table beside it holds its figures.
  await press('link', 'Ranks')
  await hears(/figure ".+: rank \d+ on/u)
  await hears(/table "Ranks by phrase"/u)
  await press('button', 'Forecasts')
  await hears(/button "Forecasts" \[pressed\]/u)
})
