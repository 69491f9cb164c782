import { call, expect, test } from './app'

test('phrases within reach without a video of mine, by topic; one becomes the lead of a new brief', async ({
  page,
  app,
}) => {
  const { phrases, topics } = (await call(app, '/api/ranks/open-phrases?region=GB')).json
  expect(phrases.length).toBeGreaterThan(10)
  await page.goto('/ranks?region=GB')
  await page.getByTestId('view-open').click()
  const rows = page.getByTestId('open-phrase')
  await expect(rows.first()).toContainText(phrases[0]!.phrase)
  const topic = topics.find(({ open }) => open > 2 && open < 60)!
  await page.getByTestId('open-topic').filter({ hasText: topic.word }).first().click()
  await expect(page).toHaveURL(new RegExp(`topic=${topic.word}`, 'u'))
  const first = phrases.find(each => each.topics.includes(topic.word))!
  await expect(rows.first()).toContainText(first.phrase)
  await page.getByTestId('open-brief-new').first().click()
  await expect(page).toHaveURL(/\/desk\?brief=/u)
  const id = new URL(page.url()).searchParams.get('brief')!
  const { fields } = (await call(app, `/api/briefs/${id}`)).json
  expect(fields.tray).toMatchObject({ lead: first.phrase, support: first.also.map(({ phrase }) => phrase) })
  // It is planned now: no open phrase any more.
  const after = (await call(app, '/api/ranks/open-phrases?region=GB')).json
  expect(after.phrases.map(({ phrase }) => phrase)).not.toContain(first.phrase)
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
})

test('phrases for which several of mine stand, with what each brings; they are watched to see whether they swap', async ({
  page,
  app,
}) => {
  const { rows } = (await call(app, '/api/ranks/together?region=GB')).json
  const [first] = rows.filter(({ days }) => days === 0)
  expect(first!.videos.length).toBeGreaterThan(1)
  await page.goto('/ranks?view=open')
  await page.getByTestId('open-together').click()
  await expect(page).toHaveURL(/of=together/u)
  const row = page.locator('tr').filter({ has: page.getByRole('link', { name: first!.phrase, exact: true }) })
  await expect(row).toContainText(first!.videos[0]!.title)
  await expect(row).toContainText(first!.videos[1]!.title)
  await row.getByTestId('together-watch').click()
  await expect(page.getByTestId('notice')).toContainText('is looked up every day')
  const { watches } = (await call(app, `/api/watches?videoId=${first!.videos[1]!.video}`)).json
  expect(watches.map(({ phrase }) => phrase)).toContain(first!.phrase)
  await page.goBack()
  await expect(page.getByTestId('open-phrase').first()).toBeVisible()
})

test('what to film next stands in an order under the time there is, and goes into the calendar', async ({
  page,
  app,
}) => {
  await page.goto('/ranks?view=open&of=plan&region=GB')
  const films = page.getByTestId('plan-film')
  await expect(films.first()).toBeVisible()
  await expect(page.getByTestId('plan-told')).toContainText('Room for 12 videos')
  // Half the hours, half the videos; a figure that is none is marked and changes nothing.
  const hours = page.getByTestId('plan-hoursPerWeek').locator('input')
  await hours.fill('4')
  await expect(page.getByTestId('plan-told')).toContainText('Room for 6 videos')
  await hours.fill('none')
  await expect(page.getByTestId('plan-hoursPerWeek')).toContainText('0.5 to 100')
  await expect(page.getByTestId('plan-told')).toContainText('Room for 6 videos')
  await hours.fill('4')
  const [first] = (await call(app, '/api/ranks/filming-plan?region=GB&hoursPerWeek=4')).json.films
  await expect(films.first()).toContainText(first!.phrase)
  await page.getByTestId('plan-place').first().click()
  await expect(page.getByTestId('notice')).toContainText('1 brief with its day in the calendar')
  await expect(page.getByTestId('plan-told')).toContainText('1 in the calendar already')
  await expect(films.filter({ hasText: first!.phrase })).toHaveCount(0)
  const { briefs } = (await call(app, '/api/briefs')).json
  const made = briefs.find(each => each.topic === first!.phrase)!
  expect(Math.abs((made.releaseAt as number) - first!.at)).toBeLessThan(3_600_000)
  await call(app, `/api/briefs/${made.id}`, { method: 'DELETE' })
})

test('it is told which videos should lead to which others, those watched most first', async ({ page, app }) => {
  const { rows } = (await call(app, '/api/ranks/leading-on')).json
  expect(rows.length).toBeGreaterThan(3)
  await page.goto('/ranks?view=channel')
  await page.getByTestId('channel-leads').click()
  await expect(page).toHaveURL(/of=leads/u)
  const row = page.getByRole('row').filter({ has: page.getByRole('link', { name: rows[0]!.title, exact: true }) })
  await expect(row.first()).toContainText(rows[0]!.to[0]!.title)
})
