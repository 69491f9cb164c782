import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { call, expect, startApp, test } from './app'
import { HOME } from './startApp'

test('lists are made, filled, merged, exported and deleted with a way back', async ({ page, app }) => {
  await page.goto('/demand?seed=bike+chain&region=GB')
  await page.getByTestId('phrase-row').nth(1).locator('input').check()
  await page.getByTestId('to-list').click()
  await page.getByTestId('new-list').locator('input').fill('Winter')
  await page.getByTestId('new-list').locator('input').press('Enter')
  await expect(page.getByTestId('notice')).toContainText('“Winter” made')
  await page.goto('/library?tab=lists')
  await page.getByTestId('list-name').locator('input').fill('Empty')
  await page.getByTestId('list-name').locator('input').press('Enter')
  // Two lists come with the demo.
  await expect(page.getByTestId('lists').getByRole('link')).toHaveCount(4)
  for (const name of ['Winter', 'Empty']) await page.getByRole('checkbox', { name: `Pick ${name}` }).check()
  await page.getByTestId('merge').click()
  await expect(page.getByTestId('lists').getByRole('link')).toHaveCount(5)
  await page.getByRole('button', { name: 'Delete Empty', exact: true }).click()
  await expect(page.getByTestId('notice')).toContainText('“Empty” deleted')
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('lists').getByRole('link')).toHaveCount(5)
  await page.getByTestId('lists').getByRole('link', { name: 'Winter', exact: true }).click()
  await expect(page.getByTestId('list-phrases').locator('.note')).toHaveCount(1)
  await page.getByTestId('list-phrases').locator('.note').fill('before the frost')
  await page.getByTestId('list-phrases').locator('.note').press('Tab')
  const id = new URL(page.url()).searchParams.get('list')!
  await expect
    .poll(async () => (await call(app, `/api/lists/${id}/export?format=csv&region=GB`)).text)
    .toContain('before the frost')
  // What is taken out comes back with its note, into its own list, whichever is open by then.
  await page.getByTestId('list-phrases').getByRole('checkbox').check()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(page.getByTestId('list-shown')).toHaveText('0 phrases.')
  await page.getByRole('button', { name: 'All lists' }).click()
  await page.getByTestId('lists').getByRole('link', { name: 'Empty', exact: true }).click()
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('notice')).toHaveCount(0)
  await expect(page.getByTestId('list-shown')).toHaveText('0 phrases.')
  await page.getByRole('button', { name: 'All lists' }).click()
  await page.getByTestId('lists').getByRole('link', { name: 'Winter', exact: true }).click()
  await expect(page.getByTestId('list-phrases').locator('.note')).toHaveValue('before the frost')
})

test('phrases of a list that nobody looked at are looked up', async ({ page }) => {
  await page.goto('/library?tab=lists')
  await page.getByTestId('lists').getByRole('link', { name: 'Spring repairs' }).click()
  const puncture = page.getByTestId('list-phrases').locator('tr', { hasText: 'how to fix puncture' })
  await expect(puncture.locator('td').nth(3)).toHaveText('–')
  await page.getByTestId('list-assess').click()
  for (const cell of [2, 3, 4]) await expect(puncture.locator('td').nth(cell)).toHaveText(/\d/u)
  await expect(page.getByTestId('list-assess')).toHaveCount(0)
})

test('a long list is imported into, shown in parts, sorted by its headers and exported whole', async ({
  page,
  app,
}) => {
  await page.goto('/library?tab=lists')
  await page.getByTestId('lists').getByRole('link', { name: 'Local work' }).click()
  const shown = page.getByTestId('list-shown')
  await expect(shown).toHaveText('5 phrases.')
  await page.getByLabel('File to import').setInputFiles({
    name: 'mills.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      `phrase,volume\n${Array.from({ length: 500 }, (_, i) => `mill stone ${i},${i + 7}\n`).join('')}`,
    ),
  })
  await expect(page.getByTestId('notice')).toContainText('500 phrases read from mills.csv')
  await expect(shown).toContainText('The first 500 of 505 phrases')
  await page.getByTestId('list-more').click()
  await expect(shown).toHaveText('505 phrases.')
  const phrases = page.getByTestId('list-phrases')
  for (let twice = 0; twice < 2; twice++) await phrases.getByRole('columnheader', { name: 'Searches' }).click()
  await expect(phrases.locator('tbody tr td:nth-child(3)').filter({ hasText: /\d/u }).first()).toHaveText('506')
  // A screen draws what is seen; paper holds all of it, in the order of the screen.
  const rows = phrases.locator('tbody tr:has(td + td)')
  expect(await rows.count()).toBeLessThan(100)
  await page.emulateMedia({ media: 'print' })
  await expect(rows).toHaveCount(505)
  await expect(rows.first().locator('td').nth(2)).toHaveText('506')
  await expect(rows.first().locator('input[type=checkbox]')).toBeHidden()
  await page.emulateMedia({ media: 'screen' })
  await expect.poll(() => rows.count()).toBeLessThan(100)
  await expect(phrases.locator('tbody tr td:nth-child(3)').filter({ hasText: /\d/u }).first()).toHaveText('506')
  const id = new URL(page.url()).searchParams.get('list')!
  const csv = await call(app, `/api/lists/${id}/export?format=csv&region=GB`)
  expect(csv.text.trim().split('\r\n')).toHaveLength(506)
  const { json } = await call(app, `/api/lists/${id}/export?format=json&region=GB`)
  expect(json).toMatchObject({ format: 1, kind: 'fonetra-list', name: 'Local work' })
  expect((json as { phrases: unknown[] }).phrases).toHaveLength(505)
  expect((json as { phrases: unknown[] }).phrases.at(-1)).toEqual({
    phrase: 'mill stone 499',
    note: '',
    volume: 506,
    difficulty: null,
    worth: null,
  })
  expect(await call(app, `/api/lists/${id}?limit=0`)).toMatchObject({ status: 400 })
})

test('a channel is stated by hand for a client, and phrases are judged for it', async ({ page }) => {
  await page.goto('/library?tab=channels')
  await expect(page.getByTestId('own')).toContainText(/4,8\d\d subscribers/u)
  await page.getByTestId('workspace-name').locator('input').fill('Tiny client')
  await page.getByTestId('workspace-make').click()
  await expect(page.getByTestId('own')).toContainText('No channel chosen yet')
  await page.getByTestId('own-subscribers').locator('input').fill('many')
  await page.getByTestId('own-save').click()
  await expect(page.getByTestId('workspace-problem')).toContainText('Enter a number of subscribers')
  await page.getByTestId('own-subscribers').locator('input').fill('120')
  await page.getByTestId('own-videos').locator('textarea').first().fill('2026-10-01; 55; First ride\nnonsense')
  await page.getByTestId('own-save').click()
  await expect(page.getByTestId('workspace-problem')).toContainText('Line 2')
  await page.getByTestId('own-videos').locator('textarea').first().fill('2026-10-01; 55; First ride')
  await page.getByTestId('own-save').click()
  await expect(page.getByTestId('own')).toContainText('120 subscribers')
  // Another workspace is one switch away, with its own briefs; this one has none, and stays at work when the page is
  // left and opened again.
  await page.getByTestId('workspace').click()
  await page.locator('.v-list-item', { hasText: 'Marrowby Wheel Shed' }).last().click()
  await expect(page).toHaveURL(/brief=/u)
  await page.getByTestId('workspace').click()
  await page.locator('.v-list-item', { hasText: 'Tiny client' }).last().click()
  await expect(page.getByTestId('workspace')).toHaveText('Tiny client')
  await expect(page.getByRole('button', { name: 'Switch brief' })).toHaveText('No brief open')
  await page.goto('/demand?seed=bike+chain&region=GB&for=channel')
  await expect(page.getByTestId('phrase-row').first()).toBeVisible()
  await expect(page.getByTestId('workspace')).toHaveText('Tiny client')
})

test('sources change their order, and figures follow', async ({ page }) => {
  // On data of its own: lists that other tests import would stand between the two sources.
  const app = await startApp()
  await call(app, '/api/import/phrases?region=GB&name=mine.csv', {
    method: 'POST',
    raw: 'phrase,volume\nbike bell brass,77777\nbike bell,77777\n',
  })
  const detail = async () =>
    (await call(app, '/api/phrases/detail?phrase=bike%20bell&region=GB')).json as {
      volume: number
      figures: { region: string | null }[]
    }
  const volume = async () => (await detail()).volume
  // Until the service has told its own figure of it.
  await expect
    .poll(async () => {
      await call(app, '/api/phrases?seed=bike%20bell&region=GB')
      return (await detail()).figures.filter(figure => figure.region === 'GB').length
    })
    .toBe(2)
  expect(await volume()).toBe(77_777)
  await page.goto(`${app.url}/library?tab=sources`)
  await expect(page.getByTestId('source').first()).toContainText('mine.csv')
  await page.getByRole('button', { name: 'Move mine.csv down' }).click()
  await expect(page.getByTestId('notice')).toContainText('Figures updated')
  await expect.poll(volume).not.toBe(77_777)
  await page.getByTestId('undo').click()
  await expect.poll(volume).toBe(77_777)
  await app.close()
})

test('pages of one’s own are imported, bad lines told, and Rivals reads them', async ({ page }) => {
  await page.goto('/library?tab=sources')
  await page.getByTestId('pages-open').click()
  await page.getByTestId('pages-send').click()
  await expect(page.getByTestId('pages')).toContainText('Choose a file first')
  const csv = [
    'phrase,rank,id,title,channel,subscribers,views,published',
    ...Array.from(
      { length: 20 },
      (_, i) =>
        `brass bell polish,${i + 1},own${i},Polish a brass bell ${i},Bell Loft,${100 * (i + 1)},${900 * (i + 1)},2026-06-01`,
    ),
    'brass bell polish,21,,,,,,',
  ].join('\n')
  await page
    .getByTestId('pages-file')
    .locator('input')
    .setInputFiles({ name: 'results.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) })
  await page.getByTestId('pages-send').click()
  await expect(page.getByTestId('pages-answer')).toContainText('20 videos of 1 channel, 1 result page; 1 line skipped')
  await page.goto('/rivals?phrase=brass+bell+polish&region=GB&depth=20')
  await expect(page.getByTestId('rival')).toHaveCount(20)
  await expect(page.getByText('results.csv, seen')).toBeVisible()
})

test('places are imported and found', async ({ page }) => {
  await page.goto('/library?tab=places')
  await expect(page.getByTestId('place-list')).toContainText('Brackwater')
  await page.getByTestId('places-file').setInputFiles({
    name: 'towns.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('name,population,region\nHollowbrook,52000,GB\n,3,GB\n'),
  })
  await expect(page.getByTestId('notice')).toContainText('1 place read, 1 line skipped')
  await expect(page.getByTestId('place-list')).toContainText('Hollowbrook')
})

test('a live service is attached over the wire, its key is never told, and the simulated ones come back', async ({
  page,
}) => {
  test.setTimeout(90_000)
  const app = await startApp()
  const service = spawn(process.execPath, [
    join(HOME, '.output/tools/standin.mjs'),
    '--world',
    join(app.data, 'world.sqlite'),
    '--port',
    '0',
    '--key',
    'open-sesame-77',
  ])
  const address = await new Promise<string>(tell => {
    service.stdout.on('data', (chunk: Buffer) => {
      const found = /http:\/\/[\d.:]+/u.exec(chunk.toString())
      if (found) tell(found[0])
    })
  })
  try {
    await page.goto(`${app.url}/library?tab=sources`)
    await page.getByTestId('service-address').locator('input').fill(address)
    await page.getByTestId('service-key').locator('input').fill('wrong')
    await page.getByTestId('service-attach').click()
    await expect(page.getByTestId('service-address')).toContainText('does not accept the key')
    await page.getByTestId('service-key').locator('input').fill('open-sesame-77')
    await page.getByTestId('service-attach').click()
    await expect(page.getByText(`In use: ${address}, with a key.`)).toBeVisible()
    // Time cannot be moved elsewhere.
    await expect(page.getByTestId('clock')).toHaveCount(0)
    expect((await call(app, '/api/standin/clock', { method: 'POST', body: { days: 1 } })).status).toBe(409)
    for (const path of ['/api/services', '/api/workspaces', '/api/sources'])
      expect((await call(app, path)).text).not.toContain('open-sesame')
    const { host } = new URL(address)
    // A GET spends none of its calls; the same by POST does.
    const kept = (await call(app, '/api/phrases?seed=torque%20wrench&region=GB')).json as {
      missing: string[]
      rows: { source: string | null }[]
    }
    expect(kept.missing).toEqual([expect.stringContaining('not requested yet')])
    expect(kept.rows.some(row => row.source?.includes(host))).toBe(false)
    expect((await call(app, '/api/results?phrase=never%20opened%20by%20anyone&region=GB')).status).toBe(404)
    const live = (await call(app, '/api/phrases?seed=torque%20wrench&region=GB', { method: 'POST' })).json as {
      missing: string[]
      rows: { source: string | null }[]
    }
    expect(live.missing).toEqual([])
    // What it tells goes before what the simulated ones told, and says where it comes from; their pages are asked for
    // anew.
    expect(live.rows.filter(row => row.source === `demand data by ${host}`).length).toBeGreaterThan(5)
    const results = '/api/results?phrase=clean%20bike%20chain&region=GB&depth=20'
    expect((await call(app, results, { method: 'POST' })).json).toMatchObject({
      source: `video site by ${host}`,
      problem: null,
    })
    // The key is not told to another server.
    const moved = await call(app, '/api/services', {
      method: 'PUT',
      body: { address: address.replace('127.0.0.1', 'localhost') },
    })
    expect(moved.status).toBe(422)
    expect(moved.json.error.message).toContain('does not accept the key')
    service.kill()
    const missing = (await call(app, '/api/phrases?seed=bar%20tape&region=GB', { method: 'POST' })).json as {
      missing: string[]
    }
    expect(missing.missing.join()).toContain('related phrases')
    expect(app.errors()).not.toContain('open-sesame')
    await page.getByTestId('service-detach').click()
    await expect(page.getByTestId('services-in-use')).toContainText('The simulated services')
    expect((await call(app, '/api/phrases?seed=bar%20tape&region=GB')).json).toMatchObject({ missing: [] })
  } finally {
    service.kill()
    await app.close()
  }
})

test('with slow services and every fifth call failing, everything completes or says what is missing', async ({
  page,
}) => {
  test.setTimeout(240_000)
  const app = await startApp({ env: { FONETRA_STANDIN_DELAY_MS: '300', FONETRA_STANDIN_FAIL: '0.2' } })
  try {
    await page.goto(`${app.url}/demand?seed=kick+stand&region=GB&phrase=kick+stand`)
    await expect(page.getByTestId('demand-status')).toContainText('Loading')
    await expect(page.getByTestId('phrase-row').first().or(page.getByTestId('no-phrases'))).toBeVisible({
      timeout: 60_000,
    })
    await expect(page.getByTestId('sheet').getByTestId('story')).toBeVisible({ timeout: 60_000 })
    await expect(page.getByTestId('phrase-row').nth(2).locator('.difficulty')).toHaveText(/^\d+$|^–$/u, {
      timeout: 60_000,
    })
    await page.goto(`${app.url}/rivals?phrase=kick+stand&region=GB&tab=channels`)
    await expect(page.getByTestId('reading').or(page.getByRole('alert')).first()).toBeVisible({ timeout: 60_000 })
    await expect(page.getByTestId('channel').first()).toBeVisible({ timeout: 90_000 })
  } finally {
    await app.close()
  }
})

test('a long list draws what is seen, and a note is kept when its row is scrolled away', async ({ page, app }) => {
  const { id } = (await call(app, '/api/lists', { method: 'POST', body: { name: 'Four hundred' } })).json
  const add = Array.from({ length: 400 }, (_, i) => `phrase number ${i}`)
  await call(app, `/api/lists/${id}`, { method: 'PATCH', body: { add } })
  await page.goto(`/library?tab=lists&list=${id}`)
  const table = page.getByTestId('list-phrases')
  const note = page.getByLabel('Note on phrase number 3', { exact: true })
  await note.fill('before the frost')
  expect(await table.locator('tbody tr').count()).toBeLessThan(100)
  await table.locator('.v-table__wrapper').evaluate(frame => {
    frame.scrollTop = frame.scrollHeight
  })
  await expect(note).toHaveCount(0)
  await expect
    .poll(async () => (await call(app, `/api/lists/${id}?limit=400`)).json.rows.filter(row => row.note))
    .toEqual([expect.objectContaining({ phrase: 'phrase number 3', note: 'before the frost' })])
  await call(app, `/api/lists/${id}`, { method: 'DELETE' })
})
