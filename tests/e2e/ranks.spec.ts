import { call, expect, test } from './app'

interface Row {
  videoId: string
  phrase: string
  rank: number | null
  depth: number
  day: string
}
const PHRASE = 'how to clean bike chain'

test('phrases of a video are looked up, told with what they bring, and kept as a curve', async ({ page, app }) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: { id: string }[] }
  const { rows: results } = (await call(app, `/api/results?phrase=${encodeURIComponent(PHRASE)}&region=GB&depth=60`))
    .json as unknown as { rows: { rank: number; videoId: string; channel: { id: string } }[] }
  const mine = new Set(videos.map(({ id }) => id))
  const there = results.find(({ videoId }) => mine.has(videoId))
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const { id } = briefs.find(({ topic }) => topic === 'Winter care for a bike chain')!
  const video = there?.videoId ?? videos[0]!.id
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
  const row = page.getByRole('row').filter({ hasText: 'bike chain' })
  await expect(row.getByTestId('rank-now')).toHaveText(/^(?:\d+|> \d+)$/u)
  await row.getByTestId('rank-row').click()
  await expect(page).toHaveURL(/phrase=bike(?:\+|%20)chain/u)
  await page.goBack()
  await expect(page).not.toHaveURL(/phrase=/u)
})
