import { call, expect, startApp, test as shared, type RunningApp } from './app'
import { serious } from './axe'

const test = shared.extend<object, { app: RunningApp }>({
  app: [
    async ({}, use) => {
      const app = await startApp({ from: 'empty' })
      await use(app)
      await app.close()
    },
    { scope: 'worker' },
  ],
})

test('without briefs Fonetra opens with the first one: topic, region, channel, phrase, by keys alone', async ({
  page,
  app,
}) => {
  await page.goto('/')
  await expect(page).toHaveURL(/\/next/u)
  await expect(page.getByTestId('begin-topic').locator('input')).toBeFocused()
  await page.keyboard.press('Enter')
  await expect(page.getByText('Enter a topic in a few words.')).toBeVisible()
  await page.keyboard.type('squeaky brakes')
  await page.keyboard.press('Tab')
  await page.keyboard.type('United K')
  await page.keyboard.press('Enter')
  await page.getByTestId('begin-topic').locator('input').focus()
  await page.keyboard.press('Enter')
  const choices = page.getByTestId('begin-phrase')
  await expect(choices.locator('input:checked')).toBeFocused()
  expect(await serious(page, '[data-test=begin]')).toEqual([])
  expect(await choices.count()).toBeGreaterThan(2)
  // Most searched first; arrows choose.
  await page.keyboard.press('ArrowDown')
  const chosen = (await choices.nth(1).locator('span').first().textContent())!
  await expect(choices.nth(1).locator('input')).toBeChecked()

  await page.getByTestId('begin-named').locator('input').fill('nobody of this name')
  await page.keyboard.press('Enter')
  await expect(page.getByText('No channel has this name or id.')).toBeVisible()
  await page.getByTestId('begin-none').press('Enter')
  await expect(page.getByTestId('begin-channel')).toContainText('None yet')
  await page.getByTestId('begin-go').press('Enter')
  await expect(page).toHaveURL(/\/demand\?brief=/u)
  await expect(page.getByTestId('lead')).toContainText(chosen)
  await expect(page.getByTestId('phrase-row').first()).toBeVisible()
  const { briefs } = (await call(app, '/api/briefs')).json
  expect(briefs).toMatchObject([{ topic: 'squeaky brakes', lead: chosen }])
  await call(app, `/api/briefs/${briefs[0]!.id}`, { method: 'DELETE' })
})

test('a channel is found by its id and is the workspace’s; a topic nobody searches for goes on as typed', async ({
  page,
  app,
}) => {
  await page.goto('/next')
  await page.getByTestId('begin-named').locator('input').fill('ch-marrowby')
  await page.getByTestId('begin-find').click()
  await expect(page.getByTestId('begin-channel')).toContainText('Marrowby Wheel Shed')
  expect((await call(app, '/api/workspaces')).json.workspaces[0]!.channelId).toBe('ch-marrowby')

  await page.getByTestId('begin-topic').locator('input').fill('Zzqx blorb')
  await page.getByTestId('begin-look').click()
  await expect(page.getByText('No searches are known for this topic')).toBeVisible()
  await expect(page.getByTestId('begin-phrase').last()).toContainText('zzqx blorb, as typed')
  // Another topic asks anew before anything is begun.
  await page.getByTestId('begin-topic').locator('input').fill('bike chain')
  await expect(page.getByTestId('begin-go')).toBeDisabled()
  await page.getByTestId('begin-look').click()
  await expect(page.getByTestId('begin-go')).toBeEnabled()
  await expect(page.getByTestId('begin-phrase').first()).toContainText('chain')
})
