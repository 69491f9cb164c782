import type { Page } from '@playwright/test'
import { call, expect, test } from './app'

interface Row {
  videoId: string
  phrase: string
  rank: number | null
  depth: number
  day: string
}
const PHRASE = 'how to clean bike chain'

/** The row of a phrase, behind its letter, and of no longer one that holds it. */
const rowOf = (page: Page, phrase: string) =>
  page.getByTestId('rank-row').filter({ hasText: new RegExp(`^\\s*[A-Z]?\\s*${phrase}\\s*$`, 'u') })

test('phrases of a video are looked up, told with what they bring, and kept as a curve', async ({ page, app }) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  const { rows: results } = (await call(app, `/api/results?phrase=${encodeURIComponent(PHRASE)}&region=GB&depth=60`))
    .json as unknown as { rows: { rank: number; videoId: string; channel: { id: string } }[] }
  const mine = videos.map(({ id }) => id)
  // One that nobody looked up yet, best of those that stand there.
  const places = new Map(results.map(({ videoId, rank }) => [videoId, rank]))
  let video = ''
  for (const each of [...mine].sort((a, b) => (places.get(a) ?? 99) - (places.get(b) ?? 99))) {
    const { rows } = (await call(app, `/api/ranks?videoId=${each}`)).json as unknown as { rows: Row[] }
    if (rows.length) continue
    video = each
    break
  }
  const there = results.find(({ videoId }) => videoId === video)
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const { id } = briefs.find(({ topic }) => topic === 'Winter care for a bike chain')!
  await page.goto(`/ranks?video=${video}&brief=${id}`)
  await expect(page.getByTestId('rank-row')).toHaveCount(5)
  await expect(page.getByTestId('rank-curve')).toContainText('No ranks yet')
  await expect(page.getByTestId('rank-now').first()).toHaveText('–')
  await page.getByTestId('rank-look').click()
  const row = page.getByRole('row').filter({ hasText: PHRASE })
  await expect(row.getByTestId('rank-now')).toHaveText(there ? String(there.rank) : '> 60')
  const kept = (await call(app, `/api/ranks?videoId=${video}&phrase=${encodeURIComponent(PHRASE)}&region=GB`))
    .json as unknown as { rows: Row[] }
  expect(kept.rows).toHaveLength(1)
  expect(kept.rows[0]).toMatchObject({ videoId: video, phrase: PHRASE, rank: there?.rank ?? null })
  // By hand: its searches a month times the share of them that look at its rank.
  const shares = Array.from({ length: 60 }, (_, i) => 0.22 / (i + 1) ** 1.1)
  const figures = (
    await call(app, '/api/phrases/figures', { method: 'POST', body: { phrases: [PHRASE], region: 'GB' } })
  ).json as unknown as { rows: { volume: number }[] }
  const brings = row.getByTestId('rank-brings')
  if (there)
    await expect(brings).toHaveAttribute(
      'title',
      new RegExp(`^${(figures.rows[0]!.volume * shares[there.rank - 1]!).toFixed(1)} views a month`, 'u'),
    )
  else await expect(brings).toHaveText('–')

  // Looked up again on the same day it is one observation, and the page is not asked for anew.
  await page.getByTestId('rank-look').click()
  await expect(page.getByTestId('rank-look')).toBeEnabled()
  const again = (await call(app, `/api/ranks?videoId=${video}&phrase=${encodeURIComponent(PHRASE)}&region=GB`))
    .json as unknown as { rows: Row[] }
  expect(again.rows).toEqual(kept.rows)
})

test('a phrase of one’s own is looked up, in web search too, and what is chosen stands in the address', async ({
  page,
  app,
}) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  await page.goto(`/ranks?video=${videos[1]!.id}`)
  await page.getByTestId('kind-web').click()
  await expect(page).toHaveURL(/kind=web/u)
  await page.getByTestId('rank-phrase').locator('input').fill('Bike Chain')
  await page.keyboard.press('Enter')
  // Which brief is open, and so which other phrases stand here, is whatever another test left.
  const row = page.getByRole('row').filter({ has: rowOf(page, 'bike chain') })
  await expect(row.getByTestId('rank-now')).toHaveText(/^(?:\d+|> \d+)$/u)
  await row.getByTestId('rank-row').click()
  await expect(page).toHaveURL(/phrase=bike(?:\+|%20)chain/u)
  await page.goBack()
  await expect(page).not.toHaveURL(/phrase=/u)
})

interface Watches {
  watches: { id: number; videoId: string; phrase: string; region: string | null; every: number; last: string | null }[]
  cost: { pages: number; aMonth: number }
}

test('phrases are watched from then on, each page once a day, and no more once that is stopped', async ({
  page,
  app,
}) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  const video = videos.at(-1)!.id
  const watched = async () => (await call(app, `/api/watches?videoId=${video}`)).json as unknown as Watches
  const before = (await watched()).cost
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const { id } = briefs.find(({ topic }) => topic === 'Winter care for a bike chain')!
  await page.goto(`/ranks?video=${video}&brief=${id}`)
  await expect(page.getByTestId('region').locator('input[role=combobox]')).toHaveValue('United Kingdom')
  await page.getByTestId('rank-phrase').locator('input').fill('bike bell')
  await page.keyboard.press('Enter')
  const row = page.getByRole('row').filter({ has: rowOf(page, 'bike bell') })
  await expect(row.getByTestId('rank-now')).not.toHaveText('–')
  const shown = await page.getByTestId('rank-row').count()
  await page.getByTestId('rank-watch').click()
  const dialog = page.getByRole('dialog', { name: 'Watch ranks' })
  await expect(dialog).toContainText('No phrase of this video is watched.')
  await dialog.getByTestId('watch-add').click()
  // Rows beyond the picture are not in the page, and the table keeps their room by rows without a button.
  const kept = dialog.getByTestId('watches').getByRole('button', { name: /^Stop watching/u })
  await expect(kept).toHaveCount(shown)
  // What is due is looked up at once, in a job; what was read today is not asked for again.
  await expect
    .poll(async () => (await watched()).watches.every(({ last }) => last !== null), { timeout: 30_000 })
    .toBe(true)
  const { watches, cost } = await watched()
  expect(watches).toHaveLength(shown)
  expect(watches.every(({ every, region }) => every === 1 && region === 'GB')).toBe(true)
  expect(cost.pages).toBeGreaterThanOrEqual(before.pages)
  await expect(dialog.getByTestId('watch-cost')).toContainText('in 30 days')
  await dialog.getByRole('button', { name: 'Stop watching bike bell' }).click()
  await expect(kept).toHaveCount(shown - 1)
  await expect(page.getByTestId('notice')).toContainText('“bike bell” is no longer watched')
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click()
  await expect(kept).toHaveCount(shown)
  await dialog.getByTestId('watch-stop').click()
  await expect(dialog).toContainText('No phrase of this video is watched.')
  await page.keyboard.press('Escape')
  // The rank that is known stays.
  await expect(row.getByTestId('rank-now')).not.toHaveText('–')
  expect((await watched()).cost).toEqual(before)
})

test('twelve weeks of a video that is out: the curve, who came in above, and a rival to pass', async ({
  page,
  app,
}) => {
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const { id } = briefs.find(({ topic }) => topic === 'Why a chain rusts in winter')!
  const { publication } = (await call(app, `/api/briefs/${id}/publish`)).json as unknown as {
    publication: { state: string; video: string }
  }
  expect(publication.state).toBe('out')
  await page.goto(`/ranks?brief=${id}`)
  // Its video and its phrases, without being asked for.
  for (const phrase of ['bike chain rusty after winter', 'rusty bike chain'])
    await expect(rowOf(page, phrase)).toHaveCount(1)
  await expect(page.getByTestId('rank-curve').locator('figcaption')).toContainText('rusty bike chain: rank')
  const { rows } = (await call(app, `/api/ranks?videoId=${publication.video}&phrase=rusty+bike+chain&region=GB`))
    .json as unknown as { rows: Row[] }
  const days = rows.map(({ day }) => Date.parse(day) / 86_400_000)
  expect(days.at(-1)! - days[0]!).toBeGreaterThanOrEqual(83)
  expect(new Set(rows.map(({ rank }) => rank)).size).toBeGreaterThan(2)
  await rowOf(page, 'rusty bike chain').click()
  const events = page.getByTestId('rank-events')
  await expect(events).toContainText('Released')
  await expect(events).toContainText(/New at rank \d+: /u)
  const { rivals, arrivals } = (
    await call(app, `/api/ranks/surroundings?videoId=${publication.video}&phrase=rusty+bike+chain&region=GB`)
  ).json as unknown as { rivals: { videoId: string; title: string; rank: number }[]; arrivals: { rank: number }[] }
  expect(arrivals.length).toBeGreaterThan(0)
  const [first] = rivals
  await events.getByTestId('rank-rival').locator('input').click()
  await page.getByRole('option', { name: `${first!.rank}. ${first!.title}` }).click()
  await expect(page).toHaveURL(new RegExp(`rival=${first!.videoId}`, 'u'))
  await expect(page.getByTestId('rank-curve').locator('figcaption')).toContainText(`${first!.title}: `)
  // It is looked up along with mine from now on.
  await expect
    .poll(async () =>
      ((await call(app, `/api/watches?videoId=${first!.videoId}`)).json as unknown as Watches).watches.map(
        ({ phrase }) => phrase,
      ),
    )
    .toEqual(['rusty bike chain'])
  await page.reload()
  await expect(page.getByTestId('rank-curve').locator('figcaption')).toContainText(`${first!.title}: `)
  // Its page, and back again.
  await events.getByTestId('rank-page').click()
  await expect(page).toHaveURL(/\/rivals\?phrase=rusty\+bike\+chain/u)
  await expect(page.getByTestId('rival').first()).toBeVisible()
  await page.goBack()
  await expect(page.getByTestId('rank-curve').locator('figcaption')).toContainText(`${first!.title}: `)
  // The page of the day on which another video came in above, as it was.
  const arrived = events.getByTestId('rank-day').first()
  const day = (await arrived.textContent())!.trim()
  await arrived.click()
  await expect(page).toHaveURL(/[?&]day=\d{4}-\d\d-\d\d/u)
  await expect(page.getByText(`as seen on ${day}`)).toBeVisible()
  await expect(page.getByTestId('rival').first()).toBeVisible()
  await page.getByTestId('page-now').click()
  await expect(page.getByText(/video site, seen /u)).toBeVisible()
  // A point of the curve leads there, too.
  await page.goBack()
  await page.goBack()
  // It is drawn anew with what happened beside it.
  await expect(page.getByTestId('rank-curve')).toContainText('new at')
  await page.getByTestId('rank-curve').locator('.apexcharts-marker').first().click({ force: true })
  await expect(page).toHaveURL(/\/rivals\?.*day=/u)
})
