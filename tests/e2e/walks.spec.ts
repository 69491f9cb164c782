import { readFileSync } from 'node:fs'
import { call, expect, startApp, test } from './app'
import { editor, field, fieldsOf, newBrief } from './onDesk'
import { LONG, openId, Walk } from './walk'

/** The whole job by different people. How many actions each may take is said in docs/walks.md. */

// Whoever works once a week has twenty minutes.
for (const { topic, narrow, phrases, lead } of [
  {
    topic: 'squeaky brakes',
    narrow: 'squeak',
    phrases: ['bike brakes squeaking', 'squeaky bike brakes', 'how to fix squeaky bike brakes'],
    lead: 'how to fix squeaky bike brakes',
  },
  ...(LONG
    ? [
        {
          topic: 'headset',
          narrow: 'headset',
          phrases: ['how to adjust a headset', 'headset creaking', 'how to tighten headset'],
          lead: 'how to adjust a headset',
        },
      ]
    : []),
])
  test(`workshop owner: from “${topic}” to a complete text with chapters and playlist`, async ({ page, app }) => {
    const walk = new Walk(page)
    await page.goto('/demand')
    await walk.newBrief(topic)
    await walk.into(field(page, 'filter-contains'), narrow)
    await expect(page).toHaveURL(/holds=/u)
    await walk.gather(phrases, lead)
    await walk.area('Desk')
    // The bench comes by itself with ideas, since the title is empty.
    await walk.click(editor(page, 'title'))
    await walk.click('idea-use')
    await walk.click('side-compose')
    await walk.into(field(page, 'benefits'), 'Find which part makes the noise\nClean it\nSet it so that it stays quiet')
    await walk.into(field(page, 'links'), 'https://wheelshed.example/book')
    await walk.click('compose-run')
    await walk.click('proposal-take')
    await walk.click('side-tags')
    await walk.click('pack')
    await walk.click('packed-take')
    await walk.click('file-named')
    await walk.click('side-points')
    // Gaps are where the next step leads; the points follow the text a moment later, and are waited for.
    const gaps = async () => (await editor(page, 'description').innerText()).split('[…').length - 1
    for (let left = await gaps(); left > 0; left--) {
      await expect(page.getByTestId('check-no-gaps')).toContainText(`${left} gap`)
      await walk.click(page.getByTestId('check-no-gaps').getByRole('button'))
      await walk.type('We show it from both sides.')
      await expect.poll(gaps).toBe(left - 1)
    }
    await expect(page.getByTestId('check-no-gaps')).not.toHaveAttribute('data-state', 'missing')
    await walk.click('part-spoken')
    await walk.file('captions-open', 'demo/captions/bleeding-a-disc-brake.srt')
    await walk.click('chapters-cut')
    await walk.click('chapters-take')
    await walk.click('part-playlist')
    await walk.click('playlist-new')
    await walk.into(page.getByRole('textbox', { name: 'Text of the playlist' }), `All about ${topic}, in our workshop.`)
    await walk.click('part-text')
    await walk.saved()
    expect(await walk.percent()).toBeGreaterThan(80)
    const { title, description, tags, fileName } = await fieldsOf(app, openId(walk))
    expect(title.toLowerCase()).toContain(lead)
    expect(description).toMatch(/^0:00 /mu)
    expect(description).not.toContain('[…]')
    expect(tags[0]).toBe(lead)
    expect(fileName).toBe(`${lead.replaceAll(' ', '-')}.mp4`)
    walk.atMost(60)
  })

test('local service: eight towns, a brief each, composed in one go with contact first', async ({ page, app }) => {
  const walk = new Walk(page)
  await page.goto('/demand')
  await walk.newBrief('bike repair')
  await walk.click('places-open')
  const crossing = page.getByRole('dialog')
  await walk.into(crossing.getByLabel('Phrases, one per line'), 'bike repair\nbike service\nbike tune-up')
  await walk.into(crossing.getByLabel('Population from'), '50000')
  await expect(crossing).toContainText('8 of 8 places')
  await walk.click(crossing.getByRole('button', { name: /^Assess/u }))
  await expect(crossing).toContainText('24 of 24 assessed')
  await walk.into(crossing.getByLabel('Select all worth at least'), '30')
  await walk.press('Enter')
  await walk.click(crossing.getByRole('button', { name: 'One brief per place' }))
  await walk.click('notice-next')
  await expect(page.getByRole('button', { name: 'Switch brief' })).toContainText('bike repair, ')
  await walk.into(field(page, 'benefits'), 'We collect your bike at your door\nThe price is agreed before we start')
  await walk.into(page.getByRole('textbox', { name: 'Contact' }), 'Wheel Shed, 01632 960 112')
  await walk.click(page.getByRole('button', { name: 'Short', exact: true }))
  await walk.click('series-compose')
  await expect(page.getByTestId('notice')).toContainText('8 briefs composed.')
  await walk.click('notice-next')
  const towns = page.getByTestId('open-brief').filter({ hasText: 'bike repair,' })
  await expect(towns).toHaveCount(8)
  for (let i = 0; i < (LONG ? 8 : 2); i++) {
    const name = await towns.nth(i).innerText()
    await walk.click(towns.nth(i))
    await walk.click('side-points')
    expect(await walk.percent()).toBeGreaterThanOrEqual(80)
    const { description, title, tags, tray } = await fieldsOf(app, openId(walk))
    const town = name.split(', ')[1]!
    for (const text of [title, description, tags[0]!, tray.lead!])
      expect(text.toLowerCase()).toContain(town.toLowerCase())
    // Whoever looks for somebody to hire reads first how to reach them.
    expect(description.indexOf('01632 960 112')).toBeLessThan(description.indexOf('The price'))
    await walk.click(page.getByRole('button', { name: /^Export/u }))
    const download = page.waitForEvent('download')
    await walk.click(page.getByText('Plain text, ready to paste'))
    expect(readFileSync(await (await download).path(), 'utf8')).toContain('01632 960 112')
    await walk.area('Library')
  }
  if (LONG) walk.atMost(90)
})

test('two believers: the same brief under two sets, and a set of one’s own that is shared', async ({ page, app }) => {
  const walk = new Walk(page)
  const lead = 'how to index a rear derailleur'
  const id = await newBrief(app, {
    topic: 'Two sets',
    title: 'How to index a rear derailleur',
    description: 'How to index a rear derailleur\n\nOne tool is enough.',
    tags: [lead],
    tray: { lead, support: [], setAside: [] },
  })
  await page.goto(`/desk?brief=${id}`)
  const under = async (set: string) => {
    await walk.choose(page.getByTestId('rule-set').getByRole('combobox'), set)
    await expect(page.getByTestId('ledger')).toContainText(set)
    return walk.percent()
  }
  const exact = await under('Exact line')
  await expect(page.getByTestId('ledger')).toContainText('For who finds')
  await under('Full width')
  // The score follows the set.
  await expect.poll(() => walk.percent()).toBeLessThan(exact)
  // Each says what it asks for; neither is told to be wrong.
  await walk.click('rules-open')
  const rules = page.getByRole('dialog')
  await walk.choose(rules.getByRole('combobox', { name: 'Compare with' }), 'Exact line')
  await expect(rules).toContainText(`${exact} % under “Exact line”`)
  await walk.click(rules.getByRole('button', { name: 'Duplicate' }))
  const name = rules.getByRole('textbox', { name: 'Name', exact: true })
  await expect(name).toHaveValue('Full width (copy)')
  await walk.into(name, 'Half and half')
  await walk.click(rules.getByRole('button', { name: 'Save', exact: true }))
  const download = page.waitForEvent('download')
  await walk.click(rules.getByRole('button', { name: 'Save as a file' }))
  const shared = await (await download).path()
  // The other opens it in a store of their own.
  const other = await startApp({ from: 'empty' })
  const theirs = (
    await call(other, '/api/briefs', {
      method: 'POST',
      body: { fields: { topic: 'Other', title: 'Gears', tray: { lead, support: [], setAside: [] } } },
    })
  ).json.id
  await page.goto(`${other.url}/desk?brief=${theirs}`)
  await walk.click('rules-open')
  await walk.file(page.getByRole('dialog').getByRole('button', { name: 'Open a file' }).first(), shared)
  await expect(page.getByRole('dialog')).toContainText('Half and half')
  await walk.click(page.getByRole('dialog').getByRole('button', { name: 'Use for this brief' }))
  await expect.poll(async () => (await fieldsOf(other, theirs)).ruleSet).not.toBe('balanced')
  walk.atMost(25)
  await page.close()
  await other.close()
})

test('by volume alone: weights are set so, a hard phrase is kept, and nothing argues', async ({ page, app }) => {
  const walk = new Walk(page)
  const workspace = (await call(app, '/api/workspaces')).json.workspaces[0]!.id
  const before = (await call(app, `/api/workspaces/${workspace}/settings`)).json.settings.weights
  const id = await newBrief(app, { topic: 'Volume', tray: { lead: null, support: [], setAside: [] } })
  await page.goto(`/demand?brief=${id}&seed=bike+chain`)
  // From a figure to what it is made of, and on to what weighs in it.
  await walk.click(page.getByTestId('phrase-row').first().locator('button.worth'))
  await walk.click(page.getByTestId('worth-working').getByRole('link', { name: 'Change the weights' }))
  const weights = page.getByTestId('weights')
  await walk.into(weights.getByLabel('Ease or chance'), '0')
  await walk.into(weights.getByLabel('Trend'), '0')
  await walk.click(weights.getByRole('button', { name: 'Save' }))
  await expect(page.getByTestId('notice')).toContainText('Weights saved')
  await walk.area('Demand')
  const row = page.getByTestId('phrase-row').first()
  await expect(row.locator('.phrase').first()).toHaveText('bike chain')
  await expect(row.locator('.worth')).toHaveText(/^\d+$/u)
  await walk.click(row.locator('button.worth'))
  await expect(page.getByTestId('worth-working')).toContainText('By your weights only demand counts.')
  await walk.press('Escape')
  await walk.gather(['bike chain'], 'bike chain')
  await walk.area('Desk')
  await walk.click(editor(page, 'title'))
  await walk.click('idea-use')
  await walk.click('side-points')
  expect(await walk.percent()).toBeGreaterThan(50)
  await expect(page.getByTestId('ledger')).not.toContainText(/too hard|walled|cannot be won/iu)
  walk.atMost(25)
  await call(app, `/api/workspaces/${workspace}/settings`, { method: 'PUT', body: { weights: before } })
})
