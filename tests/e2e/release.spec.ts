import { readFile } from 'node:fs/promises'
import { call, expect, test } from './app'
import { fieldsOf, newBrief, saved } from './onDesk'

const ANSWERS = {
  visibility: 'public',
  madeForChildren: null,
  ageLimit: null,
  paidPromotion: null,
  category: null,
  recordedOn: null,
  recordedIn: null,
  licence: null,
  embedding: null,
  comments: null,
  ratingsShown: null,
  notifySubscribers: null,
  premiere: null,
  monetised: null,
  adverts: null,
  automaticCaptions: null,
}
const TEXTS = {
  topic: 'Release',
  title: 'How to true a wheel',
  description: 'True a wheel in ten minutes.',
  tags: ['true a wheel'],
  tray: { lead: 'true a wheel', support: [], setAside: [] },
}

test('the sheet: what is seen, what is answered, what is usual; a reload keeps all of it', async ({ page, app }) => {
  for (const topic of ['One before', 'Another before'])
    await newBrief(app, { topic, sheet: { ...ANSWERS, licence: 'standard', comments: 'open', paidPromotion: false } })
  const id = await newBrief(app, { ...TEXTS, sheet: ANSWERS, fileName: 'IMG_1.mp4' })
  await page.goto(`/release?brief=${id}`)
  const point = (name: string) => page.getByTestId(`point-${name}`)
  const state = (name: string, is: string) => expect(point(name)).toHaveAttribute('data-state', is)
  await state('title', 'done')
  await state('file', 'open')
  await state('captions', 'open')
  await state('visibility', 'done')
  await state('embedding', 'unanswered')
  // No is an answer; chosen again it is taken back.
  await page.getByTestId('answer-embedding-false').click()
  await state('embedding', 'done')
  await page.getByTestId('answer-embedding-false').click()
  await state('embedding', 'unanswered')
  await page.getByTestId('answer-embedding-true').click()
  // What is usual is offered, taken in one go, and given back.
  await expect(page.getByTestId('usual-licence')).toHaveText(/Usually Standard/u)
  await page.getByTestId('take-usual').click()
  await state('licence', 'done')
  await state('paidPromotion', 'done')
  await page.getByRole('button', { name: 'Undo' }).click()
  await state('licence', 'unanswered')
  await state('embedding', 'done')
  await page.getByTestId('usual-licence').click()
  await state('licence', 'done')
  // An answer in words, and one that is left out.
  await page.getByTestId('answer-recordedIn').locator('input').fill('Marrowby')
  await page.getByTestId('answer-recordedIn').locator('input').press('Enter')
  await state('recordedIn', 'done')
  await page.getByTestId('left-out-recordedOn').click()
  await state('recordedOn', 'done')
  await page.getByTestId('tick-watched-to-the-end').check()
  await saved(page)
  await page.reload()
  await state('recordedIn', 'done')
  await state('watched-to-the-end', 'done')
  expect((await fieldsOf(app, id)).sheet).toMatchObject({
    embedding: true,
    licence: 'standard',
    recordedIn: 'Marrowby',
    recordedOn: '',
    comments: null,
  })
  // The same is told to programs.
  const { json } = await call(app, `/api/briefs/${id}/readiness`)
  expect(json.points.find((each: { id: string }) => each.id === 'recordedIn')).toMatchObject({ state: 'done' })
  await expect(page.getByTestId('release-told')).toContainText('not answered')
})

test('the hour is of the channel’s clock; one that is over or too near says so', async ({ page, app }) => {
  const { workspaces } = (await call(app, '/api/workspaces')).json
  const id = await newBrief(app, { ...TEXTS, seconds: 300 })
  await page.goto(`/release?brief=${id}`)
  const hour = page.getByTestId('point-hour')
  await expect(hour).toHaveAttribute('data-state', 'unanswered')
  await page.getByTestId('release-date').locator('input').fill('2031-07-01')
  await page.getByTestId('release-time').locator('input').fill('18:30')
  await expect(hour).toHaveAttribute('data-state', 'done')
  await expect(hour).toContainText('Tue 1 Jul 2031, 18:30. Have it uploaded by Tue 1 Jul 2031, 18:15.')
  await saved(page)
  const zone = workspaces[0]!.timeZone === 'Europe/London' ? 17 : 18
  expect((await fieldsOf(app, id)).releaseAt).toBe(Date.UTC(2031, 6, 1, zone, 30))
  await page.getByTestId('release-date').locator('input').fill('2020-07-01')
  await expect(hour).toHaveAttribute('data-state', 'open')
  await expect(hour).toContainText('is over')
  await page.getByTestId('release-now').click()
  await expect(hour).toHaveAttribute('data-state', 'done')
})

test('a video that is not meant for search is asked for nothing search-like', async ({ page, app }) => {
  const id = await newBrief(app, TEXTS)
  await page.goto(`/release?brief=${id}`)
  await page.getByTestId('for-search').locator('input').uncheck()
  await expect(page.getByTestId('point-file')).toHaveAttribute('data-state', 'n/a')
  await saved(page)
  await page.goto(`/desk?brief=${id}&side=points`)
  await expect(page.getByTestId('not-for-search')).toBeVisible()
  await expect(page.getByTestId('check-title-lead')).toHaveAttribute('data-state', 'n/a')
  await page.getByRole('link', { name: 'Change it on Release' }).click()
  await page.getByTestId('for-search').locator('input').check()
  await expect(page.getByTestId('point-file')).toHaveAttribute('data-state', 'open')
})

test('the checklist: a point switched off, one of its own, moved, kept as a file and read again', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, TEXTS)
  await page.goto(`/release?brief=${id}`)
  await page.getByTestId('checklist').click()
  await page.getByTestId('row-hashtags').getByRole('checkbox').uncheck()
  await page.getByTestId('add-point').click()
  await page.keyboard.type('Ask Ina')
  await page.getByTestId('row-captions').getByRole('checkbox').focus()
  for (let i = 0; i < 8; i++) await page.keyboard.press('Alt+ArrowUp')
  const waiting = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a file' }).click()
  const file = await (await waiting).path()
  await page.getByTestId('save-checklist').click()
  await expect(page.getByTestId('point-hashtags')).toBeHidden()
  await expect(page.getByTestId('group-seen').getByRole('listitem').first()).toContainText('Captions')
  await expect(page.getByTestId('group-own')).toContainText('Ask Ina')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('point-hashtags')).toBeVisible()
  await page.getByTestId('checklist').click()
  const choosing = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Open a file' }).click()
  await (await choosing).setFiles(file)
  await expect(page.getByTestId('row-hashtags').getByRole('checkbox')).not.toBeChecked()
  const again = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Open a file' }).click()
  await (await again).setFiles({ name: 'a.json', mimeType: 'application/json', buffer: Buffer.from('{"format":2}') })
  await expect(page.getByRole('alert')).toContainText('This is not a checklist of a format that is known')
  await page.getByRole('button', { name: 'Cancel' }).click()
})

test('handing over by key: each text is copied and ticked, and one that changes after is told', async ({
  page,
  app,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  const id = await newBrief(app, { ...TEXTS, fileName: 'true-a-wheel.mp4', sheet: ANSWERS })
  await page.goto(`/release?brief=${id}&part=hand-over`)
  const step = (name: string) => page.getByTestId(`step-${name}`)
  await expect(step('fileName')).toHaveAttribute('data-state', 'left')
  for (const [name, text] of [
    ['fileName', 'true-a-wheel.mp4'],
    ['title', 'How to true a wheel'],
    ['description', 'True a wheel in ten minutes.'],
    ['tags', 'true a wheel'],
  ] as const) {
    await page.keyboard.press('c')
    await expect(step(name)).toHaveAttribute('data-state', 'done')
    expect(await page.evaluate(() => navigator.clipboard.readText())).toBe(text)
  }
  await page.keyboard.press('c')
  await expect(step('visibility')).toHaveAttribute('data-state', 'done')
  await expect(page.getByRole('heading', { name: 'All handed over' })).toBeVisible()
  await expect(page.getByTestId('release-told')).toContainText('handed over')
  await saved(page)
  const { revisions } = (await call(app, `/api/briefs/${id}`)).json
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: {
      editId: crypto.randomUUID(),
      fields: { title: { revision: revisions.title, value: 'How to true a wheel at home' } },
    },
  })
  await expect(step('title')).toHaveAttribute('data-state', 'changed')
  await expect(step('title')).toContainText('Changed since it was handed over.')
  const address = page.getByTestId('video-address').locator('input')
  await address.fill('videos.example/a')
  await address.press('Enter')
  await expect(page.getByText('An address begins with https://')).toBeVisible()
  await address.fill('https://videos.example/a')
  await address.press('Enter')
  await expect(page.getByTestId('release-told')).toContainText('out')
})

test('a package is opened in the Library: it shows what differs, and a brief that is not there is taken whole', async ({
  page,
  app,
}) => {
  const id = await newBrief(app, { ...TEXTS, topic: 'In a package' })
  await page.goto(`/release?brief=${id}&part=hand-over`)
  const saving = page.waitForEvent('download')
  await page.getByTestId('package').click()
  const file = await (await saving).path()
  const bytes = await readFile(file)
  const { revisions } = (await call(app, `/api/briefs/${id}`)).json
  await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: crypto.randomUUID(), fields: { title: { revision: revisions.title, value: 'Another title' } } },
  })
  await page.goto('/library')
  const choosing = page.waitForEvent('filechooser')
  await page.getByRole('button', { name: 'Open a file' }).click()
  await (await choosing).setFiles({ name: 'wheel.zip', mimeType: 'application/zip', buffer: bytes })
  await expect(page.getByRole('dialog')).toContainText('Another title')
  await expect(page.getByRole('dialog')).toContainText('How to true a wheel')
  // Programs send it: refused while the brief is there, taken once it is gone for good.
  const send = async (body: Uint8Array) => {
    const answer = await fetch(`${app.url}/api/import/package`, { method: 'POST', body: new Blob([body as BlobPart]) })
    return { status: answer.status, json: (await answer.json()) as { briefId?: string; error?: { code: string } } }
  }
  expect(await send(bytes)).toMatchObject({ status: 409, json: { error: { code: 'brief-is-here' } } })
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
  await call(app, `/api/briefs/${id}?forever=1`, { method: 'DELETE' })
  expect(await send(bytes)).toMatchObject({ status: 201, json: { briefId: id } })
  expect(await fieldsOf(app, id)).toMatchObject({ title: 'How to true a wheel', tray: { lead: 'true a wheel' } })
  expect(await send(Buffer.from('PK nothing'))).toMatchObject({ status: 422, json: { error: { code: 'unreadable' } } })
})
