import { readFile } from 'node:fs/promises'
import sharp from 'sharp'
import { appTest, call, expect, test, type RunningApp } from './app'
import { fieldsOf, newBrief } from './onDesk'

const LEAD = 'how to clean bike chain'
const TRAY = { tray: { lead: LEAD, support: [], setAside: [] } }
const picture = (width: number, height: number, colour: string) =>
  sharp({ create: { width, height, channels: 3, background: colour } }).composite([
    {
      input: {
        create: { width: Math.round(width / 2), height: Math.round(height / 2), channels: 3, background: '#fff' },
      },
      left: 0,
      top: 0,
    },
  ])
const chosenOf = async (app: RunningApp, id: string) => (await fieldsOf(app, id)).thumbnail

test('pictures are added, compared among the rivals, mended, chosen and brought back', async ({ page, app }) => {
  const id = await newBrief(app, { topic: 'Thumbnail', region: 'GB', ...TRAY })
  await page.goto(`/release?brief=${id}`)
  await expect(page.getByTestId('point-thumbnail')).toHaveAttribute('data-state', 'open')
  await page.getByTestId('point-thumbnail').getByRole('link').click()
  const pictures = page.getByTestId('picture')
  await expect(page.getByTestId('page-pictures').locator('li')).toHaveCount(20)
  await expect(page.getByTestId('free')).toContainText('Hardly any')

  // A good one is the brief's thumbnail at once.
  const chooser = page.waitForEvent('filechooser')
  await page.getByTestId('picture-add').click()
  await (
    await chooser
  ).setFiles([
    { name: 'good one.jpg', mimeType: 'image/jpeg', buffer: await picture(1280, 720, '#20a050').jpeg().toBuffer() },
    { name: 'square.webp', mimeType: 'image/webp', buffer: await picture(900, 900, '#a02020').webp().toBuffer() },
  ])
  await expect(pictures).toHaveCount(2)
  await expect(pictures.nth(0)).toContainText('chosen')
  await expect(pictures.nth(0).getByTestId('picture-fault')).toHaveCount(0)
  await expect(pictures.nth(1).getByTestId('picture-fault')).toHaveText([/does not take WebP/u, /900×900 is not 16:9/u])
  // The one added last is looked at; its address can be kept.
  await expect(page).toHaveURL(/picture=/u)
  await expect(page.getByTestId('compared')).toHaveCount(2)
  await expect(page.getByTestId('compared').nth(1)).toContainText(/\d+\.\d/u)
  await expect(page.getByTestId('stand-out')).toContainText('Mean distance of its colours to those of the 20 pictures')
  await expect(page.getByTestId('page-pictures').locator('li')).toHaveCount(21)

  // Mending cuts it; what has to stay in is moved by keys.
  await pictures.nth(1).getByTestId('picture-mend').click()
  await page.getByTestId('mend-frame').press('ArrowUp')
  await page.getByTestId('mend-do').click()
  await expect(pictures).toHaveCount(3)
  await expect(pictures.nth(2)).toContainText('900×506, JPEG')
  await expect(pictures.nth(2).getByTestId('picture-fault')).toHaveCount(0)
  const before = await chosenOf(app, id)
  await pictures.nth(2).getByTestId('picture-choose').click()
  await expect(pictures.nth(2)).toContainText('chosen')
  await expect.poll(async () => (await chosenOf(app, id))?.hash).not.toBe(before?.hash)

  // Removed with the choice, both come back.
  await pictures.nth(2).getByTestId('picture-remove').click()
  await expect(pictures).toHaveCount(2)
  await expect.poll(() => chosenOf(app, id)).toBeNull()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(pictures).toHaveCount(3)
  await expect(pictures.nth(2)).toContainText('chosen')
  await page.getByTestId('part-sheet').click()
  await expect(page.getByTestId('point-thumbnail')).toHaveAttribute('data-state', 'done')
})

test('a picture is seen on each surface with its length, and by other eyes', async ({ page, app }) => {
  const id = await newBrief(app, { topic: 'Seen', region: 'GB', seconds: 605, ...TRAY })
  await page.goto(`/release?brief=${id}&part=thumbnail&seen=sizes`)
  const chooser = page.waitForEvent('filechooser')
  await page.getByTestId('picture-add').click()
  await (
    await chooser
  ).setFiles({ name: 'a.png', mimeType: 'image/png', buffer: await picture(640, 360, '#2030a0').png().toBuffer() })
  const sizes = page.getByTestId('at-sizes')
  await expect(sizes.locator('figure')).toHaveCount(5)
  await expect(sizes.locator('figure').first()).toContainText('10:05')
  await page.getByTestId('surface-column').click()
  const mine = page.getByTestId('seen-mine')
  await expect(mine.locator('img')).toHaveJSProperty('complete', true)
  await expect(mine.locator('.tile')).toHaveCSS('width', '168px')
  await expect(mine).toContainText('10:05')
})

test('what is no picture is refused with the reason, and the others stay', async ({ page, app }) => {
  const id = await newBrief(app, { topic: 'No picture', region: 'GB' })
  await page.goto(`/release?brief=${id}&part=thumbnail`)
  const chooser = page.waitForEvent('filechooser')
  await page.getByTestId('picture-add').click()
  await (await chooser).setFiles({ name: 'notes.png', mimeType: 'image/png', buffer: Buffer.from('hello') })
  await expect(page.getByTestId('notice')).toContainText('This is not a picture that can be read')
  await expect(page.getByTestId('picture')).toHaveCount(0)
  await expect(page.getByText('Choose a lead phrase on the Desk')).toBeVisible()
})

appTest('by program: a picture is analysed, kept once, served, packed and read back elsewhere', async ({ app }) => {
  const body = await readFile('demo/pictures/ten minutes.jpg')
  const send = <const Path extends string>(path: Path) => call(app, path, { method: 'POST', raw: body })
  const analyse = (phrase: string) =>
    call(app, `/api/thumbnails/analyse?phrase=${encodeURIComponent(phrase)}&region=GB`, { method: 'POST', raw: body })
  const analysed = (await analyse(LEAD)).json
  expect(analysed.problems).toEqual([])
  const { value: found, distances } = analysed.standOut!
  expect(distances).toHaveLength(20)
  expect(found).toBeCloseTo(distances.reduce((sum, each) => sum + each, 0) / 20, 8)
  // Of a phrase whose page nobody has read it is unknown what a picture stands out from.
  expect((await analyse('zzqx')).json.standOut).toBeNull()

  const id = await newBrief(app, { topic: 'By program' })
  const kept = await send(`/api/briefs/${id}/thumbnails?name=ten.jpg`)
  expect(kept.status).toBe(201)
  await send(`/api/briefs/${id}/thumbnails?name=again.jpg`)
  const candidates = async () => (await call(app, `/api/briefs/${id}/items?kind=thumbnail`)).json.items
  expect(await candidates()).toHaveLength(1)
  const { hash, format, width, height, bytes } = kept.json.value
  const served = await fetch(`${app.url}/api/pictures/${hash}.jpeg`)
  expect(served.headers.get('content-type')).toBe('image/jpeg')
  expect(Buffer.from(await served.arrayBuffer()).equals(body)).toBe(true)
  const small = await fetch(`${app.url}/api/pictures/${hash}.jpeg?width=320`)
  expect(await sharp(Buffer.from(await small.arrayBuffer())).metadata()).toMatchObject({ format: 'webp', width: 320 })
  for (const name of ['..%2f..%2ffonetra.sqlite', `${'0'.repeat(64)}.jpeg`, 'x.png'])
    expect((await fetch(`${app.url}/api/pictures/${name}`)).status).toBe(404)

  // Packed with its brief, it comes back with it where the brief is gone.
  const { revisions } = (await call(app, `/api/briefs/${id}`)).json
  const value = { hash, format, width, height, bytes }
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: crypto.randomUUID(), fields: { thumbnail: { revision: revisions.thumbnail, value } } },
  })
  const packed = Buffer.from(await (await fetch(`${app.url}/api/briefs/${id}/package`)).arrayBuffer())
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
  await call(app, `/api/briefs/${id}?forever=1`, { method: 'DELETE' })
  expect((await call(app, '/api/import/package', { method: 'POST', raw: packed })).json).toEqual({ briefId: id })
  expect((await candidates()).map(({ value }) => (value as { hash: string }).hash)).toEqual([hash])
})
