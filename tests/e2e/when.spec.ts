import { writeFileSync } from 'node:fs'
import { call, expect, test } from './app'
import { fieldsOf, newBrief } from './onDesk'

const LEAD = { lead: 'how to clean bike chain', support: [], setAside: [] }
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const HOUR = 3_600_000

test('the hours of the viewers are shown by the channel’s clock, and the best ones are chosen with one press', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { topic: 'When it comes out', tray: LEAD, seconds: 600 })
  await page.goto(`/release?brief=${id}&part=when`)
  await expect(page.getByTestId('audience-origin')).toContainText('by the clock of Europe/London')
  const first = page.getByTestId('best-hour').first()
  await expect(first).toHaveAttribute('title', /times the usual number of viewers/u)
  await first.click()
  await expect.poll(async () => typeof (await fieldsOf(app, id)).releaseAt).toBe('number')
  const { releaseAt } = await fieldsOf(app, id)
  const { best, hours } = (await call(app, '/api/audience')).json as unknown as {
    best: { hour: number; times: number }[]
    hours: number[]
  }
  const clock = new Intl.DateTimeFormat('en-GB', { timeZone: 'Europe/London', weekday: 'long', hour: '2-digit' })
  expect(clock.format(releaseAt as number)).toContain(DAYS[Math.floor(best[0]!.hour / 24)])
  // The figure by hand: three hours against three of a usual week.
  const mean = hours.reduce((a, b) => a + b, 0) / 168
  const three = [0, 1, 2].reduce((sum, k) => sum + hours[(best[0]!.hour + k) % 168]!, 0) / 3
  expect(best[0]!.times).toBeCloseTo(three / mean, 10)
  await expect(page.getByTestId(`hour-${best[0]!.hour}`)).toHaveAttribute('aria-pressed', 'true')
  // It is near enough to be in the month that is shown, with its stage.
  await expect(page.getByTestId('month-brief').filter({ hasText: 'When it comes out' })).toHaveCount(1)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect.poll(async () => (await fieldsOf(app, id)).releaseAt).toBeNull()
  await expect(page.getByTestId('without-hour')).toContainText('When it comes out')
})

test('an hour of the week is found and chosen by keys alone', async ({ page, app }) => {
  const id = await newBrief(app, { topic: 'By keys', tray: LEAD, seconds: 600 })
  await page.goto(`/release?brief=${id}&part=when`)
  const cell = page.getByRole('grid', { name: 'Hours of the week' }).locator('[tabindex="0"]')
  await cell.focus()
  const before = await cell.getAttribute('data-test')
  await page.keyboard.press('ArrowRight')
  await page.keyboard.press('ArrowDown')
  const from = Number(before!.slice(5))
  await expect(page.getByTestId(`hour-${(from + 25) % 168}`)).toBeFocused()
  await page.keyboard.press('Enter')
  await expect.poll(async () => (await fieldsOf(app, id)).releaseAt).toBeGreaterThan(0)
})

test('a table of one’s own counts until it is taken back; what is none says why', async ({ page, app }, info) => {
  const id = await newBrief(app, { topic: 'A table of mine', tray: LEAD })
  await page.goto(`/release?brief=${id}&part=when`)
  await expect(page.getByTestId('audience-origin')).toContainText('video site')
  const open = async (name: string, text: string) => {
    const file = info.outputPath(name)
    writeFileSync(file, text)
    const chooser = page.waitForEvent('filechooser')
    await page.getByTestId('audience-open').click()
    await (await chooser).setFiles(file)
  }
  await open('wrong.csv', 'weekday,hour,viewers\nMonday,25,1\n')
  await expect(page.getByTestId('notice')).toContainText('Line 2: “25” is not an hour from 0 to 23.')
  const rows = DAYS.flatMap((day, at) =>
    Array.from({ length: 24 }, (_, hour) => `${day};${hour};${at === 2 && hour >= 9 && hour < 12 ? '90,5' : '10'}`),
  )
  await open('hours.csv', `Weekday;Hour;Viewers\n${rows.join('\n')}`)
  await expect(page.getByTestId('best-hour').first()).toHaveText(/Wednesday 09:00/u)
  await expect(page.getByTestId('hour-57')).toHaveAttribute('title', /^Wednesday 09:00\. 4\.71 % of the week/u)
  await page.getByTestId('audience-forget').click()
  await expect(page.getByTestId('audience-origin')).toContainText('video site')
})

test('months turn, stay in the address and come back with it', async ({ page, app }) => {
  const at = Date.UTC(2027, 4, 7, 17)
  const id = await newBrief(app, { topic: 'In May', tray: LEAD, releaseAt: at })
  await page.goto(`/release?brief=${id}&part=when`)
  await expect(page.getByRole('heading', { name: 'May 2027' })).toBeVisible()
  await expect(page.getByTestId('month-brief')).toContainText('18:00')
  await page.getByTestId('month-after').click()
  await expect(page.getByRole('heading', { name: 'June 2027' })).toBeVisible()
  await expect(page.getByTestId('month-brief')).toHaveCount(0)
  await page.reload()
  await expect(page.getByRole('heading', { name: 'June 2027' })).toBeVisible()
  await page.goBack()
  await expect(page.getByRole('heading', { name: 'May 2027' })).toBeVisible()
})

test('the list of briefs says how far each is, and when it comes out', async ({ page, app }) => {
  const at = Math.floor(Date.now() / HOUR) * HOUR + 48 * HOUR
  const id = await newBrief(app, { topic: 'Stage of a brief', tray: LEAD, releaseAt: at })
  await page.goto('/library')
  const row = page.getByRole('row').filter({ hasText: 'Stage of a brief' })
  await expect(row.getByTestId('stage')).toHaveText('settled')
  const { revisions } = (await call(app, `/api/briefs/${id}`)).json
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: {
      editId: crypto.randomUUID(),
      fields: { videoAddress: { revision: revisions.videoAddress, value: 'https://videos.example/a' } },
    },
  })
  await expect(row.getByTestId('stage')).toHaveText('out')
  await row.getByTestId('stage').click()
  await expect(page).toHaveURL(new RegExp(`/release\\?brief=${id}`, 'u'))
})
