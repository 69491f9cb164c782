import { appTest, call, demoApp, expect, test as base, type RunningApp } from './app'

// Videos are changed for good: no other test looks at them.
const test = base.extend<object, { app: RunningApp }>(demoApp)

interface Texts {
  id: string
  tags: string[] | null
}
const tagsOf = async (app: RunningApp) =>
  new Map(
    (JSON.parse((await call(app, '/api/videos/texts')).text) as { videos: Texts[] }).videos.map(({ id, tags }) => [
      id,
      (tags ?? []).join(),
    ]),
  )

test('a question is tried on half of the videos looked at, drawn by lot, wave by wave', async ({ page, app }) => {
  const before = await tagsOf(app)
  await page.goto('/ranks?view=many&region=GB')
  await page.getByTestId('many-trial').click()
  await page.getByTestId('trial-question').filter({ hasText: 'Lead phrase among the tags' }).click()
  await expect(page).toHaveURL(/check=tag-lead&field=tags/u)
  const fits = page.getByTestId('trial-fit')
  await expect(page.getByTestId('trial-told')).toContainText(/how \d+ videos would be changed/u)
  const all = await fits.count()
  expect(all).toBeGreaterThan(12)
  // Two are left out, with the space key.
  const leftOut = [0, 1].map(i => fits.nth(i).getByRole('checkbox'))
  for (const box of leftOut) {
    await box.focus()
    await page.keyboard.press('Space')
  }
  const pairs = Math.floor((all - 2) / 2)
  await page.getByRole('button', { name: `Draw ${pairs} pairs` }).click()
  const trial = page.getByTestId('trial')
  await expect(trial).toContainText(`${pairs} pairs`)
  await expect(page).toHaveURL(/trial=[\da-f-]{36}/u)
  // Nothing is changed before a person says so.
  expect(await tagsOf(app)).toEqual(before)
  await expect(page.getByTestId('trial-said')).toHaveText('Wave 1 of 3 is due.')
  await page.getByTestId('trial-begin').click()
  const first = page.getByTestId('trial-wave').first()
  const inWave = Math.ceil(pairs / 3)
  await expect(first).toContainText(`${inWave} changed`)
  const after = await tagsOf(app)
  expect([...before].filter(([id, tags]) => after.get(id) !== tags)).toHaveLength(inWave)
  // The next one waits for its day.
  await expect(page.getByTestId('trial-said')).toContainText('Wave 2 of 3 is due ')
  await expect(page.getByTestId('trial-begin')).toBeDisabled()
  await page.reload()
  await expect(page.getByTestId('trial-wave')).toHaveCount(3)
  await page.getByTestId('trial-stop').click()
  await expect(page.getByTestId('trial-said')).toHaveText('Given up.')
  await expect(page.getByTestId('trial-begin')).toHaveCount(0)
  // What was changed can be taken back as a whole.
  await page.getByRole('link', { name: 'Take changes back' }).click()
  const run = page.getByTestId('many-run').first()
  await expect(run).toContainText('A trial of “Lead phrase among the tags” in tags')
  await run.getByTestId('many-undo').click()
  await expect(run).toContainText(`${inWave} taken back`)
  expect(await tagsOf(app)).toEqual(before)
})

test('what cannot be loaded or drawn says so, and can be tried again', async ({ page }) => {
  await page.route('**/api/trials/questions*', route =>
    route.fulfill({ status: 500, json: { error: { code: 'broken', message: 'Broken.' } } }),
  )
  await page.goto('/ranks?view=many&of=trial&region=GB')
  await expect(page.getByRole('alert')).toContainText('Broken.')
  await page.unroute('**/api/trials/questions*')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByTestId('trial-question').first()).toBeVisible()
  await page.goto('/ranks?view=many&of=trial&region=GB&check=no-such-check&field=tags')
  await expect(page.getByTestId('trial-none')).toBeVisible()
})

appTest('wrong values are told by name', async ({ app }) => {
  for (const [query, message] of [
    ['weeks=0', 'Give 1 or more.'],
    ['weeks=99', 'Give 8 at most.'],
    ['outcome=likes', 'What is compared is one of'],
    ['check=tag-lead&field=thumbnail', 'A field is one of'],
  ] as const)
    expect((await call(app, `/api/trials/questions?${query}`)).text).toContain(message)
  const body = { check: 'tag-lead', field: 'tags', seen: { nothing: 'x' } }
  expect(await call(app, '/api/trials', { method: 'POST', body })).toMatchObject({
    status: 409,
    json: { error: { code: 'too-few' } },
  })
  expect(await call(app, '/api/trials/none/wave', { method: 'POST', body: {} })).toMatchObject({ status: 404 })
})
