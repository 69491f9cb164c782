import { call, expect, test, type RunningApp } from './app'
import { editor, field, fieldsOf as read, newBrief, saved } from './onDesk'

const tray = { lead: 'how to index a rear derailleur', support: ['rear derailleur not shifting'], setAside: [] }
const brief = (app: RunningApp, fields: object) => newBrief(app, { tray, ...fields })

test('the rack tells of each tag, sorts, moves and packs them, and suggests more with reasons', async ({
  page,
  app,
}) => {
  const id = await brief(app, {
    title: 'How to index a rear derailleur',
    description: 'You will index a rear derailleur.',
    tags: ['zebra crossing', 'rear derailleur', tray.lead],
  })
  await page.goto(`/desk?brief=${id}&side=tags`)
  const rows = page.getByTestId('rack-row')
  await expect(rows).toHaveCount(3)
  await expect(rows.nth(2).getByTitle('lead phrase')).toHaveText('lead')
  await expect(rows.first().getByRole('img', { name: 'the text does not mention it' })).toBeVisible()
  // By hand, with the keyboard alone.
  await rows.nth(2).getByTestId('rack-grip').press('ArrowUp')
  await expect(rows.nth(1)).toContainText(tray.lead)
  await expect(rows.nth(1).getByTestId('rack-grip')).toBeFocused()
  await page.getByRole('button', { name: 'Searches' }).click()
  await expect(rows.first()).toContainText('rear derailleur')

  const suggestions = page.getByTestId('tag-suggestion')
  await expect(suggestions.first()).toContainText(/People search for it|In your tray|results/u)
  await page.getByTestId('tag-suggestion-add').first().click()
  await expect(rows).toHaveCount(4)

  // What is pinned stays, though nothing speaks for it; what is packed is taken whole, and taken back.
  await page.getByRole('button', { name: 'Packing keeps zebra crossing' }).click()
  await page.getByTestId('pack').click()
  const packed = page.getByTestId('packed')
  await expect(packed.locator('ins').first()).toBeVisible()
  await expect(packed.locator('del').filter({ hasText: 'zebra' })).toHaveCount(0)
  await page.keyboard.press('Escape')
  await expect(packed).toHaveCount(0)
  await page.getByTestId('pack').click()
  await page.getByTestId('packed-take').click()
  await expect(rows.first()).toContainText(tray.lead)
  const used = Number((await page.getByTestId('tags-count').innerText()).split('/')[0])
  expect(used).toBeGreaterThan(400)
  expect(used).toBeLessThanOrEqual(500)
  await page.getByTestId('undo').click()
  await expect(rows).toHaveCount(4)

  await field(page, 'tag-list-name').fill('Gears')
  await page.getByTestId('tag-list-save').click()
  await expect(page.getByTestId('tag-list')).toContainText('4 tags')
  await page.getByTestId('tag-more').click()
  await page.getByTestId('tags-clear').click()
  await expect(rows).toHaveCount(0)
  await page.getByTestId('tag-list-add').click()
  await expect(rows).toHaveCount(4)
})

test('hashtags are suggested, and one that is added fills its place in the grid', async ({ page, app }) => {
  const id = await brief(app, { title: 'Gears', description: 'Gears.' })
  await page.goto(`/desk?brief=${id}&side=tags`)
  await page.getByTestId('hashtag-add').first().click()
  await expect(editor(page, 'description')).toContainText('#indexRearDerailleur')
  await expect(
    page.getByTestId('grid').getByRole('button', { name: `“${tray.lead}” in the hashtags: in order` }),
  ).toBeVisible()
})

test('a block is placed live, follows its change in the briefs chosen, and is missed where it belongs', async ({
  page,
  app,
}) => {
  const [first, second] = [
    await brief(app, { topic: 'First', title: 'One' }),
    await brief(app, { topic: 'Second', title: 'Two' }),
  ]
  await page.goto(`/desk?brief=${first}&side=blocks`)
  await page.getByTestId('block-new').click()
  await field(page, 'block-name').fill('Shop')
  await field(page, 'block-text').fill('Visit {shop} {title}')
  await page.getByText('Belongs in every description').click()
  await page.getByTestId('block-save').click()
  await page.getByText('Variables', { exact: true }).click()
  await field(page, 'variables').fill('shop: https://wheelshed.example')
  await field(page, 'variables').blur()
  await expect(page.getByTestId('block')).toContainText('Visit https://wheelshed.example One')
  await page.getByTestId('block-live').click()
  await expect(page.getByTestId('block')).toContainText('in this description, live')
  await saved(page)
  // Its title is another one by now: the ledger fills the block in anew.
  await editor(page, 'title').click()
  await page.keyboard.type('Ten and ')
  await expect(page.getByTestId('block')).toContainText('with an earlier title')
  await page.getByTestId('side-points').click()
  const lines = page.getByTestId('check-standing-lines')
  await expect(lines).toHaveAttribute('data-state', 'partly')
  await lines.getByTestId('fix').click()
  await expect(lines).toHaveAttribute('data-state', 'met')
  await page.getByTestId('undo').click()
  await page.getByTestId('side-blocks').click()
  await page.getByTestId('block-refill').click()
  await expect(editor(page, 'description')).toHaveText(/^Visit https:\/\/wheelshed\.example .*Ten and.*$/u)
  await editor(page, 'title').fill('One')
  await page.getByTestId('block-refill').click()
  await expect(page.getByTestId('block')).toContainText('in this description, live')
  await saved(page)
  // The other brief lacks what belongs in every one.
  await page.goto(`/desk?brief=${second}`)
  await expect(page.getByTestId('check-standing-lines')).toHaveAttribute('data-state', 'missing')
  await page.getByTestId('check-standing-lines').getByTestId('fix').click()
  await expect(page.getByTestId('check-standing-lines')).toHaveAttribute('data-state', 'met')
  await saved(page)

  await page.goto(`/desk?brief=${second}&side=blocks`)
  await page.getByTestId('block-change').click()
  await expect(page.getByTestId('block-use')).toHaveCount(2)
  await field(page, 'block-text').fill('Come to {shop}')
  await page.getByTestId('block-save').click()
  await expect(page.getByTestId('notice')).toContainText('Block “Shop” saved, and changed in 1 description.')
  await expect.poll(async () => (await read(app, first)).description).toBe('Come to https://wheelshed.example')
  await page.getByTestId('undo').click()
  await expect.poll(async () => (await read(app, first)).description).toBe('Visit https://wheelshed.example One')

  // An open text follows too, and can be typed in further.
  await page.goto(`/desk?brief=${first}&side=blocks`)
  await page.getByTestId('block-change').click()
  await expect(page.getByTestId('block-use').first()).toBeVisible()
  await field(page, 'block-text').fill('See {shop}')
  await page.getByTestId('block-save').click()
  await expect(editor(page, 'description')).toHaveText('See https://wheelshed.example')
  await editor(page, 'description').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' soon')
  await saved(page)
  expect((await read(app, first)).description).toBe('See https://wheelshed.example soon')
})

test('my video stands among the results as each surface shows it, and follows the typing', async ({ page, app }) => {
  const id = await brief(app, { title: 'Gears', description: 'You will see it.' })
  await page.goto(`/desk?brief=${id}&side=seen`)
  const mine = page.getByTestId('seen-mine')
  await expect(page.getByTestId('seen-rival').first()).toBeVisible()
  await expect(page.getByTestId('seen-place')).toContainText('likely ranks')
  await expect(mine).toContainText('You will see it.')
  await editor(page, 'title').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' and one tool, at home, in ten minutes, without a stand and without any help')
  await expect(mine.locator('.title')).toHaveText(/^Gears and one tool.*…$/u)
  await page.getByTestId('surface-watch').click()
  await expect(mine.locator('.title')).toHaveText(/without any help$/u)
  await page.getByTestId('surface-phone').click()
  await expect(mine).not.toContainText('You will see it.')
  await page.getByTestId('surface-list').click()
  const before = await page
    .getByTestId('seen-list')
    .locator('li')
    .evaluateAll(list => list.findIndex(each => each.classList.contains('mine')))
  await page.getByTestId('seen-grip').press('ArrowUp')
  await expect(page.getByTestId('seen-place')).toHaveText(`Place ${before}, where you put it.`)
  // What a rival wrote is there to be read, and a tag of it to be taken.
  await page.getByTestId('seen-open').first().click()
  await expect(page.getByTestId('seen-full')).toBeVisible()
})

test('a version is kept, compared check by check, and brought back', async ({ page, app }) => {
  const id = await brief(app, { title: 'Gears', description: 'You will see it.', tags: ['gears'] })
  await page.goto(`/desk?brief=${id}&side=versions`)
  await field(page, 'version-name').fill('First')
  await page.getByTestId('version-keep').click()
  await expect(page.getByTestId('version')).toHaveCount(1)
  await editor(page, 'title').click()
  await page.keyboard.press('Control+A')
  await page.keyboard.type('How to index a rear derailleur')
  await page.getByTestId('version-compare').click()
  const compared = page.getByTestId('version-compared')
  await expect(compared.locator('tr').filter({ hasText: 'Lead phrase in the title' })).toContainText('+')
  await expect(compared.locator('ins').first()).toContainText('index')
  await page.getByTestId('version-restore').click()
  await expect(editor(page, 'title')).toHaveText('Gears')
  await page.getByTestId('undo').click()
  await expect(editor(page, 'title')).toHaveText('How to index a rear derailleur')
})

test('a proposal is taken and left piece by piece in the text itself, with keys', async ({ page, app }) => {
  const id = await brief(app, { title: 'How to index a rear derailleur', description: 'Mine.', tags: [] })
  await page.goto(`/desk?brief=${id}`)
  await page.getByTestId('cover').click()
  const proposed = page.getByTestId('proposed-description')
  const lines = proposed.locator('.cm-content')
  await expect(lines).toContainText('rear derailleur not shifting')
  // Left: the text stays, and nothing is proposed there any more.
  await lines.focus()
  await page.keyboard.press('Alt+ArrowDown')
  await page.keyboard.press('Delete')
  await expect(proposed).toHaveCount(0)
  await expect(editor(page, 'description')).toHaveText('Mine.')
  // Once more, with the keys of the editor.
  await page.getByTestId('cover').click()
  await lines.focus()
  await page.keyboard.press('Alt+ArrowDown')
  await page.keyboard.type('typed')
  await page.keyboard.press('Escape')
  await expect(proposed).toHaveCount(0)
  await expect(editor(page, 'description')).toHaveText('Mine.')
  // The only piece has no buttons of its own: the bar's do.
  await page.getByTestId('cover').click()
  await expect(proposed.getByTestId('proposal-reject')).toBeHidden()
  await proposed.getByTestId('proposed-drop').press('Enter')
  await expect(proposed).toHaveCount(0)
  await page.getByTestId('cover').click()
  await lines.focus()
  await page.keyboard.press('Control+Enter')
  await expect(editor(page, 'description')).toContainText('rear derailleur not shifting')
  await page.getByTestId('undo').click()
  await expect(editor(page, 'description')).toHaveText('Mine.')
})

test('every phrase is put in its place, piece by piece or at once; enough is enough', async ({ page, app }) => {
  const id = await brief(app, { title: '', description: '', tags: [] })
  await page.goto(`/desk?brief=${id}`)
  await page.getByTestId('cover').click()
  const pieces = page.getByTestId('cover-piece')
  await expect(pieces).toHaveCount(3)
  await pieces.first().click()
  await expect(editor(page, 'title')).toHaveText('How to index a rear derailleur')
  await expect(pieces).toHaveCount(2)
  await page.getByTestId('cover-take').click()
  await expect(editor(page, 'description')).toContainText('rear derailleur not shifting')
  await expect(page.getByTestId('tag').first()).toContainText(tray.lead)
  await page.getByTestId('target').fill('abc')
  await page.getByTestId('target').press('Enter')
  await expect(page.getByTestId('notice')).toContainText('Enter a number from 0 to 100')
  await page.getByTestId('target').fill('10')
  await page.getByTestId('target').press('Enter')
  await expect(page.getByTestId('enough')).toContainText('of your 10 %')
  await page.reload()
  await expect(page.getByTestId('enough')).toBeVisible()
  await page.getByTestId('target').fill('')
  await page.getByTestId('target').press('Enter')
  await expect(page.getByTestId('enough')).toHaveCount(0)
})

test('a whole series is composed in one go, each in its own words; what is written stays', async ({ page, app }) => {
  const pattern = await brief(app, { topic: 'Repair', tray: { lead: 'bike repair', support: [], setAside: [] } })
  const { briefs } = (
    await call(app, '/api/briefs/series', {
      method: 'POST',
      body: { pattern, places: ['Marrowby', 'Larkfield', 'Stonegill'] },
    })
  ).json
  const [first, second, third] = briefs.map(each => each.id) as [string, string, string]
  const description = { revision: briefs[2]!.revisions.description, value: 'My own words.' }
  await call(app, `/api/briefs/${third}`, {
    method: 'PATCH',
    body: { editId: crypto.randomUUID(), fields: { description } },
  })
  await page.goto(`/desk?brief=${first}&side=compose`)
  await field(page, 'benefits').fill('We come to you')
  await page.getByTestId('series-compose').click()
  await expect(page.getByTestId('notice')).toContainText('3 briefs composed.')
  await expect(editor(page, 'description')).toContainText('Marrowby')
  expect((await read(app, second)).description).toContain('Larkfield')
  expect((await read(app, second)).description).not.toContain('Marrowby')
  const written = await read(app, third)
  expect(written.description).toBe('My own words.')
  expect(written.title).toContain('Stonegill')
  expect(written.tags[0]).toBe('bike repair stonegill')
  expect(written.fileName).toBe('bike-repair-stonegill.mp4')
  await page.getByTestId('series-compose').click()
  await expect(page.getByTestId('notice')).toContainText('0 briefs composed; 3 left as they are')
})

test('from phrases alone to over 90 % of Balanced in at most 40 actions', async ({ page, app }) => {
  const id = await brief(app, {
    topic: 'From nothing',
    tray: { ...tray, support: ['rear derailleur not shifting', 'adjust rear derailleur', 'derailleur hanger'] },
  })
  await page.goto(`/desk?brief=${id}&side=bench`)
  let actions = 0
  const click = async (name: string) => {
    await page.getByTestId(name).first().click()
    actions++
  }
  const type = async (name: string, text: string) => {
    await field(page, name).fill(text)
    actions++
  }
  await click('ideas')
  await click('idea-use')
  await click('side-compose')
  await type(
    'benefits',
    'You need one tool and ten minutes\nThe hanger comes first, since a bent one cannot be indexed\nA quarter of a turn at a time\nWhat to do when it still skips on the smallest sprocket\nHow to check the cable before you buy a new one\nWhen to stop and ask a mechanic',
  )
  await type('links', 'https://wheelshed.example/gears')
  await page.getByRole('button', { name: 'Short', exact: true }).click()
  actions++
  await click('compose-run')
  await click('proposal-take')
  await click('side-tags')
  await click('pack')
  await click('packed-take')
  await click('side-points')
  const percent = async () => Number((await page.getByTestId('percent').innerText()).replace(/\D/gu, ''))
  while (actions < 40 && (await percent()) <= 90) {
    const points = await page.getByTestId('points').innerText()
    await page.getByTestId('best-next').locator('.fix').first().click()
    actions++
    await expect(page.getByTestId('points')).not.toHaveText(points)
  }
  expect(await percent()).toBeGreaterThan(90)
  expect(actions).toBeLessThanOrEqual(40)
})
