import { call, expect, test } from './app'
import { newBrief } from './onDesk'

const tray = { lead: 'how to clean bike chain', support: ['bike chain'], setAside: [] }

test('a brief in German: phrases are translated, looked up in Germany, and only then count', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: 'How to clean bike chain without a sprocket',
    tags: ['bike chain', 'sprocket'],
    tray,
  })
  await page.goto(`/desk?brief=${id}&part=languages`)
  await expect(page.getByTestId('no-language')).toBeVisible()
  await page.getByTestId('language-add').click()
  await page.getByTestId('language-de').click()
  await expect(page.getByTestId('translation-note')).toContainText('small dictionary')
  await page.getByTestId('translate-title').click()
  const title = page.getByRole('textbox', { name: 'Title in German' })
  await expect(title).toHaveText('Fahrradkette reinigen ohne eine [… sprocket]')
  await expect(page.getByTestId('localised-gaps')).toHaveText('1 word left to translate')
  await title.fill('Fahrradkette reinigen ohne Ritzel')
  await expect(page.getByTestId('localised-gaps')).toHaveCount(0)

  await page.getByTestId('translate-phrases').click()
  const rows = page.getByTestId('localised-row')
  await expect(rows.first().getByRole('textbox')).toHaveValue('fahrradkette reinigen')
  await expect(rows.first().getByRole('checkbox')).toBeChecked()
  // What nobody searches for is told, and counts only when a person says so.
  await rows.nth(1).getByRole('textbox').fill('kettenpflegestunde')
  await rows.nth(1).getByRole('textbox').press('Enter')
  await expect(rows.nth(1)).toContainText('no searches known')
  await expect(rows.nth(1).getByRole('checkbox')).not.toBeChecked()
  await rows.nth(1).getByRole('checkbox').check()
  await page.getByTestId('translate-tags').click()
  await expect(page.getByTestId('localised-tags').locator('textarea').first()).toHaveValue('fahrradkette')

  await page.getByTestId('language-side-points').click()
  await expect(page.getByTestId('language-points').getByTestId('check-title-lead')).toHaveAttribute('data-state', 'met')
  await expect(page.getByTestId('localised-saved')).toHaveText('Saved')
  const { text } = await call(app, `/api/briefs/${id}/export?format=text`)
  expect(text).toContain('TITLE, GERMAN\nFahrradkette reinigen ohne Ritzel')
  expect((await call(app, `/api/briefs/${id}/export?format=json`)).json).toMatchObject({
    localised: [{ language: 'de', region: 'DE', tags: ['fahrradkette'] }],
  })
})

test('a language without a dictionary is carried over by hand, from right to left where it is', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { title: 'How to clean bike chain', tray })
  await page.goto(`/desk?brief=${id}&part=languages`)
  await page.getByTestId('language-add').click()
  await page.getByTestId('language-ar').click()
  await expect(page.getByTestId('localised-phrases')).toContainText('carry the phrases over by hand')
  await expect(page.getByTestId('translate-title')).toHaveCount(0)
  const title = page.getByRole('textbox', { name: 'Title in Arabic' })
  await title.fill('تنظيف سلسلة الدراجة')
  await expect(title).toHaveCSS('direction', 'rtl')
  await page.reload()
  await expect(title).toHaveText('تنظيف سلسلة الدراجة')
  await page.getByRole('button', { name: 'Delete the texts in Arabic' }).click()
  await expect(page.getByTestId('no-language')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(title).toHaveText('تنظيف سلسلة الدراجة')
})

test('a translation service that fails is told as such, not as one that lacks the languages', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'How to clean bike chain', tray })
  await page.route('**/api/translate/languages', route =>
    route.fulfill({ json: { pairs: [], note: '', source: null, problem: 'The service did not answer.' } }),
  )
  await page.goto(`/desk?brief=${id}&part=languages`)
  await page.getByTestId('language-add').click()
  await page.getByTestId('language-de').click()
  await expect(page.getByRole('alert')).toContainText('cannot be used now. The service did not answer.')
  // The next screen asks again, and a title that somebody wrote is never translated over.
  await page.unroute('**/api/translate/languages')
  await page.getByTestId('part-text').click()
  await page.getByTestId('part-languages').click()
  await expect(page.getByTestId('translate-title')).toBeVisible()
  await page.getByRole('textbox', { name: 'Title in German' }).fill('Kette')
  await expect(page.getByTestId('translate-title')).toHaveCount(0)
})

test('what is typed while another brief is opened is saved where it belongs', async ({ page, app }) => {
  const localised = { kind: 'localised', revision: 0, value: { language: 'de', title: 'Alt' } }
  const item = crypto.randomUUID()
  const [first, second] = [await newBrief(app, { title: 'One', tray }), await newBrief(app, { title: 'Two', tray })]
  await call(app, `/api/briefs/${first}/items/${item}`, { method: 'PUT', body: localised })
  await page.goto(`/desk?brief=${first}&part=languages`)
  const title = page.getByRole('textbox', { name: 'Title in German' })
  await expect(title).toHaveText('Alt')
  await title.fill('Neu')
  await page.evaluate(to => {
    history.pushState(null, '', to)
    dispatchEvent(new PopStateEvent('popstate', { state: null }))
  }, `/desk?brief=${second}&part=languages`)
  await expect(page.getByTestId('no-language')).toBeVisible()
  await expect
    .poll(async () => (await call(app, `/api/briefs/${first}/items?kind=localised`)).json.items)
    .toMatchObject([{ value: { title: 'Neu' } }])
})
