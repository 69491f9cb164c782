import { call, expect, test } from './app'

interface Row {
  videoId: string
  title: string
  words: { expected: number } | null
  edit: { field: string; value: string | string[] } | null
  brief: string | null
  off: boolean
}
/** The rows of an audit, as the answer's lines tell them. */
const rowsOf = (text: string) =>
  text
    .trim()
    .split('\n')
    .map(line => JSON.parse(line) as Row)
    .filter(line => 'videoId' in line)

test('videos that better words would bring most come first; one is worked off after the other with keys', async ({
  page,
  app,
}) => {
  const rows = rowsOf(await (await fetch(`${app.url}/api/videos/audit?region=GB`)).text())
  expect(rows.length).toBeGreaterThan(20)
  const order = rows.map(({ words }) => words?.expected ?? -Infinity)
  expect(order[0]).toBeGreaterThan(0)
  await page.goto('/ranks?region=GB')
  await page.getByTestId('view-mend').click()
  await expect(page).toHaveURL(/view=mend/u)
  await expect(page.getByTestId('mend-told')).toContainText('better words would bring views to', { timeout: 60_000 })
  const panel = page.getByTestId('mend-panel')
  const best = rows.reduce((a, b) => ((b.words?.expected ?? 0) > (a.words?.expected ?? 0) ? b : a))
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText(best.title)
  await expect(page.getByTestId('mend-row').first()).toContainText(best.title)
  await expect(panel.getByTestId('mend-words')).toContainText('views a month more')
  // On to the next, and back: the address holds which one it is.
  await page.keyboard.press('j')
  await expect(panel.getByRole('heading', { level: 2 })).not.toHaveText(best.title)
  await expect(page).toHaveURL(/video=/u)
  await page.keyboard.press('k')
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText(best.title)
  // Put off it is gone, with a way back; then it can be seen along with the others, and be put back.
  const isListed = page.getByTestId('mend-row').filter({ hasText: best.title })
  await page.keyboard.press('x')
  await expect(page.getByTestId('notice')).toContainText('put off for three months')
  await expect(isListed).toHaveCount(0)
  const offOf = async () =>
    rowsOf(await (await fetch(`${app.url}/api/videos/audit?region=GB`)).text()).find(
      ({ videoId }) => videoId === best.videoId,
    )!.off
  expect(await offOf()).toBe(true)
  await page.keyboard.press('Control+z')
  await expect(isListed).toHaveCount(1)
  expect(await offOf()).toBe(false)
  await page.getByTestId('mend-off-too').check()
  await isListed.click()
  await page.getByTestId('mend-off').click()
  await expect(page.getByTestId('mend-take-up')).toBeVisible()
  await page.getByTestId('mend-take-up').click()
  await expect(page.getByTestId('mend-off')).toBeVisible()
  await page.getByTestId('mend-find').locator('input').fill('no such video anywhere')
  await expect(page.getByTestId('mend-table')).toContainText('No video fits this.')
})

test('a video opens on the Desk with its texts and its edit; one that came of a brief opens that', async ({
  page,
  app,
}) => {
  const rows = rowsOf(await (await fetch(`${app.url}/api/videos/audit?region=GB`)).text())
  const mended = rows.find(({ edit, brief }) => brief === null && edit?.field === 'title')!
  await page.goto(`/ranks?view=mend&video=${mended.videoId}`)
  const panel = page.getByTestId('mend-panel')
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText(mended.title, { timeout: 60_000 })
  await expect(page.getByTestId('mend-difference').locator('ins').first()).toBeVisible()
  await page.getByTestId('mend-open').click()
  await expect(page).toHaveURL(/\/desk\?brief=/u)
  const id = new URL(page.url()).searchParams.get('brief')!
  const { fields } = (await call(app, `/api/briefs/${id}`)).json as { fields: { title: string } }
  expect(fields.title).toBe(mended.edit!.value)
  // Under Release it is put beside that video without being chosen.
  await page.goto(`/release?brief=${id}&part=publish&onto=there`)
  await expect(page.getByTestId('apply-video').locator('input[role=combobox]')).toHaveValue(mended.title)
  // It is known as the video's brief from now on, and opened as such; deleted, it is made again.
  const again = rowsOf(await (await fetch(`${app.url}/api/videos/audit?region=GB`)).text())
  expect(again.find(({ videoId }) => videoId === mended.videoId)!.brief).toBe(id)
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
  await page.goto(`/ranks?view=mend&video=${mended.videoId}`)
  await expect(panel.getByRole('heading', { level: 2 })).toHaveText(mended.title, { timeout: 60_000 })
  await page.getByTestId('mend-open').click()
  await expect(page).toHaveURL(new RegExp(`/desk\\?brief=${id}`, 'u'))
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
  await call(app, `/api/briefs/${id}?forever=1`, { method: 'DELETE' })
  const ofBrief = rows.find(({ brief }) => brief !== null)!
  await page.goto(`/ranks?view=mend&video=${ofBrief.videoId}`)
  await expect(page.getByTestId('mend-panel')).toContainText(ofBrief.title, { timeout: 60_000 })
  await page.keyboard.press('e')
  await expect(page).toHaveURL(new RegExp(`/desk\\?brief=${ofBrief.brief}`, 'u'))
})

test('what cannot be looked at says so, and wrong questions are refused in plain words', async ({ page, app }) => {
  await page.route('**/api/videos/audit*', route => route.abort())
  await page.goto('/ranks?view=mend')
  await expect(page.getByRole('alert').first()).toContainText('Cannot reach the Fonetra server')
  await page.unroute('**/api/videos/audit*')
  // What came before it broke off stays, and it is said how much that is.
  const lines = (await (await fetch(`${app.url}/api/videos/audit?region=GB`)).text())
    .split('\n')
    .filter(line => !line.includes('"weighed"'))
  await page.route('**/api/videos/audit*', route => route.fulfill({ body: `${lines.slice(0, 4).join('\n')}\n` }))
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByRole('alert').first()).toContainText('Not all videos could be looked at')
  await expect(page.getByTestId('mend-told')).toContainText(/^3 videos, 3 of \d+ looked at; better words/u)
  await page.getByTestId('mend-working').locator('summary').click()
  await expect(page.getByTestId('mend-working')).toContainText('share that looks at its rank now')
  await page.unroute('**/api/videos/audit*')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByTestId('mend-panel')).toBeVisible({ timeout: 60_000 })
  for (const [query, code, told] of [
    ['ruleSet=none', 400, 'There is no rule set'],
    ['sort=luck', 400, 'Sort by views'],
    ['workspace=none', 404, 'This workspace no longer exists'],
  ] as const) {
    const { status, json } = await call(app, `/api/videos/audit?${query}`)
    expect([status, (json as { error: { message: string } }).error.message]).toEqual([
      code,
      expect.stringContaining(told),
    ])
  }
  const off = async (body: object) => (await call(app, '/api/next/off', { method: 'POST', body })).status
  expect(await off({ key: 'mend' })).toBe(400)
  expect(await off({ key: 'mend:x', days: 0 })).toBe(400)
  expect(await off({ key: 'mend:x', days: 1, workspace: 'none' })).toBe(404)
})
