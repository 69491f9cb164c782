import { call, expect, test } from './app'
import { newBrief } from './onDesk'

test('once the video is out the rack tells where it stands for each tag, and is ordered by that', async ({
  page,
  app,
}) => {
  const { videos } = JSON.parse((await call(app, '/api/videos/texts')).text) as {
    videos: { id: string; title: string }[]
  }
  const id = await newBrief(app, {
    title: videos[3]!.title,
    tags: ['zzqx blorb', videos[3]!.title.toLowerCase()],
    region: 'GB',
    videoAddress: `https://videos.example/watch/${videos[3]!.id}`,
  })
  await page.goto(`/desk?brief=${id}&side=tags`)
  const rows = page.getByTestId('rack-row')
  const ranks = page.getByTestId('rack-rank')
  await expect(ranks).toHaveText(['–', '–'])
  await page.getByTestId('rack-look').click()
  await expect(ranks.last()).toHaveText(/^\d+$/u)
  await expect(ranks.last()).toHaveAttribute('title', /rank \d+ of the \d+ that were read/u)
  await expect(page.getByTestId('rack-look')).toBeVisible()
  await page.getByRole('button', { name: 'Rank', exact: true }).click()
  await expect(rows.first()).toContainText(videos[3]!.title.toLowerCase())
  await expect(ranks.first()).toHaveText(/^\d+$/u)
})
