import type { Page } from '@playwright/test'
import { call, demoApp, expect, test as pageTest, type RunningApp } from './app'

// Briefs come and go here: other files do not see them.
const test = pageTest.extend<object, { app: RunningApp }>(demoApp)

const titleOf = (page: Page) => page.getByTestId('title').locator('.cm-content')
async function briefsOf(app: RunningApp): Promise<{ id: string; topic: string }[]> {
  return ((await call(app, '/api/briefs')).json as { briefs: { id: string; topic: string }[] }).briefs
}
const fieldsOf = async (app: RunningApp, id: string) =>
  (
    (await call(app, `/api/briefs/${id}`)).json as {
      fields: { title: string; tray: { lead: string | null; support: string[] } }
    }
  ).fields
/** Turns to another brief by its name in the bar, as a person does. */
async function turnTo(page: Page, topic: string) {
  await page.getByRole('button', { name: 'Switch brief' }).click()
  await page.locator('.v-list-item').filter({ hasText: topic }).click()
  await expect(page.getByRole('button', { name: 'Switch brief' })).toContainText(topic)
}

test('an undo leads to its own brief, also when another one is open, and overwrites nothing typed since', async ({
  page,
  app,
}) => {
  const [one, two] = [
    await call(app, '/api/briefs', {
      method: 'POST',
      body: {
        fields: {
          topic: 'Subject one',
          tray: { lead: 'bike bell', support: ['bike pump', 'bike horn'], setAside: [] },
        },
      },
    }),
    await call(app, '/api/briefs', {
      method: 'POST',
      body: {
        fields: {
          topic: 'Subject two',
          title: 'Of the second',
          tray: { lead: 'bike pump', support: [], setAside: [] },
        },
      },
    }),
  ].map(each => each.json as { id: string })
  await page.goto(`/desk?brief=${one!.id}`)
  await page.getByRole('button', { name: 'Tray' }).click()
  await page.getByTestId('tray').getByRole('button', { name: 'Remove bike bell' }).click()
  await expect(page.getByTestId('notice')).toContainText('removed')
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
  await turnTo(page, 'Subject two')
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('notice')).toContainText('Undone in “Subject one”')
  expect((await fieldsOf(app, one!.id)).tray).toMatchObject({ lead: 'bike bell', support: ['bike pump', 'bike horn'] })
  expect((await fieldsOf(app, two!.id)).tray).toMatchObject({ lead: 'bike pump', support: [] })
  await expect(titleOf(page)).toHaveText('Of the second')
  // What was typed since stays: the step says why it is not taken back.
  await page.getByTestId('tray').getByRole('button', { name: 'Remove bike pump' }).click()
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
  const { revisions } = (await call(app, `/api/briefs/${two!.id}`)).json as { revisions: { tray: number } }
  await turnTo(page, 'Subject one')
  await call(app, `/api/briefs/${two!.id}`, {
    method: 'PATCH',
    body: {
      editId: crypto.randomUUID(),
      fields: { tray: { revision: revisions.tray, value: { lead: 'bike light', support: [], setAside: [] } } },
    },
  })
  await page.getByTestId('undo').click()
  await expect(page.getByTestId('notice')).toContainText('“Subject two” was changed since')
  expect((await fieldsOf(app, two!.id)).tray.lead).toBe('bike light')
})

test('of two briefs opened quickly one after the other the second stands, whichever answers first', async ({
  page,
  app,
}) => {
  const [first, second] = await briefsOf(app)
  await page.goto(`/desk?brief=${first!.id}`)
  await expect(page.getByRole('button', { name: 'Switch brief' })).toContainText(first!.topic)
  let letGo: () => void = () => undefined
  const held = new Promise<void>(resolve => {
    letGo = resolve
  })
  await page.route(`**/api/briefs/${second!.id}`, async route => {
    await held
    await route.continue()
  })
  const turn = (id: string) =>
    page.evaluate(to => {
      history.pushState(null, '', to)
      dispatchEvent(new PopStateEvent('popstate', { state: null }))
    }, `/desk?brief=${id}`)
  const asked = page.waitForRequest(`**/api/briefs/${second!.id}`)
  const answered = page.waitForResponse(`**/api/briefs/${second!.id}`)
  await turn(second!.id)
  await asked
  // Nothing is typed into the one while the other is on its way.
  const title = await titleOf(page).innerText()
  await expect(page.locator('.desk')).toHaveAttribute('inert', '')
  await titleOf(page).focus()
  await page.keyboard.type('lost')
  await expect(titleOf(page)).toHaveText(title)
  await turn(first!.id)
  await expect(page.locator('.desk')).not.toHaveAttribute('inert')
  await expect.poll(() => page.url()).toContain(first!.id)
  letGo()
  await answered
  await expect(page.getByRole('button', { name: 'Switch brief' })).toContainText(first!.topic)
  expect(page.url()).toContain(first!.id)
  await expect(titleOf(page)).toHaveText((await fieldsOf(app, first!.id)).title)
})

test('a brief opens and is saved where the browser’s storage is full', async ({ page, app }) => {
  const [brief] = await briefsOf(app)
  await page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError')
    }
  })
  await page.goto(`/desk?brief=${brief!.id}`)
  await titleOf(page).click()
  await page.keyboard.press('End')
  await page.keyboard.type('!')
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
  expect((await fieldsOf(app, brief!.id)).title).toMatch(/!$/u)
})

test('an edit of a brief that is gone is told and not sent again and again', async ({ page, app }) => {
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Soon gone' } } }))
    .json as { id: string }
  await page.clock.install()
  await page.goto(`/desk?brief=${id}`)
  await titleOf(page).click()
  await call(app, `/api/briefs/${id}`, { method: 'DELETE' })
  let sent = 0
  page.on('request', request => {
    if (request.method() === 'PATCH') sent++
  })
  await page.keyboard.type('Too late')
  await expect(page.getByTestId('save-state')).toContainText('no longer exists')
  await expect(titleOf(page)).toHaveText('Too late')
  // What was still to be sent of the typing is refused as well; after that nothing is sent by itself.
  const settle = async () => {
    await page.clock.fastForward(60_000)
    await page.evaluate(() => fetch('/api/health'))
  }
  await settle()
  await settle()
  const once = sent
  for (let i = 0; i < 3; i++) await settle()
  expect(sent).toBe(once)
})

test('a score that cannot be worked out is told', async ({ page, app }) => {
  const [brief] = await briefsOf(app)
  await page.route(/score\.worker/u, route => route.abort())
  await page.goto(`/desk?brief=${brief!.id}`)
  await expect(page.getByTestId('ledger')).toContainText('score cannot be worked out')
})

test('two windows write a note and a list’s name: neither is overwritten unasked', async ({ page, app }) => {
  const { id } = (await call(app, '/api/lists', { method: 'POST', body: { name: 'Of two windows' } })).json as {
    id: string
  }
  await page.goto(`/library?tab=lists&list=${id}`)
  const name = page.getByLabel('Name', { exact: true })
  await expect(name).toHaveValue('Of two windows')
  await call(app, `/api/lists/${id}`, { method: 'PATCH', body: { name: 'Theirs' } })
  await name.fill('Mine')
  await name.press('Enter')
  await expect(page.getByTestId('notice')).toContainText('changed in another window')
  await expect(name).toHaveValue('Theirs')
  await page.getByTestId('undo').click()
  await expect(name).toHaveValue('Mine')
  expect(
    ((await call(app, '/api/lists')).json as { lists: { id: string; name: string }[] }).lists.find(
      each => each.id === id,
    )!.name,
  ).toBe('Mine')
})
