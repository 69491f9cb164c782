import { readdir, readFile } from 'node:fs/promises'
import { request } from 'node:http'
import type { OwnTexts } from '../../shared/rivals'
import { call, demoApp, expect, test as shared } from './app'
import { fieldsOf, newBrief } from './onDesk'
import { Walk } from './walk'
import { ANSWERED as SHEET } from '../setup/sheet'

// What is published changes the site that others look at.
const test = shared.extend(demoApp)
const CLIP = 'demo/clips/winter care.webm'
const READY = {
  topic: 'Publish',
  title: 'How to true a wheel at home',
  description: 'True a wheel in ten minutes.',
  tags: ['true a wheel'],
  sheet: SHEET,
  releaseAt: 'now',
  seconds: 640,
}

test('the demo’s written brief goes from the Desk out in at most 25 actions', async ({ page, app }) => {
  const briefs = (await call(app, '/api/briefs')).json.briefs
  const { id } = briefs.find(({ topic }) => topic === 'Winter care for a bike chain')!
  const walk = new Walk(page)
  await page.goto(`/desk?brief=${id}`)
  await walk.click(page.getByRole('link', { name: 'Release' }))
  await walk.click('take-usual')
  // What is of this video alone is answered by hand.
  const owed = async () =>
    (await call(app, `/api/briefs/${id}/publish`)).json.problems
      .map(({ field }) => field)
      .filter(field => field !== 'hour')
  await expect.poll(async () => (await owed()).length).toBeLessThan(8)
  for (const field of await owed()) {
    const left = page.getByTestId(`left-out-${field}`)
    const no = page.getByTestId(`point-${field}`).getByRole('button', { name: /^(?:No|Remove)/u })
    await walk.click((await left.count()) ? left : no)
  }
  await walk.click('release-now')
  await walk.click('part-thumbnail')
  await walk.click('picture-choose')
  await walk.click('part-video')
  await walk.click('card-moments')
  await walk.click('moment')
  await walk.click('end-add')
  await walk.click('end-add-video')
  await walk.click('part-publish')
  await walk.file('publish-file', CLIP)
  await walk.click('publish')
  await expect(page.getByTestId('publish-state')).toHaveText('Out')
  await expect(page.getByTestId('release-told')).toContainText('out', { ignoreCase: true })
  expect(walk.actions).toBeLessThanOrEqual(25)
  const { publication } = (await call(app, `/api/briefs/${id}/publish`)).json
  expect(publication).toMatchObject({ state: 'out', problems: [] })
})

test('what is owed is told with the way to it, what the site refuses at its field; then it goes out', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { ...READY, sheet: { ...SHEET, licence: null }, tags: ['one', 'two, three'] })
  await page.goto(`/release?brief=${id}&part=publish`)
  await expect(page.getByTestId('publish-problems')).toContainText('Answer first: Licence.')
  await expect(page.getByTestId('publish')).toBeDisabled()
  await page.getByTestId('publish-problems').getByRole('link').click()
  await page.getByTestId('answer-licence-standard').click()
  await page.getByTestId('part-publish').click()
  const chooser = page.waitForEvent('filechooser')
  await page.getByTestId('publish-file').click()
  await (await chooser).setFiles(CLIP)
  await page.getByTestId('publish').click()
  // The site takes no comma within a tag.
  await expect(page.getByTestId('refused')).toContainText('comma')
  const { revisions } = (await call(app, `/api/briefs/${id}`)).json
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: crypto.randomUUID(), fields: { tags: { revision: revisions.tags, value: ['one', 'two'] } } },
  })
  await page.getByTestId('publish').click()
  await expect(page.getByTestId('publish-state')).toHaveText('Out')
  expect((await fieldsOf(app, id)).tags).toEqual(['one', 'two'])
})

test('a draft is applied to an old video, part by part', async ({ page, app }) => {
  const { videos } = (await call(app, '/api/videos/texts')).json as unknown as { videos: OwnTexts[] }
  const old = videos[3]!
  const id = await newBrief(app, { ...READY, title: 'A better title for it' })
  await page.goto(`/release?brief=${id}&part=publish&onto=there`)
  await page.getByRole('combobox', { name: 'Video, by its title or id' }).fill(old.id)
  await page.keyboard.press('Escape')
  await page.getByTestId('apply-look').click()
  const title = page.getByTestId('apply-title')
  await expect(title).toContainText(old.title)
  await page.getByTestId('apply-description').getByRole('checkbox').uncheck()
  await page.getByTestId('apply-tags').getByRole('checkbox').uncheck()
  await page.getByTestId('apply').click()
  await expect(title).toContainText('the same')
  await expect(page.getByTestId('apply-description')).not.toContainText('the same')
})

test('by program: one key is one video, also when it is sent twice at once; another brief has a key of its own', async ({
  app,
}) => {
  const id = await newBrief(app, READY)
  const other = await newBrief(app, READY)
  const key = crypto.randomUUID()
  const send = (brief: string, headers: Record<string, string>) =>
    call(app, `/api/briefs/${brief}/publish?name=a.webm`, { method: 'POST', raw: Buffer.alloc(3_000_000, 1), headers })
  const named = { 'Idempotency-Key': key }
  expect((await send(id, {})).status).toBe(400)
  const both = await Promise.all([send(id, named), send(id, named)])
  expect(both.map(({ status }) => status)).toEqual([202, 202])
  expect((await send(other, named)).json).toMatchObject({ error: { code: 'other-key' } })
  await expect.poll(async () => (await call(app, `/api/briefs/${id}/publish`)).json.publication?.state).toBe('out')
  expect((await send(id, named)).json.publication).toMatchObject({ id: key, state: 'out' })
  expect((await send(id, { 'Idempotency-Key': crypto.randomUUID() })).json).toMatchObject({ error: { code: 'is-out' } })
})

test('a repeat that comes in slowly, while the first one goes out, changes nothing', async ({ app }) => {
  const id = await newBrief(app, READY)
  const key = crypto.randomUUID()
  const publication = async () => (await call(app, `/api/briefs/${id}/publish`)).json.publication
  const slow = request(`${app.url}/api/briefs/${id}/publish?name=a.webm`, {
    method: 'POST',
    headers: { 'Idempotency-Key': key, 'Content-Length': 3_000_000 },
  })
  const answered = new Promise<number>((resolve, reject) => {
    slow.once('response', answer => {
      answer.resume()
      resolve(answer.statusCode!)
    })
    slow.once('error', reject)
  })
  // Half of it is there, and was found to be the first of its key, before the quick one comes.
  await new Promise<void>(resolve => slow.write(Buffer.alloc(1_500_000, 1), () => resolve()))
  await expect.poll(async () => (await readdir(app.data)).some(name => name.startsWith('upload-'))).toBe(true)
  const quick = await call(app, `/api/briefs/${id}/publish?name=a.webm`, {
    method: 'POST',
    raw: Buffer.alloc(3_000_000, 1),
    headers: { 'Idempotency-Key': key },
  })
  expect(quick.status).toBe(202)
  await expect.poll(async () => (await publication())?.state).toBe('out')
  const out = await publication()
  slow.end(Buffer.alloc(1_500_000, 1))
  expect(await answered).toBe(202)
  expect(await publication()).toEqual(out)
})

test('several briefs go out one after the other, each with the file that is named after it', async ({ page, app }) => {
  const clip = await readFile(CLIP)
  const make = (topic: string, more: object = {}) =>
    newBrief(app, { ...READY, topic, title: `How to ${topic}`, fileName: `${topic.replaceAll(' ', '-')}.mp4`, ...more })
  const one = await make('several a first')
  const two = await make('several a second')
  const owed = await make('several not ready', { sheet: { ...SHEET, licence: null } })
  await page.goto('/library')
  await page.getByTestId('publish-several').click()
  const row = (id: string) => page.getByTestId(`row-${id}`)
  await expect(row(one)).toContainText('Name it several-a-first.mp4')
  const chooser = page.waitForEvent('filechooser')
  await page.getByTestId('several-files').click()
  const file = (name: string) => ({ name, mimeType: 'video/webm', buffer: clip })
  await (
    await chooser
  ).setFiles([
    file('Several a first.webm'),
    file('several_a_second.webm'),
    file('several not ready.webm'),
    file('x.webm'),
  ])
  await expect(page.getByText('No brief has this file name: x.webm')).toBeVisible()
  await expect(row(owed)).toContainText('Answer first: Licence.')
  await expect(page.getByTestId('several-publish')).toHaveText('Publish 2')
  await page.getByTestId('several-publish').click()
  await expect(row(one)).toContainText('Out')
  await expect(row(two)).toContainText('Out')
  for (const id of [one, two])
    expect((await call(app, `/api/briefs/${id}/publish`)).json.publication).toMatchObject({ state: 'out' })
  expect((await call(app, `/api/briefs/${owed}/publish`)).json.publication).toBeNull()
  await expect(page.getByTestId('several-publish')).toBeDisabled()
})
