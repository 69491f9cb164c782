import sharp from 'sharp'
import { call, expect, test, type RunningApp } from './app'
import { newBrief } from './onDesk'

const CAPTIONS = '1\n00:00:00,000 --> 00:00:04,000\nSalt rusts the chain in one night.\n'
interface Made {
  value: { name: string; hash: string; format: string; design: { headline: { text: string }; layout: string } | null }
}
const candidatesOf = async (app: RunningApp, id: string) =>
  ((await call(app, `/api/briefs/${id}/items?kind=thumbnail`)).json as unknown as { items: Made[] }).items
const bytesOf = async (app: RunningApp, { value: { hash, format } }: Made) =>
  Buffer.from(await (await fetch(`${app.url}/api/pictures/${hash}.${format}`)).arrayBuffer())

test('a thumbnail is made of a picture: words, light and place; kept, seen, and changed later', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { topic: 'Made here', title: 'How to clean a chain', captions: CAPTIONS })
  const grey = await sharp({ create: { width: 1600, height: 1600, channels: 3, background: '#808080' } })
    .jpeg()
    .toBuffer()
  await call(app, `/api/briefs/${id}/thumbnails?name=grey.jpg`, { method: 'POST', raw: grey })
  await page.goto(`/release?brief=${id}&part=thumbnail`)
  await page.getByTestId('picture-design').click()
  await page.getByTestId('design-headline').fill('Rust by Friday')
  await expect(page.getByTestId('design-fault')).toHaveText(['“Friday”: not in the captions or the title.'])
  await page.getByTestId('design-headline').fill('Clean a chain')
  await expect(page.getByTestId('design-fault')).toContainText('The headline repeats the title')
  await page.getByTestId('design-headline').fill('Rust in one night')
  await expect(page.getByTestId('design-fault')).toHaveCount(0)
  await page.getByTestId('design-layout').selectOption('right')
  await page.getByTestId('design-light').fill('0.5')
  await expect(page.getByTestId('design-undo')).toBeEnabled()
  await page.getByTestId('design-undo').click()
  await expect(page.getByTestId('design-light')).toHaveValue('0')
  await expect(page.getByTestId('design-headline')).toHaveValue('Rust in one night')
  await page.getByTestId('design-light').fill('0.5')
  await page.getByTestId('design-keep').click()
  await expect(page.getByRole('button', { name: 'Change Rust in one night' })).toBeVisible()

  const [, made] = await candidatesOf(app, id)
  expect(made!.value).toMatchObject({
    name: 'Rust in one night',
    design: { layout: 'right', headline: { text: 'Rust in one night' } },
  })
  const image = sharp(await bytesOf(app, made!))
  expect(await image.metadata()).toMatchObject({ format: 'jpeg', width: 1280, height: 720 })
  // Half lighter than the grey it was made of at the left, words at the right.
  const { data } = await image.removeAlpha().raw().toBuffer({ resolveWithObject: true })
  const at = (x: number, y: number) => data[(y * 1280 + x) * 3]!
  expect(at(100, 360)).toBeGreaterThan(185)
  expect(at(100, 360)).toBeLessThan(200)
  const row = Array.from({ length: 600 }, (_, x) => at(660 + x, 300))
  expect(Math.min(...row)).toBeLessThan(90)

  await page.getByRole('button', { name: 'Change Rust in one night' }).click()
  await expect(page.getByTestId('design-headline')).toHaveValue('Rust in one night')
  await page.getByTestId('design-layout').selectOption('none')
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByText('Your changes are not saved')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByTestId('design-headline')).toHaveCount(0)
  await expect(page.getByTestId('picture')).toHaveCount(2)
})

test('the picture is dragged under the frame, and one lies on top', async ({ page, app }) => {
  const id = await newBrief(app, { topic: 'Dragged' })
  const halves = await sharp({ create: { width: 2560, height: 720, channels: 3, background: '#ff0000' } })
    .composite([
      { input: { create: { width: 1280, height: 720, channels: 3, background: '#0000ff' } }, left: 1280, top: 0 },
    ])
    .png()
    .toBuffer()
  await call(app, `/api/briefs/${id}/thumbnails?name=halves.png`, { method: 'POST', raw: halves })
  await page.goto(`/release?brief=${id}&part=thumbnail`)
  await page.getByTestId('picture-design').click()
  const frame = page.locator('canvas').first()
  await expect(page.getByTestId('design-small')).toBeVisible()
  const box = (await frame.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(box.x + box.width / 2 + box.width / 4, box.y + box.height / 2, { steps: 4 })
  await page.mouse.move(box.x + box.width, box.y + box.height / 2, { steps: 4 })
  await page.mouse.up()
  await expect(page.getByTestId('design-x')).toHaveValue('0.25')
  await page.getByTestId('design-layer').click()
  await page.getByTestId('design-layer-of').click()
  await page.getByTestId('design-keep').click()
  await expect(page.getByTestId('picture')).toHaveCount(2)
  const [, made] = await candidatesOf(app, id)
  const { data } = await sharp(await bytesOf(app, made!))
    .raw()
    .toBuffer({ resolveWithObject: true })
  const at = (x: number, y: number) => [data[(y * 1280 + x) * 3]! > 127, data[(y * 1280 + x) * 3 + 2]! > 127]
  // All red by then, but for the blue half of the picture on top.
  expect(at(40, 40)).toEqual([true, false])
  expect(at(1240, 40)).toEqual([true, false])
  expect(at(1100, 240)).toEqual([false, true])
})
