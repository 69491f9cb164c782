import { expect, test } from './app'
import { newBrief } from './onDesk'

test('a brief with the same lead is told, and another lead parts them', async ({ page, app }) => {
  const lead = 'rear derailleur'
  const support = ['bike chain']
  const other = await newBrief(app, { title: 'Rear derailleurs explained', tray: { lead, support: [], setAside: [] } })
  const id = await newBrief(app, { title: 'Rear derailleur', tray: { lead, support, setAside: [] } })
  await page.goto(`/desk?brief=${id}`)
  const own = page.getByTestId('own-rivals')
  const line = own.getByRole('listitem').filter({ hasText: 'Rear derailleurs explained' })
  await expect(line).toContainText('has the same lead')
  await expect(line.getByRole('link')).toHaveAttribute('href', `/desk?brief=${other}`)
  await line.getByRole('button', { name: 'bike chain' }).click()
  await expect(line).toHaveCount(0)
})
