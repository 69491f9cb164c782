import type { Page } from '@playwright/test'
import { expect, test } from './app'
import { serious } from './axe'

/** Goes to an address as a link does, without loading the program again. */
async function turnTo(page: Page, address: string): Promise<void> {
  if (page.url() === 'about:blank') await page.goto(address)
  else
    await page.evaluate(to => {
      history.pushState(null, '', to)
      dispatchEvent(new PopStateEvent('popstate', { state: null }))
    }, address)
}

/** Every screen with what says that it stands. */
const SCREENS = [
  ['next', '[data-test=next-looked]'],
  ['demand', '[data-test=demand-empty]'],
  ['demand?seed=rear+derailleur&region=GB', '[data-test=phrase-row]'],
  ['demand?seed=rear+derailleur&region=GB&volume=99999999', '[data-test=no-phrases]'],
  ['demand?seed=rear+derailleur&region=GB&phrase=rear+derailleur&for=channel', '[data-test=story]'],
  ['demand?seed=rear+derailleur&region=GB&view=chart', '[data-test=point]'],
  ['demand?seed=rear+derailleur&region=GB&view=year', '[data-test=strip]'],
  ['demand?seed=rear+derailleur&region=GB&view=groups', '[data-test=group]'],
  ['rivals?phrase=how+to+clean+bike+chain&region=GB', '[data-test=rival]'],
  ['rivals?phrase=how+to+clean+bike+chain&region=GB&tab=curves', '.apexcharts-canvas'],
  ['rivals?phrase=how+to+clean+bike+chain&region=GB&tab=words', '[data-test=word]'],
  ['rivals?phrase=how+to+clean+bike+chain&region=GB&tab=channels', '[data-test=channel]'],
  ['rivals?region=GB&tab=trending', '[data-test=trend]'],
  ['library?tab=lists', '[data-test=list-name]'],
  ['library?tab=sources', '[data-test=source]'],
  ['library?tab=places', '[data-test=place-list]'],
  ['library?tab=channels', '[data-test=own]'],
  ['library?tab=data', '[data-test=backup-now]'],
  ['desk', '[data-test=ledger] li'],
  ['desk?side=bench', '[data-test=title-now]'],
  ['desk?side=compose', '[data-test=compose-run]'],
  ['desk?side=seen', '[data-test=seen-list]'],
  ['desk?side=tags', '[data-test=tag-side]'],
  ['desk?side=blocks', '[data-test=block-new]'],
  ['desk?side=versions', '[data-test=version-name]'],
  ['desk?part=spoken', '[data-test=chapters]'],
  ['desk?part=spoken&side=phrases', '[data-test=spoken-phrases]'],
  ['desk?part=spoken&side=clean', '[data-test=clean]'],
  ['desk?part=spoken&side=truth', '[data-test=truth]'],
  ['desk?part=spoken&side=filming', '[data-test=filming]'],
  ['release', '[data-test=point-title]'],
  ['release?part=hand-over', '[data-test=step-title]'],
  ['release?part=thumbnail', '[data-test=page-pictures]'],
  ['release?part=video', '[data-test=video-strip]'],
  ['release?part=when', '[data-test=month]'],
  ['release?part=spread', '[data-test=write-posts]'],
  ['release?part=publish', '[data-test=sent]'],
  ['release?part=publish&onto=there', '[data-test=apply-video]'],
  ['desk?part=playlist', '[data-test=playlist-row]'],
  ['desk?part=playlist&side=points', '[data-test=playlist-points]'],
  ['desk?part=playlist&side=found', '[data-test=found-playlist]'],
  ['desk?part=playlist&side=suggested', '[data-test=playlist-suggested]'],
  ['desk?part=languages', '[data-test=no-language]'],
  ['library?tab=playlists', '[data-test=open-playlist]'],
  ['library?tab=texts', '[data-test=texts-table]'],
  ['library', '[data-test=open-brief]'],
  ['ranks', '[data-test=ranks]'],
  ['ranks?view=channel', '[data-test=channel-row]'],
  ['ranks?view=channel&of=leads', '[data-test=leading-row]'],
  ['ranks?view=channel&of=earned', '[data-test=earned-row]'],
  ['ranks?view=open&of=plan', '[data-test=plan-film]'],
  ['ranks?view=mend', '[data-test=mend-panel]'],
  ['ranks?view=views', '[data-test=first-weeks]'],
  ['ranks?view=told', '[data-test=told-rows]'],
  ['ranks?view=told&of=points', '[data-test=points-set]'],
  ['ranks?view=open', '[data-test=open-phrase]'],
  ['ranks?view=open&of=together', '[data-test=together-row]'],
  ['ranks?view=many', '[data-test=many-video]'],
  ['ranks?view=many&of=trial', '[data-test=trial-question]'],
] as const

/** The phrases beside every screen, and on the Desk those by their places, and the points. */
const BESIDE = ['[data-test=tray]', '[data-test=grid]', '[data-test=ledger]']

test.describe('free of serious findings', () => {
  test.describe.configure({ mode: 'parallel' })
  for (const [part, screens] of [
    ['first', SCREENS.slice(0, 8)],
    ['next', SCREENS.slice(8, 34)],
    ['last', SCREENS.slice(34)],
  ] as const) {
    test(`each of the ${part} screens`, async ({ page }) => {
      test.setTimeout(240_000)
      for (const [path, ready] of screens) {
        await turnTo(page, `/${path}`)
        await page.locator(ready).first().waitFor({ timeout: 30_000 })
        // On the Desk the phrases stand in the grid.
        await expect(page.getByTestId(path.startsWith('desk') ? 'grid' : 'tray')).toBeVisible()
        // What stands beside every screen is looked at with the first ones, and with the Desk itself.
        const without = part === 'first' || path === 'desk' ? [] : BESIDE
        expect(await serious(page, undefined, false, without), path).toEqual([])
      }
    })
  }

  test('each dialog and menu', async ({ page }) => {
    test.setTimeout(120_000)
    for (const [query, ready] of [
      ['longer=bike+chain', '[data-test=longer-row]'],
      ['places=1', '[data-test=places-run]'],
      ['shortlist=bike+chain,wax+bike+chain', '[data-test=shortlist-lead]'],
    ] as const) {
      await turnTo(page, `/demand?seed=bike+chain&region=GB&${query}`)
      await page.locator(ready).first().waitFor({ timeout: 30_000 })
      expect(await serious(page, '.v-dialog.v-overlay--active'), query).toEqual([])
    }
    await turnTo(page, '/demand?seed=rear+derailleur&region=GB')
    await page.locator('.v-dialog.v-overlay--active').waitFor({ state: 'detached' })
    await page.getByTestId('phrase-row').first().locator('.worth').click()
    await page.getByTestId('worth-working').locator('table').waitFor()
    expect(await serious(page, '.v-dialog.v-overlay--active'), 'worth').toEqual([])
    await page.keyboard.press('Escape')
    await page.getByTestId('import-open').click()
    expect(await serious(page, '.v-dialog.v-overlay--active'), 'import').toEqual([])
    await page.keyboard.press('Escape')
    // Until it is gone, what is pressed is typed into it.
    await page.locator('.v-dialog.v-overlay--active').waitFor({ state: 'detached' })
    await page.keyboard.press('?')
    await page.locator('.v-dialog.v-overlay--active').waitFor()
    expect(await serious(page, '.v-dialog.v-overlay--active'), 'keys').toEqual([])
    await page.keyboard.press('Escape')
    await page.locator('.v-dialog.v-overlay--active').waitFor({ state: 'detached' })
    await page.keyboard.press('Control+k')
    expect(await serious(page, '.v-dialog.v-overlay--active'), 'find').toEqual([])
    await page.keyboard.press('Escape')
    await page.locator('.v-dialog.v-overlay--active').waitFor({ state: 'detached' })
    await page.keyboard.press('n')
    expect(await serious(page, '.v-dialog.v-overlay--active'), 'new brief').toEqual([])
  })

  // Colours that are mixed as they are drawn are seen here alone.
  test.describe('in the dark', () => {
    test.use({ colorScheme: 'dark' })
    test('colours of two full screens', async ({ page }) => {
      for (const [path, ready] of [
        ['demand?seed=rear+derailleur&region=GB', '[data-test=phrase-row]'],
        ['desk', '[data-test=ledger] li'],
      ] as const) {
        await turnTo(page, `/${path}`)
        await page.locator(ready).first().waitFor({ timeout: 30_000 })
        expect(await serious(page, undefined, true), path).toEqual([])
      }
    })
  })
})

test('a change of the score is said to screen readers, and every figure of the grid has a name', async ({ page }) => {
  await page.goto('/library')
  await page.getByRole('textbox', { name: 'Find a brief' }).fill('Indexing a rear derailleur')
  await page.getByRole('link', { name: 'Indexing a rear derailleur' }).click()
  await expect(
    page
      .getByTestId('grid')
      .getByRole('img', { name: /“how to index a rear derailleur” in the title: word for word/u }),
  ).toBeVisible()
  const spoken = page.locator('[aria-live=polite]').filter({ hasText: /points/u })
  await page.getByTestId('title').locator('.cm-content').click()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('Something else')
  await expect(spoken).toHaveText(/\d+ of \d+ points/u)
})

test('with reduced motion nothing moves', async ({ page }) => {
  await page.goto('/desk')
  await page.getByTestId('ledger').waitFor()
  expect(
    await page
      .getByTestId('ledger')
      .locator('.bar span')
      .evaluate(bar => parseFloat(getComputedStyle(bar).transitionDuration)),
  ).toBeLessThan(0.001)
})
