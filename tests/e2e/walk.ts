import { expect, type Locator, type Page } from '@playwright/test'

/** Whether walks are gone in their long form: for more topics, to the last of many. */
export const LONG = Number(process.env.FONETRA_EXPLORE ?? 0) > 0

/**
 * A person's way through the program, counted: a press of a button or a key is an action, and so is a text typed or
 * pasted. Reading and waiting is none.
 */
export class Walk {
  actions = 0

  constructor(readonly page: Page) {}

  async click(target: Locator | string, force = false) {
    this.actions++
    await (typeof target === 'string' ? this.page.getByTestId(target) : target).first().click({ force })
  }
  async check(target: Locator) {
    this.actions++
    await target.first().check()
  }
  async press(key: string) {
    this.actions++
    await this.page.keyboard.press(key)
  }
  /** Types where the cursor is. */
  async type(text: string) {
    this.actions++
    await this.page.keyboard.insertText(text)
  }
  /** Points at a field, and types into it over what stands there. */
  async into(target: Locator, text: string) {
    this.actions += 2
    await target.first().fill(text)
  }
  /** Opens a list and takes one of what it offers. */
  async choose(list: Locator, option: string | RegExp) {
    await this.click(list, true)
    await this.click(this.page.getByRole('option', { name: option }))
  }
  /** Presses what asks for files, and gives them. */
  async file(target: Locator | string, ...files: string[] | { name: string; mimeType: string; buffer: Buffer }[]) {
    const chosen = this.page.waitForEvent('filechooser')
    await this.click(target)
    await (await chosen).setFiles(files as string[])
  }
  /** A new brief from the menu of briefs. */
  async newBrief(topic: string) {
    await this.click(this.page.getByRole('button', { name: /switch brief/u }))
    await this.click(this.page.getByText('New brief'))
    await expect(this.page.getByTestId('new-topic').locator('input')).toBeFocused()
    await this.type(topic)
    await this.press('Enter')
    await expect(this.page).toHaveURL(/\/demand\?brief=/u)
    await expect(this.page.getByTestId('phrase-row').first()).toBeVisible()
  }
  /** Selects phrases of the table, puts them into the tray and makes one lead. */
  async gather(phrases: readonly string[], lead: string) {
    for (const phrase of phrases)
      await this.check(this.page.getByRole('checkbox', { name: `Select ${phrase}`, exact: true }))
    await this.click('to-tray')
    await this.click(this.page.getByRole('button', { name: `Make ${lead} the lead` }))
    await expect(this.page.getByTestId('lead')).toContainText(lead)
  }
  area = (name: string) => this.click(this.page.getByRole('link', { name, exact: true }))

  /** Percent of the points of the open brief, as the Desk tells it. */
  async percent(): Promise<number> {
    return Number((await this.page.getByTestId('percent').innerText()).replace(/\D/gu, ''))
  }
  /** Tells how many actions it took, and sees that they are no more than they may be. */
  atMost(most: number) {
    if (LONG) console.log(`${this.actions} actions`)
    expect(this.actions, 'actions').toBeLessThanOrEqual(most)
  }
  /** Nothing of what was typed is unsaved. */
  saved = () => expect(this.page.getByTestId('save-state')).toHaveText(/^Saved/u)
}

/** The brief that is open. */
export const openId = (walk: Walk) => new URL(walk.page.url()).searchParams.get('brief')!
