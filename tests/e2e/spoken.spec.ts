import type { Page } from '@playwright/test'
import { call, expect, test } from './app'
import { editor, newBrief, saved } from './onDesk'

const tray = {
  lead: 'how to index a rear derailleur',
  support: ['rear derailleur not shifting', 'derailleur hanger', 'chain wax'],
  setAside: [],
}
const cue = (n: number, from: string, to: string, text: string) =>
  `${n}\n00:00:${from},000 --> 00:00:${to},000\n${text}\n`
const SRT = [
  cue(1, '00', '04', 'Gears skipping? Today you learn how to index a rear derailleur.'),
  cue(2, '04', '08', 'You need one tool, the tool you index gears with.'),
  '3\n00:00:08,000 -> 00:00:09,000\nbroken\n',
  cue(4, '10', '14', 'First look at the derailleur hanger. A bent hanger cannot be indexed at all.'),
  cue(5, '14', '18', 'Hold a ruler to the hanger, and look along the hanger from behind.'),
  cue(6, '18', '22', 'If the hanger is bent, straighten the hanger with a long lever.'),
  cue(7, '24', '28', 'Now the cable. Undo the cable bolt, pull the cable tight, and close the bolt.'),
  cue(8, '28', '33', 'A frayed cable never shifts well. Cut the cable and fit a new cable housing.'),
  cue(9, '34', '40', 'Last the barrel. Rear derailleur not shifting? Turn the barrel a quarter.'),
  cue(10, '40', '46', 'Um, turn the barrel back until the barrel clicks. Thanks for watching!'),
].join('\n')

const file = (text: string, name = 'talk.srt') => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) })
async function openFile(page: Page, given: ReturnType<typeof file>) {
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('captions-open').click()])
  await chooser.setFiles(given)
}

test('captions are read, the wrong cues told; phrases are found where they are spoken', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'Gears', tray })
  await page.goto(`/desk?brief=${id}`)
  const said = page.getByTestId('grid').getByRole('img', { name: `“${tray.lead}” in what is spoken` })
  await expect(said).toHaveCount(1)
  await page.getByTestId('part-spoken').click()
  await expect(page.getByTestId('captions-empty')).toBeVisible()
  await openFile(page, file(SRT))
  await expect(page.getByTestId('cue')).toHaveCount(9)
  await expect(page.getByTestId('notice')).toContainText('9 cues read, 1 not as SRT, UTF-8.')
  await page.getByTestId('captions-faults').click()
  await expect(page.getByTestId('captions-faults')).toContainText('Line 10: The arrow between the times is not -->.')
  await page.getByTestId('side-phrases').click()
  await expect(page.getByTestId('lead-spoken')).toContainText('0:00')
  const rows = page.getByTestId('spoken-row')
  await expect(rows).toHaveCount(4)
  await expect(rows.nth(1)).toContainText('0:34')
  await expect(rows.nth(3)).toContainText('never')
  // From the grid to the cue.
  await page
    .getByTestId('grid')
    .getByRole('button', { name: '“derailleur hanger” in what is spoken: word for word' })
    .click()
  await expect(page.getByTestId('cue').filter({ hasText: 'First look' })).toHaveClass(/shown/u)
  await saved(page)
  await page.reload()
  await expect(page.getByTestId('cue')).toHaveCount(9)
  // Nothing readable: told, and what was there stays.
  await openFile(page, file('1\n00:00:05,000 --> 00:00:02,000\nx\n'))
  await expect(page.getByTestId('captions-problem')).toContainText('No cue could be read. Line 2')
  await openFile(page, { name: 'a.png', mimeType: 'image/png', buffer: Buffer.from([0x89, 0x50, 0x4e, 0x47, 1, 2, 3]) })
  await expect(page.getByTestId('captions-problem')).toContainText('not text')
  await expect(page.getByTestId('cue')).toHaveCount(9)
})

test('cues are edited, split, joined, moved and saved again', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'Gears', tray, fileName: 'gears.mp4' })
  await page.goto(`/desk?brief=${id}&part=spoken`)
  await openFile(page, file(SRT))
  const cues = page.getByTestId('cue')
  await cues.first().locator('.words').click()
  await page.getByTestId('cue-text').fill('Hello there. Gears skipping?')
  await page.getByTestId('cue-text').press('Enter')
  await expect(cues.first()).toContainText('Hello there.')
  await cues.first().locator('.words').click()
  for (let i = 0; i < 'Gears skipping?'.length + 1; i++) await page.keyboard.press('ArrowLeft')
  await cues.first().getByTestId('cue-split').click()
  await expect(cues).toHaveCount(10)
  await expect(cues.first().locator('.words')).toHaveText('Hello there.')
  await cues.first().getByTestId('cue-join').click()
  await expect(cues).toHaveCount(9)
  await page.getByTestId('undo').click()
  await expect(cues).toHaveCount(10)
  await page.getByTestId('timing').click()
  const by = page.getByTestId('shift-by').locator('input')
  await by.fill('soon')
  await page.getByTestId('shift').click()
  await expect(page.getByRole('alert')).toContainText('Enter seconds')
  await by.fill('60')
  await page.getByTestId('shift').click()
  await expect(cues.first().locator('.time')).toHaveValue('1:00')
  await page.getByTestId('cues-find').locator('input').fill('hanger')
  await expect(cues).toHaveCount(3)
  await page.getByTestId('captions-more').click()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('save-srt').click()])
  expect(download.suggestedFilename()).toBe('gears.srt')
})

test('chapters are cut from what is spoken, changed, mended and put into the description', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'Gears', description: 'What you get.\n\n#gears', tray })
  await page.goto(`/desk?brief=${id}&part=spoken`)
  await expect(page.getByTestId('chapters-none')).toBeVisible()
  await openFile(page, file(SRT))
  await page.getByTestId('chapters-cut').click()
  const chapters = page.getByTestId('chapter')
  await expect(chapters).toHaveCount(4)
  await expect(chapters.first().getByTestId('chapter-title')).toHaveValue('How to index a rear derailleur')
  await expect(chapters.nth(1).getByTestId('chapter-title')).toHaveValue('Derailleur hanger')
  await page.getByTestId('chapters-fewer').click()
  await expect(chapters).toHaveCount(3)
  await page.getByTestId('chapters-more').click()
  await expect(chapters).toHaveCount(4)
  await page.getByTestId('chapters-more').click()
  await expect(page.getByTestId('notice')).toContainText('No more chapters of at least 10 seconds fit.')
  // A boundary moves to the next cue with the arrow keys.
  await page.getByTestId('strip-mark').nth(2).press('ArrowRight')
  await expect(chapters.nth(2).locator('input').first()).toHaveValue('0:28')
  await page.getByTestId('strip-mark').nth(2).press('ArrowLeft')
  await chapters.nth(2).getByTestId('chapter-title').fill('The cable')
  await chapters.nth(2).getByTestId('chapter-title').press('Enter')
  await page.getByTestId('chapters-take').click()
  await expect(page.getByTestId('chapters-proposed')).toHaveCount(0)
  await page.getByTestId('part-text').click()
  await expect(editor(page, 'description')).toContainText('0:10 Derailleur hanger')
  await expect(editor(page, 'description')).toContainText('0:24 The cable')
  // Typed into the text, it stands in the table; what is wrong is told and mended.
  await editor(page, 'description').click()
  await page.keyboard.press('Control+Home')
  await page.keyboard.type('0:02 Too soon\n')
  await page.getByTestId('part-spoken').click()
  await expect(chapters).toHaveCount(5)
  await expect(page.getByTestId('chapter-fault').first()).toContainText('begins at 0:02, not at 0:00')
  await page.getByTestId('chapter-mend').first().click()
  await expect(chapters.first().locator('input').first()).toHaveValue('0:00')
  await page.getByTestId('undo').click()
  await expect(chapters.first().locator('input').first()).toHaveValue('0:02')
  await page.getByTestId('chapters-save').click()
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByTestId('chapters-json').click()])
  expect(download.suggestedFilename()).toBe('chapters.json')
})

test('an outline stands in for captions; a clean text, and whether it is true', async ({ page, app }) => {
  const id = await newBrief(app, {
    title: '3 ways to index a rear derailleur with lasers',
    description: '1. a\n2. b',
    tray,
  })
  await page.goto(`/desk?brief=${id}&part=spoken&side=truth`)
  await expect(page.getByTestId('truth-none')).toBeVisible()
  await expect(page.getByTestId('number')).toContainText('The title says 3, but 2 can be counted.')
  await page.getByTestId('to-outline').click()
  await page
    .getByTestId('outline')
    .locator('.cm-content')
    .fill('0:00 Welcome back to the channel.\n0:10 Um, how to index a rear derailleur.\n0:40 Lasers align the hanger.')
  await expect(page.getByTestId('spoken-state')).toContainText('stands in for captions')
  await expect(page.getByTestId('truth-kept').or(page.getByTestId('unsupported').first())).toBeVisible()
  await expect(page.getByTestId('unsupported').filter({ hasText: 'lasers' })).toHaveCount(0)
  await expect(page.getByTestId('unsupported').filter({ hasText: 'ways' })).toHaveCount(1)
  // What stays on purpose is kept with its reason, and listed again when it should not.
  const ways = page.getByTestId('unsupported').filter({ hasText: 'ways' })
  await ways.getByTestId('keep').click()
  await page.getByTestId('keep-reason').fill('shown, not said')
  await page.getByTestId('keep-reason').press('Enter')
  await expect(page.getByTestId('kept')).toContainText('shown, not said')
  await expect(ways).toHaveCount(0)
  await page.getByTestId('unkeep').click()
  await expect(ways).toHaveCount(1)
  await expect(page.getByTestId('copied-free').or(page.getByTestId('copied').first())).toBeVisible()
  await page.getByTestId('side-clean').click()
  await expect(page.getByTestId('clean-text')).toHaveText('How to index a rear derailleur. Lasers align the hanger.')
  await page.getByTestId('clean-fillers').locator('input').click()
  await expect(page.getByTestId('clean-text')).toContainText('Um,')
  await page.getByTestId('side-phrases').click()
  await page.getByTestId('found-run').click()
  await expect(page.getByTestId('found').first()).toBeVisible()
  await page.getByTestId('found-pasted').click()
  await page
    .getByTestId('found-text')
    .locator('textarea')
    .first()
    .fill('My bike chain skips. What bike chain do I need?')
  await page.getByTestId('found-run').click()
  const chain = page.getByTestId('found').filter({ hasText: 'bike chain' }).first()
  await chain.getByTestId('found-add').click()
  await expect(page.getByTestId('grid')).toContainText('bike chain')
})

test('captions of a video of mine come from the site', async ({ page, app }) => {
  const { workspaces } = (await call(app, '/api/workspaces')).json
  const { channelId } = workspaces[0]!
  const { rows } = (await call(app, `/api/channels/${channelId!}`)).json
  const found: string[] = []
  for (const { videoId, title } of rows) {
    const answer = await call(app, `/api/videos/${videoId}/captions`, { method: 'POST', body: { language: 'en' } })
    if (answer.status === 200) found.push(title)
    else expect(answer.json.error.code).toBe('no-captions')
  }
  // Five were written for the demo.
  expect(found.length).toBeGreaterThanOrEqual(5)
  const id = await newBrief(app, { title: 'Gears', tray })
  await page.goto(`/desk?brief=${id}&part=spoken`)
  await page.getByTestId('captions-mine').click()
  await page.getByTestId('captions-video').filter({ hasText: found[0]! }).first().click()
  await expect(page.getByTestId('cue').first()).toBeVisible()
})

test('notes for filming are added, pasted as a list, ticked and brought back', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'A brief to film' })
  await page.goto(`/desk?brief=${id}&part=spoken&side=filming`)
  const filming = page.getByTestId('filming')
  await page.getByTestId('filming-tool').fill('5 mm key')
  await page.getByTestId('filming-tool').press('Enter')
  await expect(filming.getByRole('checkbox', { name: '5 mm key' })).not.toBeChecked()
  await page.getByTestId('filming-shot').evaluate(field => {
    const data = new DataTransfer()
    data.setData('text/plain', '- the hanger, close\n- [x] the whole bike')
    field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, cancelable: true, bubbles: true }))
  })
  await expect(filming.getByRole('checkbox', { name: 'the whole bike' })).toBeChecked()
  await filming.getByRole('checkbox', { name: 'the hanger, close' }).click()
  await expect(filming).toContainText('2 of 3 done.')
  await filming.getByRole('button', { name: 'Remove 5 mm key' }).click()
  await expect(filming).toContainText('2 of 2 done.')
  await page.getByTestId('notice').getByRole('button', { name: 'Undo' }).click()
  await expect(filming).toContainText('2 of 3 done.')
  await page.reload()
  await expect(filming.getByRole('checkbox', { name: 'the hanger, close' })).toBeChecked()
})

/** Some seconds of silence, as a browser can play them. */
function silence(seconds: number): Buffer {
  const rate = 8000
  const sound = Buffer.alloc(44 + rate * seconds, 128)
  sound.write('RIFF', 0)
  sound.writeUInt32LE(36 + rate * seconds, 4)
  sound.write('WAVEfmt ', 8)
  for (const [at, value] of [
    [16, 16],
    [24, rate],
    [28, rate],
    [40, rate * seconds],
  ] as const)
    sound.writeUInt32LE(value, at)
  for (const [at, value] of [
    [20, 1],
    [22, 1],
    [32, 1],
    [34, 8],
  ] as const)
    sound.writeUInt16LE(value, at)
  sound.write('data', 36)
  return sound
}

test('a script is timed by hand beside the video, line by line, and back', async ({ page, app }) => {
  const id = await newBrief(app, { title: 'Gears', tray, captions: 'First line here.\n\nSecond line here.' })
  await page.goto(`/desk?brief=${id}&part=spoken`)
  const [chooser] = await Promise.all([page.waitForEvent('filechooser'), page.getByTestId('film-open').click()])
  await chooser.setFiles({ name: 'film.wav', mimeType: 'audio/wav', buffer: silence(20) })
  await expect(page.getByTestId('length')).toHaveValue('0:20')
  const film = page.locator('video')
  const to = (seconds: number) =>
    film.evaluate((video: HTMLVideoElement, at) => {
      video.currentTime = at
    }, seconds)
  await page.getByTestId('film-time').click()
  await expect(page.getByTestId('film-line')).toHaveText('First line here.')
  await to(2)
  await page.getByTestId('film-begin').click()
  await expect(page.getByTestId('film-line')).toHaveText('Second line here.')
  // A line cannot begin before the one above it.
  await to(1)
  await page.getByTestId('film-begin').click()
  await expect(page.getByRole('alert')).toContainText('Play on first')
  await to(9)
  await page.getByRole('button', { name: 'One back' }).click()
  await expect(page.getByTestId('film-line')).toHaveText('First line here.')
  await page.getByTestId('film-begin').click()
  await to(12)
  await page.getByTestId('film-begin').click()
  await expect(page.getByTestId('notice')).toContainText('Every line has its time.')
  await saved(page)
  const { captions } = (await call(app, `/api/briefs/${id}`)).json.fields
  expect(captions).toMatch(/00:00:09\.\d+ --> 00:00:12\.\d+\nFirst line here\.\n\n00:00:12\.\d+ --> /u)
})
