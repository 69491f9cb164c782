import { call, expect, test, type RunningApp } from './app'

interface Texts {
  id: string
  title: string
  description: string | null
}
/** The texts of the channel's videos, as last seen. */
const textsOf = async (app: RunningApp) =>
  (JSON.parse((await call(app, '/api/videos/texts')).text) as { videos: Texts[] }).videos

const OLD = 'hello@marrowby-wheel-shed.example'
const NEW = 'post@marrowby-wheel-shed.example'

test('a change made on one video is shown in all that it fits, made in those chosen, and taken back', async ({
  page,
  app,
}) => {
  const holding = async (text: string) => (await textsOf(app)).filter(({ description }) => description?.includes(text))
  const before = await holding(OLD)
  expect(before.length).toBeGreaterThan(5)
  await page.goto('/ranks')
  await page.getByTestId('view-many').click()
  await expect(page.getByTestId('many-video')).toBeVisible()
  await page.goto(`/ranks?view=many&video=${before[0]!.id}`)
  const box = page.getByTestId('many-text').locator('textarea').first()
  await box.fill((await box.inputValue()).replace(OLD, NEW))
  await expect(page.getByTestId('many-edit')).toContainText(`“${NEW}” for “${OLD}” in descriptions`)
  await expect(page.getByTestId('many-told')).toContainText(`It fits ${before.length} videos`)
  await expect(page.getByTestId('many-fit')).toHaveCount(before.length)
  await expect(page.getByTestId('many-fit').first().locator('ins')).toContainText('post')
  // One is left out, with the space key.
  await page.getByTestId('many-fit').nth(1).getByRole('checkbox').focus()
  await page.keyboard.press('Space')
  await page.getByRole('button', { name: `Change ${before.length - 1} videos on the site` }).click()
  const made = page.getByTestId('many-run').first()
  await expect(made).toContainText(`${before.length - 1} changed.`, { timeout: 60_000 })
  expect(await holding(OLD)).toHaveLength(1)
  expect(await holding(NEW)).toHaveLength(before.length - 1)
  // The change is marked on the curve of a video, and all of it goes back.
  const marks = await call(app, `/api/ranks/surroundings?videoId=${before[0]!.id}&phrase=bike&kind=site`)
  expect(marks.text).toContain('Description changed')
  await made.getByTestId('many-undo').click()
  await expect(made).toContainText(`${before.length - 1} taken back.`, { timeout: 60_000 })
  expect((await textsOf(app)).map(({ description }) => description).join('\n')).not.toContain(NEW)
  expect(await holding(OLD)).toHaveLength(before.length)
})

test('a change that breaks the limits or fits nowhere says so; a failing look can be tried again', async ({
  page,
  app,
}) => {
  const [video] = await textsOf(app)
  await page.goto(`/ranks?view=many&video=${video!.id}&field=title`)
  const box = page.getByTestId('many-text').locator('textarea').first()
  await box.fill(`${video!.title} ${'x'.repeat(95)}`)
  await expect(page.getByTestId('many-told')).toContainText('would break the limits')
  await expect(page.getByTestId('many-start')).toBeDisabled()
  await page.route('**/api/videos/edit-many', route =>
    route.fulfill({ status: 500, json: { error: { code: 'broken', message: 'Broken.' } } }),
  )
  await box.fill(`${video!.title}!`)
  await expect(page.getByRole('alert')).toContainText('Broken.')
  await page.unroute('**/api/videos/edit-many')
  await page.getByRole('button', { name: 'Try again' }).click()
  await expect(page.getByTestId('many-told')).toContainText('It fits')
})

test('an answer about an earlier change is never shown for the one that is typed now', async ({ page, app }) => {
  const [video] = await textsOf(app)
  const held: (() => void)[] = []
  await page.route('**/api/videos/edit-many', async route => {
    if (route.request().method() === 'POST') await new Promise<void>(go => held.push(go))
    await route.continue()
  })
  await page.goto(`/ranks?view=many&video=${video!.id}&field=title`)
  const box = page.getByTestId('many-text').locator('textarea').first()
  await box.fill(`${video!.title}!`)
  await expect.poll(() => held.length).toBe(1)
  await box.fill(`${video!.title}?`)
  const first = page.waitForResponse('**/api/videos/edit-many')
  held[0]!()
  await (await first).finished()
  // The second is asked about and not answered yet.
  await expect.poll(() => held.length).toBe(2)
  await expect(page.getByTestId('many-start')).toHaveCount(0)
  held[1]!()
  await expect(page.getByTestId('many-fit').first().locator('ins')).toContainText('?')
})
