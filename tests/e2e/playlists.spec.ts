import { call, expect, test, type RunningApp } from './app'
import { newBrief } from './onDesk'

const send = async (app: RunningApp, path: string, method: string, body: object) =>
  (await call(app, `/api/playlists${path}`, { method, body })).json

const tray = (lead: string) => ({ lead, support: [], setAside: [] })

test('a brief gets a playlist, whose text is scored, saved, and counts for the brief', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'Rear derailleur care', tray: tray('rear derailleur'), region: 'GB' })
  await page.goto(`/desk?brief=${id}&part=playlist`)
  await expect(page.getByTestId('no-playlist')).toBeVisible()
  await page.getByTestId('playlist-new').click()
  await expect(page.getByTestId('playlist-lead').locator('input')).toHaveValue('rear derailleur')
  await expect(page.getByTestId('playlist-faults')).toContainText('at least three')
  // It begins with its phrase, and is written on.
  const title = page.getByRole('textbox', { name: 'Title of the playlist' })
  await expect(title).toHaveText('Rear derailleur')
  await title.press('End')
  await page.keyboard.insertText(', step by step')
  await page.getByRole('textbox', { name: 'Text of the playlist' }).fill('Rear derailleur work from cable to hanger.')
  await expect(page.getByTestId('playlist-saved')).toHaveText('Saved')
  await page.getByTestId('playlist-side-points').click()
  await expect(page.getByTestId('playlist-points').getByTestId('check-title-lead')).toHaveAttribute('data-state', 'met')
  // The playlists found for it tell how hard it is.
  await page.getByTestId('playlist-side-found').click()
  await expect(page.getByTestId('found-playlist').first()).toBeVisible()
  await expect(page.getByTestId('playlist-difficulty')).not.toHaveText('–')
  await page.reload()
  await expect(page.getByRole('textbox', { name: 'Title of the playlist' })).toHaveText('Rear derailleur, step by step')
  await page.getByTestId('part-text').click()
  await expect(page.getByTestId('check-playlist-lead')).toHaveAttribute('data-state', 'met')
})

test('its order: moved by key, by a rule, and what is taken out comes back', async ({ page, app }) => {
  const ids = []
  for (const title of ['Part 10', 'Part 2', 'Part 1']) ids.push(await newBrief(app, { title, tray: tray('chain') }))
  const made = await send(app, '', 'POST', {
    title: 'Chain',
    lead: 'chain',
    language: 'en',
    entries: ids.map(id => ({ kind: 'brief', id })),
  })
  await page.goto(`/library?tab=playlists&playlist=${made.id}`)
  const rows = page.getByTestId('playlist-row')
  const titles = (list: string[]) => expect(rows.getByRole('link')).toHaveText(list)
  await titles(['Part 10', 'Part 2', 'Part 1'])
  await rows.first().getByRole('button', { name: /Move/u }).press('ArrowDown')
  await titles(['Part 2', 'Part 10', 'Part 1'])
  await page.getByTestId('playlist-order').click()
  await page.getByRole('option', { name: 'By title' }).click()
  await titles(['Part 1', 'Part 2', 'Part 10'])
  await rows.first().getByRole('button', { name: 'Take out Part 1' }).click()
  await titles(['Part 2', 'Part 10'])
  await page.getByRole('button', { name: 'Undo' }).click()
  await titles(['Part 1', 'Part 2', 'Part 10'])
})

test('two windows change one playlist: nothing is overwritten unseen', async ({ page, app }) => {
  const { id } = await send(app, '', 'POST', { title: 'Wheels', language: 'en' })
  await page.goto(`/library?tab=playlists&playlist=${id}`)
  const title = page.getByRole('textbox', { name: 'Title of the playlist' })
  await expect(title).toHaveText('Wheels')
  // The other one saves while this one's request is held back.
  let release = (): void => undefined
  const held = new Promise<void>(resolve => {
    release = resolve
  })
  await page.route(`**/api/playlists/${id}`, async route => {
    if (route.request().method() === 'PATCH') await held
    await route.continue()
  })
  const asked = page.waitForRequest(request => request.method() === 'PATCH')
  await title.fill('Wheels of mine')
  await asked
  await send(app, `/${id}`, 'PATCH', { revision: 1, title: 'Wheels of theirs' })
  release()
  await expect(page.getByTestId('playlist-conflict')).toContainText('Wheels of theirs')
  await expect(title).toHaveText('Wheels of mine')
  await page.getByTestId('settle-mine').click()
  await expect(page.getByTestId('playlist-saved')).toHaveText('Saved')
  expect((await call(app, `/api/playlists/${id}`)).json).toMatchObject({ title: 'Wheels of mine' })
})

test('a playlist is proposed, made, deleted and brought back', async ({ page }) => {
  await page.goto('/library?tab=playlists')
  const table = page.getByTestId('playlists')
  await expect(table).toContainText('Gears')
  const group = page.getByTestId('group').first()
  const proposed = await group.locator('strong').textContent()
  await group.getByTestId('group-make').click()
  const title = page.getByRole('textbox', { name: 'Title of the playlist' })
  await expect(title).toHaveText(proposed!)
  // Other tests make playlists of the same name.
  const name = `${proposed}, all of it`
  await title.press('End')
  await title.pressSequentially(', all of it')
  await expect(title).toHaveText(name)
  await expect(page.getByTestId('playlist-saved')).toHaveText('Saved')
  await page.getByTestId('playlists-back').click()
  await page.getByRole('button', { name: `Delete ${name}`, exact: true }).click()
  await expect(table.getByRole('link', { name, exact: true })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(table.getByRole('link', { name, exact: true })).toHaveCount(1)
})
