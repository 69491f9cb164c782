import { expect, test } from './app'
import { field, fieldsOf, newBrief, saved } from './onDesk'

const CAPTIONS = `WEBVTT

00:00:00.000 --> 00:00:20.000
Today we clean a bike chain in the workshop.

00:00:20.000 --> 00:00:40.000
A brush reaches the rollers from below.

00:00:40.000 --> 00:01:00.000
How to remove a bike chain you see in another film of ours.

00:01:00.000 --> 00:01:45.000
Now dry it with a rag.

00:01:45.000 --> 00:02:00.000
Clean bike chain links last all winter.
`
const FIELDS = {
  topic: 'Leads',
  captions: CAPTIONS,
  seconds: 120,
  tray: { lead: 'clean bike chain', support: [], setAside: [] },
}

test('a card is found, placed, worded and dragged to another line; every step is taken back', async ({ page, app }) => {
  const id = await newBrief(app, FIELDS)
  await page.goto(`/release?brief=${id}&part=video`)
  const cards = page.getByTestId('card')
  await page.getByTestId('card-moments').click()
  await page.getByTestId('moment').filter({ hasText: 'How To Remove A Bike Chain' }).click()
  await expect(cards).toHaveCount(1)
  await expect(page.getByTestId('video-at')).toHaveText('0:40 / 2:00')
  await expect(page.getByTestId('teaser')).toHaveText('How To Remove A Bike Chain')
  await field(page, 'card-teaser').fill('A teaser that is far too long for a card')
  await expect(cards.first()).toContainText('30 at most')
  await field(page, 'card-teaser').fill('Off with the chain')
  await expect(cards.first()).not.toContainText('at most')
  // By keys a second on, and dragged to the line before, to which it holds on.
  const pin = page.getByTestId('strip-card')
  await pin.press('ArrowRight')
  await expect(pin).toHaveAttribute('aria-label', /Card at 0:41/u)
  const [box, strip] = [(await pin.boundingBox())!, (await page.getByTestId('video-strip').boundingBox())!]
  await page.mouse.move(box.x + 11, box.y + 14)
  await page.mouse.down()
  await page.mouse.move(box.x - 20, box.y + 14, { steps: 4 })
  await page.mouse.move(strip.x + 10 + ((strip.width - 20) * 20.4) / 120, box.y + 14, { steps: 6 })
  await page.mouse.up()
  await expect(pin).toHaveAttribute('aria-label', /Card at 0:20/u)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(pin).toHaveAttribute('aria-label', /Card at 0:41/u)
  // A second one too near.
  await pin.click()
  await page.getByTestId('card-add').click()
  await expect(cards.nth(1)).toContainText('less than 8 seconds')
  await page.getByTestId('line-remove').nth(1).click()
  await expect(cards).toHaveCount(1)
  await saved(page)
  expect((await fieldsOf(app, id)).cards).toMatchObject([{ at: 41, kind: 'video', teaser: 'Off with the chain' }])
})

test('an end screen is laid out by mouse and keys, warns of what it covers, and its layout is kept', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, FIELDS)
  await page.goto(`/release?brief=${id}&part=video`)
  await page.getByTestId('end-add').click()
  await expect(page.getByTestId('end-from')).toHaveValue('1:40')
  await expect(page.getByTestId('end-fault')).toHaveText('It shows at least one video or playlist.')
  await expect(page.getByTestId('end-covered')).toContainText('“clean bike chain” is still spoken under it')
  for (const kind of ['video', 'subscribe']) await page.getByTestId(`end-add-${kind}`).click()
  await expect(page.getByTestId('end-fault')).toHaveCount(0)
  const elements = page.getByTestId('end-element')
  await expect(elements).toHaveCount(2)
  const before = (await elements.nth(0).boundingBox())!
  await page.mouse.move(before.x + 40, before.y + 30)
  await page.mouse.down()
  await page.mouse.move(before.x + 60, before.y + 60, { steps: 4 })
  await page.mouse.move(before.x + 90, before.y + 100, { steps: 6 })
  await page.mouse.up()
  await expect.poll(async () => (await elements.nth(0).boundingBox())!.y).toBeGreaterThan(before.y + 40)
  const { x } = (await elements.nth(1).boundingBox())!
  await elements.nth(1).press('ArrowRight')
  await expect.poll(async () => (await elements.nth(1).boundingBox())!.x).toBeGreaterThan(x)
  await page.getByTestId('layout-keep').click()
  await page.getByTestId('layout-name').fill('Two things')
  await page.getByTestId('layout-save').click()
  await expect(page.getByTestId('layouts')).toBeVisible()
  await page.getByTestId('end-remove').click()
  await expect(elements).toHaveCount(0)
  await page.getByTestId('layouts').click()
  await page.getByText('Two things', { exact: true }).click()
  await expect(page.getByTestId('end-line')).toHaveCount(2)
  // It begins earlier by keys on the strip, and too early is told.
  await page.getByTestId('strip-end').press('ArrowLeft')
  await expect(page.getByTestId('end-from')).toHaveValue('1:39')
  await expect(page.getByTestId('end-fault')).toContainText('would last 21')
  await page.getByTestId('part-sheet').click()
  await expect(page.getByTestId('point-endScreen')).toHaveAttribute('data-state', 'open')
})

test('the video plays with its captions, cards and end screen, from a file or from captions alone', async ({
  page,
  app,
}) => {
  const card = { id: 'c1', at: 0.5, kind: 'video', target: 'v', title: 'V', message: '', teaser: 'See this' }
  const id = await newBrief(app, { ...FIELDS, cards: [card] })
  await page.goto(`/release?brief=${id}&part=video`)
  await expect(page.getByTestId('stage')).toContainText('Today we clean')
  await page.getByTestId('video-play').click()
  await expect(page.getByTestId('teaser')).toHaveText('See this')
  await page.getByTestId('video-play').click()
  const chooser = page.waitForEvent('filechooser')
  await page.getByTestId('video-open').click()
  await (await chooser).setFiles('demo/clips/winter care.webm')
  // The file knows better how long it is.
  await expect(page.getByTestId('video-at')).toHaveText(/ \/ 10:40$/u)
  await page.getByTestId('part-thumbnail').click()
  await page.getByTestId('picture-frame').click()
  await page.getByTestId('frame').first().click()
  await expect(page.getByTestId('picture')).toContainText('480×270, PNG')
})

test('a brief of which no length is known asks for it', async ({ page, app }) => {
  const id = await newBrief(app, { topic: 'No length' })
  await page.goto(`/release?brief=${id}&part=video`)
  await field(page, 'video-length').fill('ten')
  await field(page, 'video-length').press('Enter')
  await expect(page.getByText('Write it as 10:40')).toBeVisible()
  await field(page, 'video-length').fill('10:40')
  await field(page, 'video-length').press('Enter')
  await expect(page.getByTestId('video-at')).toHaveText('0:00 / 10:40')
})
