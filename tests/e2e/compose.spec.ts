import { call, expect, test } from './app'
import { editor, newBrief } from './onDesk'

const tray = { lead: 'true a bike wheel', support: ['spoke tension', 'wheel truing stand'], setAside: [] }

test('a description is composed as a proposal: shown as a difference, taken whole, with a way back', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { title: 'Wheel', description: 'My own words stay.', tray })
  await page.goto(`/desk?brief=${id}`)
  await page.getByTestId('side-compose').click()
  await page.getByTestId('benefits').locator('textarea').first().fill('A wheel that runs straight\nOne tool is enough')
  await page.getByTestId('links').locator('textarea').first().fill('wheelshed.example')
  await page.getByTestId('compose-run').click()
  const proposal = page.getByTestId('proposal')
  const shown = page.getByTestId('proposed-description').locator('.cm-content')
  await expect(shown).toContainText('True a bike wheel')
  await expect(shown).toContainText('https://wheelshed.example')
  // What would go is shown struck, beside what would come.
  await expect(shown).toContainText('My own words stay.')
  await expect(proposal).toContainText('2 gaps to fill')
  // Nothing is written before it is taken.
  await expect(editor(page, 'description')).toHaveText('My own words stay.')
  const first = await shown.innerText()
  await page.getByTestId('compose-run').click()
  await expect.poll(() => shown.innerText()).not.toBe(first)
  await page.keyboard.press('Escape')
  await expect(proposal).toHaveCount(0)
  await expect(shown).toHaveCount(0)
  await page.getByTestId('compose-run').click()
  await page.getByTestId('proposal-take').click()
  await expect(editor(page, 'description')).toContainText('A wheel that runs straight')
  await page.getByTestId('side-points').click()
  await expect(page.getByTestId('check-no-gaps')).toHaveAttribute('data-state', 'missing')
  await page.getByTestId('undo').click()
  await expect(editor(page, 'description')).toHaveText('My own words stay.')
  // What stands in every video was typed once.
  await page.getByTestId('side-compose').click()
  await expect(page.getByTestId('links').locator('textarea').first()).toHaveValue('wheelshed.example')
})

test('what is typed before the channel’s own texts are there stays, and nothing of theirs is lost', async ({
  page,
  app,
}) => {
  const [workspace] = (await call(app, '/api/workspaces')).json.workspaces
  const path = `/api/workspaces/${workspace!.id}/settings`
  const { texts } = (await call(app, path)).json.settings
  await call(app, path, {
    method: 'PUT',
    body: { texts: { ...texts, links: ['https://shed.example/old'], contact: ['Call the shed'], town: 'Marrowby' } },
  })
  let release: () => void = () => undefined
  const held = new Promise<void>(resolve => (release = resolve))
  await page.route('**/settings', async route => {
    if (route.request().method() === 'GET') await held
    await route.continue()
  })
  const id = await newBrief(app, { title: 'Wheel', description: '', tray })
  await page.goto(`/desk?brief=${id}&side=compose`)
  const links = page.getByTestId('links').locator('textarea').first()
  await links.fill('https://shed.example/new')
  await page.getByTestId('compose-run').click()
  await expect(page.getByTestId('proposal')).toBeVisible()
  release()
  const saved = async () => (await call(app, path)).json.settings.texts
  await expect.poll(async () => (await saved()).links).toEqual(['https://shed.example/new'])
  expect(await saved()).toMatchObject({ contact: ['Call the shed'], town: 'Marrowby' })
  await expect(links).toHaveValue('https://shed.example/new')
  await call(app, path, { method: 'PUT', body: { texts } })
})
