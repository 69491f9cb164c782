import { readFileSync } from 'node:fs'
import iconv from 'iconv-lite'
import { call, expect, startApp, test, type RunningApp } from './app'
import { tabTo } from './keys'
import { editor, fieldsOf, newBrief } from './onDesk'
import { openId, Walk } from './walk'

/** The whole job with files of one's own. How many actions each may take is said in docs/walks.md. */

const csv = (name: string, text: string | Buffer) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })

test('old videos: two hundred of two files, what is at stake first, five mended and saved', async ({ page }) => {
  const walk = new Walk(page)
  const things = ['bike chain', 'rear derailleur', 'bike brakes', 'bottom bracket', 'bike wheel']
  const videos = Array.from({ length: 200 }, (_, i) => ({
    id: `old-${i}`,
    title: `How to clean a ${things[i % 5]!}, part ${i}`,
    tags: i % 3 ? '' : `${things[i % 5]!}, repair`,
  }))
  const table = videos.slice(0, 120).map(({ id, title, tags }) => `${id},"${title}","A short film.","${tags}"`)
  const items = videos
    .slice(120)
    .map(({ id, title }) => `<item><title>${title}</title><link>https://v.example/${id}</link></item>`)
  await page.goto('/library?tab=texts')
  await walk.file(
    'texts-file',
    csv('old.csv', `id,title,description,tags\n${table.join('\n')}`),
    csv(
      'old.xml',
      `<?xml version="1.0"?><rss version="2.0"><channel><title>Old</title>${items.join('')}</channel></rss>`,
    ),
  )
  await expect(page.getByTestId('texts-told')).toContainText('200 texts from old.csv, old.xml')
  const cells = page.getByTestId('texts-table')
  await walk.click(cells.getByText('At stake'))
  await walk.click(cells.getByText('At stake'))
  await expect(cells.locator('tbody tr').nth(1)).toContainText(/K/u)
  for (let i = 0; i < 5; i++) await walk.check(cells.locator('tbody tr').getByRole('checkbox').nth(i))
  await walk.choose(page.getByTestId('texts-check').getByRole('combobox'), /^Lead phrase at the start/u)
  await walk.click('texts-propose')
  await expect(page.getByTestId('changes')).toContainText('5 texts would change')
  await walk.click('changes-apply')
  await expect(page.getByTestId('notice')).toContainText('5 texts changed.')
  await walk.click(page.getByRole('button', { name: 'Save' }))
  const download = page.waitForEvent('download')
  await walk.click('texts-csv')
  expect(
    readFileSync(await (await download).path(), 'utf8')
      .trim()
      .split('\n').length,
  ).toBeGreaterThan(200)
  walk.atMost(20)
})

test.describe('own data alone', () => {
  let app: RunningApp
  test.beforeAll(async () => {
    app = await startApp({ from: 'empty' })
  })
  test.afterAll(() => app.close())

  test('a list and result pages in another language, no service asked', async ({ page }) => {
    const walk = new Walk(page)
    await page.goto(`${app.url}/library?tab=channels`)
    await walk.click(page.getByTestId('region').getByRole('combobox'), true)
    await walk.type('germ')
    await walk.press('Enter')
    await expect(page.getByTestId('notice')).toContainText('Saved')
    await walk.click(page.getByTestId('language').getByRole('combobox'), true)
    await walk.type('germ')
    await walk.press('Enter')
    await expect(page.getByTestId('notice')).toContainText('New briefs are in this language')
    await walk.click(page.getByText('Sources', { exact: true }))
    await walk.click('service-none')
    await expect(page.getByTestId('services-in-use')).toContainText('None is asked')
    await walk.click(page.getByRole('button', { name: /Import pages/u }))
    await page.getByTestId('pages').locator('input[type=file]').setInputFiles(csv('seiten.csv', PAGES))
    await walk.click(page.getByTestId('pages').getByRole('button', { name: 'Import' }))
    await expect(page.getByTestId('pages')).toContainText('1 result page')
    await walk.press('Escape')
    await walk.area('Demand')
    await walk.click('import-open')
    await page.getByTestId('import-file').locator('input').setInputFiles(csv('begriffe.csv', LIST))
    await walk.click('import-send')
    await expect(page.getByTestId('import-answer')).toContainText('searches a month from “Suchanfragen pro Monat”')
    await walk.press('Escape')
    await walk.newBrief('fahrradkette')
    const rows = page.getByTestId('phrase-row')
    await expect(rows).toHaveCount(3)
    await expect(rows.first()).toContainText('3,600')
    await expect(page.getByTestId('demand-status')).not.toContainText('Missing')
    await walk.click(page.getByTestId('lacks-trend').getByRole('button'))
    await expect(rows.filter({ hasText: 'reinigen' }).locator('.worth')).toHaveText(/^\d+$/u)
    // Unknown stays unknown.
    await expect(rows.filter({ hasText: 'wechseln' }).locator('.worth')).toHaveCount(0)
    await walk.gather(['fahrradkette reinigen', 'fahrradkette ölen'], 'fahrradkette reinigen')
    await walk.area('Rivals')
    await expect(page.getByText('So reinigst du deine Kette')).toBeVisible()
    await walk.area('Desk')
    await walk.click(editor(page, 'title'))
    await walk.click('idea-use')
    await walk.saved()
    const { language, title } = await fieldsOf(app, openId(walk))
    expect(language).toBe('de')
    expect(title.toLowerCase()).toContain('fahrradkette reinigen')
    for (const area of ['Demand', 'Rivals', 'Desk', 'Library']) {
      await walk.area(area)
      await expect(page.getByRole('alert')).toHaveCount(0)
    }
    walk.atMost(45)
  })
})

const LIST = iconv.encode(
  'Suchbegriff;Suchanfragen pro Monat;Wettbewerb\r\nfahrradkette reinigen;2.400;0,31\r\nfahrradkette ölen;1.900,5;0,22\r\nfahrradkette wechseln;3.600;0,41\r\n',
  'utf16le',
  { addBOM: true },
)
const PAGES = `phrase;rank;id;title;channel;subscribers;views;published
fahrradkette reinigen;1;v1;Fahrradkette reinigen wie ein Profi;Radlabor Nord;18200;240000;2025-03-02
fahrradkette reinigen;2;v2;So reinigst du deine Kette;Kettenwerk;5200;91000;2024-06-11
`

test.describe('assistant, in the dark and by keys alone', () => {
  test.use({ colorScheme: 'dark' })
  test('a brief goes out as a file, comes back changed, and is taken field by field', async ({ page, app }) => {
    const tray = { lead: 'index gears', support: ['bike gears'], setAside: [] }
    const fields = { topic: 'Sent away', title: 'Index gears', description: 'One tool.', tags: ['gears'], tray }
    const id = await newBrief(app, fields)
    const sent = await fetch(`${app.url}/api/briefs/${id}/export?format=json`).then(answer => answer.text())
    // On another machine it is a brief under the same id.
    const other = await startApp({ from: 'empty' })
    const walk = new Walk(page)
    await page.goto(`${other.url}/library`)
    const open = page.getByTestId('brief-open')
    // Listening for what asks for a file takes a moment.
    const chosen = page.waitForEvent('filechooser')
    await tabTo(page, open)
    await walk.press('Enter')
    await (await chosen).setFiles({ name: 'brief.json', mimeType: 'application/json', buffer: Buffer.from(sent) })
    await tabTo(page, page.getByTestId('returned-add'))
    await walk.press('Enter')
    await expect(page).toHaveURL(new RegExp(`desk\\?brief=${id}`, 'u'))
    await tabTo(page, editor(page, 'title'))
    await walk.press('End')
    await walk.type(' in ten minutes')
    await tabTo(page, editor(page, 'description'))
    await walk.press('End')
    await walk.type(' No guessing.')
    await walk.saved()
    const back = await fetch(`${other.url}/api/briefs/${id}/export?format=json`).then(answer => answer.text())
    // The owner wrote on meanwhile.
    const { revisions } = (await call(app, `/api/briefs/${id}`)).json
    const description = { revision: revisions.description, value: 'One tool, and a cloth.' }
    await call(app, `/api/briefs/${id}`, {
      method: 'PATCH',
      body: { editId: crypto.randomUUID(), fields: { description } },
    })
    await page.goto(`${app.url}/library`)
    const again = page.waitForEvent('filechooser')
    await tabTo(page, open)
    await walk.press('Enter')
    await (await again).setFiles({ name: 'brief.json', mimeType: 'application/json', buffer: Buffer.from(back) })
    const returned = page.getByTestId('returned')
    await expect(returned.getByTestId('returned-title').locator('ins')).toContainText('in ten minutes')
    await expect(returned.getByTestId('returned-description')).toContainText('You changed it too since it was sent')
    await expect(returned.getByTestId('returned-tags')).toHaveCount(0)
    // What another window writes meanwhile is not written over.
    await call(app, `/api/briefs/${id}`, {
      method: 'PATCH',
      body: { editId: crypto.randomUUID(), fields: { title: { revision: revisions.title, value: 'Gears' } } },
    })
    await tabTo(page, page.getByTestId('returned-take'))
    await walk.press('Enter')
    await expect(page.getByTestId('notice')).toContainText('changed in another window')
    await expect(returned.getByTestId('returned-title').locator('del')).toContainText('Gears')
    await expect(page.getByTestId('returned-take')).toBeDisabled()
    await tabTo(page, returned.getByTestId('returned-title').getByRole('checkbox'))
    await walk.press('Space')
    await tabTo(page, page.getByTestId('returned-take'))
    await walk.press('Enter')
    await expect(page.getByTestId('notice')).toContainText('1 change taken into “Sent away”')
    expect(await fieldsOf(app, id)).toMatchObject({
      title: 'Index gears in ten minutes',
      description: 'One tool, and a cloth.',
    })
    await page.close()
    await other.close()
  })
})

test('a brief of a file is added with its texts in other languages, and taken back; a file that is none is told', async ({
  page,
  app,
}) => {
  const id = crypto.randomUUID()
  const german = { language: 'de', region: 'DE', title: 'Leise Bremsen', description: '', tags: [], phrases: [] }
  const head = { format: 1, kind: 'fonetra-brief', id, createdAt: '2026-01-01T10:00:00Z' }
  const open = async (text: string) => {
    const chosen = page.waitForEvent('filechooser')
    await page.getByTestId('brief-open').click()
    await (await chosen).setFiles({ name: 'brief.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  }
  await page.goto('/library')
  await open('{"format": 1, "kind": "fonetra-list"}')
  await expect(page.getByTestId('returned-problem')).toContainText('Line 1, kind: This is not a file of a brief.')
  await page.keyboard.press('Escape')
  await open(JSON.stringify({ ...head, topic: 'Quiet brakes', localised: [german] }))
  await page.getByTestId('returned-add').click()
  await expect(page.getByTestId('notice')).toContainText('“Quiet brakes” added.')
  const items = async () => (await call(app, `/api/briefs/${id}/items?kind=localised`)).json.items
  expect(await items()).toMatchObject([{ value: german }])
  await page.getByTestId('undo').click()
  await expect.poll(async () => (await call(app, `/api/briefs/${id}`)).json.deletedAt).not.toBeNull()
})
