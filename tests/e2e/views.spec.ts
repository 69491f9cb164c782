import { randomUUID } from 'node:crypto'
import { call, expect, test } from './app'

const DAY = 86_400_000
const dayName = (at: number) => new Date(at).toISOString().slice(0, 10)

test('how a video was watched, where views came from, and how its first weeks went beside the others', async ({
  page,
  app,
}) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as {
    videos: { id: string; title: string }[]
  }
  const video = videos.find(({ title }) => title.startsWith('Why your bike chain is rusty'))!.id
  await page.goto(`/ranks?video=${video}`)
  await page.getByTestId('view-views').click()
  await expect(page).toHaveURL(/view=views/u)
  await expect(page.getByTestId('views-chart').locator('figcaption')).toContainText('views on 90 days')
  await page.getByTestId('days-28').click()
  await expect(page.getByTestId('views-chart').locator('figcaption')).toContainText('views on 28 days')
  await expect(page.getByTestId('view-sources')).toContainText('Search')
  await expect(page.getByTestId('views-source')).toContainText('From video site')
  // The others of the channel are asked for by themselves; then there is a usual.
  const weeks = page.getByTestId('first-weeks')
  await expect(weeks.getByTestId('step-clicked')).toContainText('%', { timeout: 60_000 })
  const told = (await call(app, `/api/videos/${video}/views`)).json as unknown as {
    firstWeeks: { steps: { step: string; own: number; of: number }[] }
  }
  const clicked = told.firstWeeks.steps.find(({ step }) => step === 'clicked')!
  expect(clicked.of).toBeGreaterThanOrEqual(5)
  await expect(weeks.getByTestId('step-clicked')).toContainText((clicked.own * 100).toFixed(1))
  await expect(weeks.getByTestId('cause')).not.toBeEmpty()
  await expect(page.getByTestId('before-after')).toContainText('Nothing of this video was changed')
  await page.goBack()
  await page.goBack()
  await expect(page.getByTestId('ranks')).toBeVisible()
})

test('a table of figures is read in: columns matched by hand, an order asked for, lines refused with their reason', async ({
  page,
  app,
}) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as {
    videos: { id: string; title: string }[]
  }
  const { id, title } = videos[4]!
  const now = Date.now()
  await page.goto(`/ranks?video=${id}&view=views&days=400`)
  await page.getByTestId('views-import').click()
  const dialog = page.getByRole('dialog', { name: 'Import figures' })
  await expect(dialog).toContainText(title)
  await dialog.getByTestId('figures-send').click()
  await expect(dialog).toContainText('Choose a file first.')
  const give = (text: string) =>
    dialog
      .locator('input[type=file]')
      .setInputFiles({ name: 'figures.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await give('When,How many\n3/4/2025,5\n')
  await dialog.getByTestId('figures-send').click()
  await expect(dialog.getByTestId('figures-mapping')).toContainText('No column is named as the day')
  await dialog.getByTestId('map-day').click()
  await page.getByRole('option', { name: 'When' }).click()
  await dialog.getByTestId('map-views').click()
  await page.getByRole('option', { name: 'How many' }).click()
  await dialog.getByTestId('figures-send').click()
  await expect(dialog).toContainText('“3/4/2025” can be read in two ways')
  await dialog.getByTestId('figures-order').click()
  await page.getByRole('option', { name: 'Month first' }).click()
  await dialog.getByTestId('figures-send').click()
  await expect(dialog.getByTestId('figures-answer')).toContainText('1 day new')
  await give(
    `Date,Views,Referrer\n${dayName(now - 2 * DAY)},7,gearforum.example\nyesterday,5,\nTotal,12,\n${dayName(now + 9 * DAY)},1,\n`,
  )
  await dialog.getByTestId('figures-send').click()
  const answer = dialog.getByTestId('figures-answer')
  await expect(answer).toContainText('2 lines skipped')
  await expect(answer).toContainText('line 3 “yesterday” is not a day.')
  await expect(answer).toContainText('line 5 This day is still to come.')
  await expect(answer).toContainText('Totals are left out: 1 line.')
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByTestId('view-sources')).toContainText('gearforum.example')
})

test('how far it is watched is read from a table: columns matched by hand, a wrong line refused, taken back', async ({
  page,
  app,
}) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  await page.goto(`/ranks?video=${videos[5]!.id}&view=views`)
  const stays = page.getByTestId('stays')
  await expect(stays).toContainText('at half')
  const before = (await stays.textContent())!
  await stays.getByTestId('retention-import').click()
  const dialog = page.getByTestId('retention')
  const give = (text: string) =>
    dialog
      .locator('input[type=file]')
      .setInputFiles({ name: 'watched.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  const send = () => dialog.getByTestId('retention-send').click()
  await send()
  await expect(dialog).toContainText('Choose a file first.')
  await give('position,retention\n0,100\n50,many\n100,10\n')
  await send()
  await expect(dialog).toContainText('Line 3: “many” is not a share of viewers.')
  await give('Where;Left\n0 %;100 %\n25 %;70 %\n50 %;43,2 %\n75 %;20 %\n100 %;11 %\n')
  await send()
  await expect(dialog.getByTestId('retention-mapping')).toBeVisible()
  await dialog.getByTestId('map-position').click()
  await page.getByRole('option', { name: 'Where' }).click()
  await dialog.getByTestId('map-stays').click()
  await page.getByRole('option', { name: 'Left' }).click()
  await send()
  await expect(dialog.getByTestId('retention-answer')).toContainText('Read from 5 lines: 43 % of viewers')
  await dialog.getByRole('button', { name: 'Close' }).click()
  await expect(stays).toContainText('43 % at half')
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click()
  await expect(stays).toHaveText(before)
})

test('what a change did is told once it can be, and not before', async ({ page, app }) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as {
    videos: { id: string; title: string }[]
  }
  const { id } = videos.find(({ title }) => title.startsWith('How to bleed a disc brake'))!
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const brief = briefs.find(({ topic }) => topic === 'Winter care for a bike chain')!
  const seen = (await call(app, `/api/briefs/${brief.id}/apply`, { method: 'POST', body: { videoId: id } }))
    .json as unknown as {
    rows: { field: string; there: string | null }[]
  }
  const tags = seen.rows.find(({ field }) => field === 'tags')!.there
  await call(app, `/api/briefs/${brief.id}/apply`, {
    method: 'POST',
    body: { videoId: id, fields: ['tags'], seen: { tags } },
  })
  await page.goto(`/ranks?video=${id}&view=views`)
  await expect(page.getByTestId('before-after')).toContainText('Tags changed')
  await expect(page.getByTestId('before-after')).toContainText('Too early to say: from')
  await expect(page.getByTestId('before-after')).not.toContainText('%')
})

test('a change is planned for a day with what it is judged by; a day that is over is refused; it is removed', async ({
  page,
  app,
}) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  const { id } = videos[3]!
  await page.goto(`/ranks?video=${id}&view=views`)
  const part = page.getByTestId('planned')
  await part.getByTestId('planned-open').click()
  const day = part.getByTestId('plan-day').locator('input')
  await day.fill('2020-01-01')
  await part.getByTestId('plan-add').click()
  await expect(part.getByTestId('plan-day')).toContainText('Choose today or a later day.')
  await expect(part.getByTestId('planned-row')).toHaveCount(0)
  await day.fill(new Date(Date.now() + 9 * 86_400_000).toISOString().slice(0, 10))
  await part.getByTestId('plan-note').locator('input').fill('A shorter title')
  await page.keyboard.press('Enter')
  const row = part.getByTestId('planned-row')
  await expect(row).toContainText('Title: “A shorter title”')
  await expect(row).toContainText('Judged by views, 2 weeks before and after.')
  await page.reload()
  await expect(row).toHaveCount(1)
  await row.getByTestId('planned-remove').click()
  await expect(row).toHaveCount(0)
  expect(
    await call(app, `/api/videos/${id}/planned`, {
      method: 'POST',
      body: { field: 'title', day: '2020-01-01', weeks: 2, what: 'views' },
    }),
  ).toMatchObject({ status: 400, json: { error: { code: 'past-day' } } })
})

test('what was told and what came, the reach, and a forecast that is kept when a phrase is taken', async ({
  page,
  app,
}) => {
  const told = async () =>
    (await call(app, '/api/forecasts/reliability')).json as unknown as {
      n: number
      waiting: number
      bins: { n: number; came: number }[]
      corrected: { fixed: { videos: number; by: object | null } }
      rows: { phrase: string; came: boolean }[]
    }
  const before = await told()
  expect(before.n).toBeGreaterThan(20)
  expect(before.corrected.fixed.by).not.toBeNull()
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const trayed = briefs.find(({ topic }) => topic === 'Indexing a rear derailleur')!.id
  await page.goto(`/ranks?view=told&brief=${trayed}`)
  const most = [...before.bins].sort((a, b) => b.n - a.n)[0]!
  await expect(page.getByTestId('told-words')).toContainText(`Of ${most.n} phrases given`)
  await expect(page.getByTestId('told-words')).toContainText(`${most.came} reached page one`)
  await expect(page.getByTestId('told-corrected')).toContainText(
    `corrected by the results of ${before.corrected.fixed.videos}`,
  )
  await expect(page.getByTestId('told-rows')).toContainText(before.rows[0]!.phrase)
  const reach = (await call(app, '/api/reach')).json as unknown as { reach: { reach: number } }
  await expect(page.getByTestId('reach')).toContainText(String(Math.round(reach.reach.reach)))
  await expect(page.getByTestId('reach-tray')).toContainText('In the tray within it')
  // Taken into a tray, what is foretold of a phrase whose page is known is kept; again, it is not.
  const made = await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Told', region: 'GB' } } })
  const { id } = made.json
  let revision = 0
  const take = (lead: string, support: string[]) =>
    call(app, `/api/briefs/${id}`, {
      method: 'PATCH',
      body: {
        editId: randomUUID(),
        fields: { tray: { revision: revision++, value: { lead, support, setAside: [] } } },
      },
    })
  expect((await take('bike chain', ['zzqx blorb'])).status).toBe(200)
  await expect.poll(async () => (await told()).waiting).toBe(before.waiting + 1)
  expect((await take('bike chain', ['rear derailleur'])).status).toBe(200)
  await expect.poll(async () => (await told()).waiting).toBe(before.waiting + 2)
})

test('all videos in one table, what brings most first; a phrase leads to its curve', async ({ page, app }) => {
  const { rows } = (await call(app, '/api/ranks/channel?region=GB')).json as unknown as {
    rows: { phrase: string; videoId: string; brings: { now: number } | null }[]
  }
  expect(rows.length).toBeGreaterThan(30)
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const { id } = briefs.find(({ topic }) => topic === 'Indexing a rear derailleur')!
  await page.goto(`/ranks?view=channel&brief=${id}`)
  const first = page.getByTestId('channel-row').first()
  await expect(first).toHaveText(rows[0]!.phrase)
  await expect(page.getByTestId('channel-sum')).toContainText('of the last 28 days bring')
  // Sorting and finding are the server's: the table may hold but a part of all ranks.
  const heads = page.getByTestId('channel-table').locator('th')
  await heads.filter({ hasText: 'Phrase' }).click()
  await expect(first).toHaveText(rows.map(({ phrase }) => phrase).sort()[0]!)
  await heads.filter({ hasText: 'Phrase' }).click()
  await expect(first).toHaveText(
    rows
      .map(({ phrase }) => phrase)
      .sort()
      .at(-1)!,
  )
  await page.getByTestId('channel-find').locator('input').fill('touring bike chain')
  await expect(page.getByTestId('channel-row').filter({ hasNotText: 'touring bike chain' })).toHaveCount(0)
  await page.getByRole('button', { name: 'touring bike chain', exact: true }).first().click()
  await expect(page).toHaveURL(/video=.*phrase=touring/u)
  await expect(page.getByTestId('rank-curve').locator('figcaption')).toContainText('touring bike chain: rank')
  await page.goBack()
  await expect(page.getByTestId('channel-table')).toBeVisible()
})

test('whether points mean anything for one’s own videos, with the interval of each relation', async ({ page }) => {
  await page.goto('/ranks?view=told')
  await page.getByTestId('told-points').click()
  await expect(page).toHaveURL(/of=points/u)
  const sets = page.getByTestId('points-set')
  await expect(sets.first()).toBeVisible({ timeout: 60_000 })
  await expect(sets.first().getByRole('img')).toHaveCount(3)
  // Ranks were looked up in the demo; days of views come by and by.
  await expect(sets.first().getByRole('img').last()).toHaveAttribute(
    'aria-label',
    /Rank correlation .* over \d+ videos/u,
  )
  await page.goBack()
  await expect(page.getByTestId('told-rows')).toBeVisible()
})
