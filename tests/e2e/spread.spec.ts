import { call, demoApp, expect, test as shared } from './app'
import { newBrief } from './onDesk'

// Outlets are the workspace's: others would see them.
const test = shared.extend(demoApp)
const BRIEF = {
  topic: 'Spread',
  title: 'Wobbly wheel? How to true a bike wheel without a stand',
  description:
    'Is your wheel wobbling? You will true a bike wheel with a spoke key and a zip tie. A stand is not needed, only patience. Each turn is a quarter and no more.\n\n- No stand needed\n- Ready in twenty minutes',
  tags: ['true a wheel'],
  tray: { lead: 'how to true a bike wheel', support: [], setAside: [] },
  fileName: 'true-a-wheel.mp4',
}
interface Item {
  value: { kind: string; text: string; doneAt: number | null; brought: number | null; outlet: string | null }
}
const itemsOf = async (app: { url: string }, id: string, kind: string) =>
  ((await call(app as never, `/api/briefs/${id}/items?kind=${kind}`)).json as unknown as { items: Item[] }).items

test('all texts are written in one go, edited, and copied with a link of the outlet’s own', async ({
  page,
  app,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  const id = await newBrief(app, { ...BRIEF, videoAddress: 'https://videos.example/watch?v=abc' })
  await page.goto(`/release?brief=${id}&part=spread`)
  await page.getByTestId('write-posts').click()
  await expect(page.getByTestId('post-text')).toContainText('Is your wheel wobbling?')
  expect(await itemsOf(app, id, 'post')).toHaveLength(7)
  await expect(page.getByTestId('post-answer')).toHaveAttribute('title', 'Written')
  await expect(page.getByTestId('post-article')).toHaveAttribute('title', '1 gap left')
  // Typed at the end, saved by itself, still there after coming back.
  await page.getByTestId('post-text').getByRole('textbox').click()
  await page.keyboard.press('Control+End')
  await page.keyboard.type(' Come by the shed.')
  await expect(page.getByTestId('post-saved')).toHaveText('Saved')
  await page.reload()
  await expect(page.getByTestId('post-text')).toContainText('Come by the shed.')
  await page.getByTestId('post-copy').click()
  await expect(page.getByTestId('notice')).toContainText('Copied for Wheel Shed page.')
  expect(await page.evaluate(() => navigator.clipboard.readText())).toContain(
    'https://videos.example/watch?v=abc&utm_source=shed-page&utm_medium=social&utm_campaign=true-a-wheel-mp4',
  )
  // Each kind has an address of its own, and the way back leads to the one before.
  await page.getByTestId('post-newsletter').click()
  await expect(page).toHaveURL(/text=newsletter/u)
  await expect(page.getByTestId('post-text')).not.toContainText('Come by the shed.')
  await page.goBack()
  await expect(page.getByTestId('post-text')).toContainText('Come by the shed.')
  await page.getByTestId('post-anew').click()
  await expect(page.getByTestId('post-text')).not.toContainText('Come by the shed.')
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('post-text')).toContainText('Come by the shed.')
})

test('the first hour is planned for the outlets, ticked with the time, and what it brought is summed', async ({
  page,
  app,
}) => {
  const at = Date.UTC(2027, 0, 8, 17)
  const id = await newBrief(app, { ...BRIEF, topic: 'Plan', releaseAt: at })
  await page.goto(`/release?brief=${id}&part=spread`)
  await page.getByTestId('plan-hour').click()
  const step = page.getByTestId('plan-step').filter({ hasText: 'Shed letter' })
  await expect(step).toHaveCount(1)
  await expect(step).toContainText('17:05')
  await step.getByRole('checkbox').check()
  await expect(page.getByTestId('plan-done')).toHaveText('1 of 7 done')
  const brought = step.getByTestId('plan-brought')
  await brought.fill('a lot')
  await brought.press('Enter')
  await expect(page.getByText('A number of visits is')).toHaveCount(0)
  await expect(brought).toHaveValue('')
  await brought.fill('41')
  await brought.press('Enter')
  await expect
    .poll(async () => (await itemsOf(app, id, 'spreadStep')).find(({ value }) => value.brought !== null)?.value.brought)
    .toBe(41)
  const done = (await itemsOf(app, id, 'spreadStep')).filter(({ value }) => value.doneAt !== null)
  expect(done).toHaveLength(1)
  await page.getByTestId('outlets').click()
  await expect(page.getByTestId('outlet').filter({ hasText: 'used 1 time' })).toContainText('41 visits')
  // An outlet of one's own, with a tag that its links can carry.
  await page.getByTestId('outlet-name').locator('input').fill('Märrowby Böard')
  await page.getByTestId('outlet-add').click()
  const board = page.getByTestId('outlet').last()
  await expect(board.getByRole('textbox', { name: 'Tag' })).toHaveValue('marrowby-board')
  await board.getByRole('textbox', { name: 'Tag' }).fill('Not a tag!')
  await board.getByRole('textbox', { name: 'Tag' }).press('Enter')
  await expect(board.getByRole('alert')).toContainText('small letters, digits, dots and dashes')
  await expect(board.getByRole('textbox', { name: 'Tag' })).toHaveValue('Not a tag!')
})

test('with nothing written there are gaps, and it says that the address is missing', async ({ page, app, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  const id = await newBrief(app, { topic: 'Nothing yet' })
  await page.goto(`/release?brief=${id}&part=spread&text=long`)
  await page.getByTestId('write-post').click()
  await expect(page.getByTestId('post-text')).toContainText('[… what it is about]')
  await page.getByTestId('post-copy').click()
  await expect(page.getByTestId('notice')).toContainText('The video has no address yet')
  await page.getByRole('button', { name: 'Delete: Longer post' }).click()
  await expect(page.getByTestId('write-post')).toBeVisible()
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.getByTestId('post-text')).toContainText('[… what it is about]')
})

test('two windows: nothing typed is overwritten until a person has chosen', async ({ page, app, context }) => {
  const id = await newBrief(app, { ...BRIEF, topic: 'Two windows' })
  await page.goto(`/release?brief=${id}&part=spread`)
  await page.getByTestId('write-posts').click()
  await expect(page.getByTestId('post-text')).toContainText('wobbling')
  const other = await context.newPage()
  await other.goto(`/release?brief=${id}&part=spread`)
  await expect(other.getByTestId('post-text')).toContainText('wobbling')
  const [post] = (
    (await call(app, `/api/briefs/${id}/items?kind=post`)).json as unknown as {
      items: (Item & { id: string; revision: number })[]
    }
  ).items
  // A third one was faster than both.
  await page.route('**/items**', route => route.continue())
  await call(app, `/api/briefs/${id}/items/${post!.id}`, {
    method: 'PUT',
    body: { kind: 'post', revision: post!.revision, value: { kind: 'short', text: 'By the third.' } },
  })
  await expect(page.getByTestId('post-text')).toContainText('By the third.')
  await expect(other.getByTestId('post-text')).toContainText('By the third.')
  await other.close()
})
