import { chromium } from '@playwright/test'
import { execFileSync, spawnSync } from 'node:child_process'
import { randomUUID } from 'node:crypto'
import { request } from 'node:http'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { call, expect, startApp, test as base, type RunningApp } from './app'
import { CHROMIUM, TEST_ARGS } from './chromium'
import { HOME } from './startApp'

type Roles = Record<'owner' | 'editor' | 'reader', string>
const keyTool = (data: string, ...args: string[]) =>
  execFileSync(
    process.execPath,
    [
      join(HOME, '.output/tools/key.mjs'),
      '--data',
      data,
      '--migrations',
      join(HOME, 'server/data/migrations'),
      ...args,
    ],
    { encoding: 'utf8' },
  )
const keyIn = (told: string) => /^ {2}(\S+\.\S+)$/mu.exec(told)![1]!

/** An app that others can reach, with a key of each role. */
const test = base.extend<object, { app: RunningApp; keys: Roles }>({
  app: [
    async ({}, use) => {
      const alone = await startApp()
      await alone.kill()
      const keys = Object.fromEntries(
        (['owner', 'editor', 'reader'] as const).map(role => [
          role,
          keyIn(keyTool(alone.data, `--${role}`, `The ${role}`)),
        ]),
      ) as Roles
      const app = await startApp({ data: alone.data, env: { FONETRA_LISTEN: '0.0.0.0' } })
      await use(Object.assign(app, { keys }))
      await app.close()
      rmSync(alone.data, { recursive: true, force: true })
    },
    { scope: 'worker' },
  ],
  keys: [
    async ({ app }, use) => {
      await use((app as RunningApp & { keys: Roles }).keys)
    },
    { scope: 'worker' },
  ],
})
const by = (key: string) => ({ Authorization: `Bearer ${key}` })

test('without a key nothing is told and nothing is done; files and the health are open', async ({ app }) => {
  for (const [method, path] of [
    ['GET', '/api/briefs'],
    ['GET', '/api/phrases?seed=bike%20chain'],
    ['POST', '/api/briefs'],
    ['GET', '/api/data'],
    ['POST', '/api/data/restore'],
    ['GET', '/api/no-such-path'],
    ['GET', '/api/briefs/'],
  ]) {
    expect(
      await call(app, path!, { method, ...(method === 'POST' ? { body: {} } : {}) }),
      `${method} ${path}`,
    ).toMatchObject({ status: 401, json: { error: { code: 'key-needed' } } })
  }
  expect((await call(app, '/api/health')).status).toBe(200)
  expect((await call(app, '/library')).status).toBe(200)
  expect((await call(app, '/api/session')).json).toEqual({ needed: true, who: null, now: expect.any(Number) })
})

test('each role does what it may, and no more', async ({ app, keys }) => {
  const { id } = (
    await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'Shared' } }, headers: by(keys.editor) })
  ).json
  const write = (revision: number, key: string) =>
    call(app, `/api/briefs/${id}`, {
      method: 'PATCH',
      body: { editId: randomUUID(), fields: { title: { revision, value: `Title ${revision}` } } },
      headers: by(key),
    })
  expect((await write(0, keys.editor)).status).toBe(200)
  expect((await write(1, keys.owner)).status).toBe(200)
  expect(await write(2, keys.reader)).toMatchObject({
    status: 403,
    json: { error: { code: 'not-allowed', message: 'Your key is read-only. Nothing was changed.' } },
  })
  const { entries } = (await call(app, `/api/briefs/${id}/history?field=title`, { headers: by(keys.reader) })).json
  expect(entries.map(each => [each.value, each.writer])).toEqual([
    ['Title 1', 'The owner'],
    ['Title 0', 'The editor'],
  ])
  expect((await call(app, '/api/access', { headers: by(keys.editor) })).status).toBe(403)
  expect((await call(app, '/api/data/backups', { method: 'POST', headers: by(keys.editor) })).status).toBe(403)
  expect((await call(app, '/api/access', { headers: by(keys.owner) })).json.keys).toHaveLength(3)
  expect(
    (
      await call(app, '/api/check', {
        method: 'POST',
        body: { draft: { title: 'Wax a chain' }, phrases: { lead: 'wax a chain', support: [] } },
        headers: by(keys.reader),
      })
    ).status,
  ).toBe(200)
})

test('a key taken back is out at once, in windows and with programs; the last owner’s stays', async ({ app, keys }) => {
  const made = (
    await call(app, '/api/access', {
      method: 'POST',
      body: { name: 'For a day', role: 'editor' },
      headers: by(keys.owner),
    })
  ).json
  const signedIn = await call(app, '/api/session', { method: 'POST', body: { key: made.key } })
  const cookie = signedIn.headers.get('set-cookie')!
  expect(cookie).toMatch(/HttpOnly/u)
  expect(cookie).toMatch(/SameSite=Strict/u)
  expect(cookie).not.toContain(made.key)
  const shown = { Cookie: cookie.split(';')[0]! }
  expect((await call(app, '/api/session', { headers: shown })).json.who).toEqual({ name: 'For a day', role: 'editor' })
  expect((await call(app, '/api/briefs', { headers: by(made.key) })).status).toBe(200)
  const stream = await fetch(`${app.url}/api/changes`, { headers: shown })
  expect(stream.status).toBe(200)
  expect((await call(app, `/api/access/${made.id}`, { method: 'DELETE', headers: by(keys.owner) })).status).toBe(200)
  // What it listened to ends with it.
  await stream.text()
  expect((await call(app, '/api/briefs', { headers: shown })).status).toBe(401)
  expect((await call(app, '/api/briefs', { headers: by(made.key) })).status).toBe(401)
  const owner = keys.owner.split('.')[0]
  expect(await call(app, `/api/access/${owner}`, { method: 'DELETE', headers: by(keys.owner) })).toMatchObject({
    status: 409,
    json: { error: { code: 'last-owner' } },
  })
})

test('under another name, and from another page, it is not answered even with a key', async ({ app, keys }) => {
  const { hostname, port } = new URL(app.url)
  const status = (headers: Record<string, string>) =>
    new Promise<number>((tell, fail) => {
      request({ hostname, port, path: '/api/briefs', headers: { ...by(keys.owner), ...headers } }, answer => {
        answer.resume()
        tell(answer.statusCode!)
      })
        .on('error', fail)
        .end()
    })
  expect(await status({})).toBe(200)
  expect(await status({ Host: 'elsewhere.example' })).toBe(403)
  expect(await status({ Origin: 'http://elsewhere.example' })).toBe(403)
  expect(await status({ 'Sec-Fetch-Site': 'cross-site' })).toBe(403)
})

test('a person signs in, works, is told what a reader may not do, and signs out', async ({ page, keys }) => {
  await page.goto('/desk')
  const field = page.getByTestId('access-key').locator('input')
  await field.fill('0.nothing')
  await field.press('Enter')
  await expect(page.getByText('This key is unknown or was revoked.')).toBeVisible()
  await field.fill(keys.reader)
  await field.press('Enter')
  await expect(page.getByTestId('title')).toBeVisible()
  await expect(page.getByTestId('title').locator('.cm-content')).toHaveAttribute('contenteditable', 'true')
  const title = await page.getByTestId('title').innerText()
  await page.getByTestId('title').locator('.cm-content').pressSequentially('Mine')
  await expect(page.getByTestId('title')).toHaveText(title)
  await page.getByTestId('file-name').locator('input').fill('mine.mp4')
  await expect(page.getByTestId('notice')).toContainText('Your key is read-only.')
  await page.goto('/library')
  await expect(page.getByTestId('library-data')).toBeVisible()
  await expect(page.getByTestId('library-access')).toHaveCount(0)
  await page.getByTestId('who').click()
  await page.getByTestId('sign-out').click()
  await expect(page.getByTestId('sign-in')).toBeVisible()
})

test('an owner makes a key on screen, sees it once, and takes it back', async ({ page, keys }) => {
  await page.goto('/library?tab=access')
  await page.getByTestId('access-key').locator('input').fill(keys.owner)
  await page.getByTestId('access-key').locator('input').press('Enter')
  await page.getByTestId('make-key').click()
  await expect(page.getByText('Enter a name for the key.')).toBeVisible()
  await page.getByTestId('key-name').locator('input').fill('Dora')
  await page.getByTestId('make-key').click()
  await expect(page.getByTestId('made-key').locator('code')).toHaveText(/^\w{10}\.\S{27}$/u)
  await page.reload()
  await expect(page.getByTestId('key').filter({ hasText: 'Dora' })).toBeVisible()
  await expect(page.getByTestId('made-key')).toHaveCount(0)
  await page.getByRole('button', { name: 'Revoke the key of Dora' }).click()
  await page.getByTestId('revoke-confirm').click()
  await expect(page.getByTestId('key').filter({ hasText: 'Dora' })).toHaveCount(0)
})

test('many wrong keys are answered ever later, right ones too, and nobody else waits', async ({ app, keys }) => {
  const wrong = () => call(app, '/api/session', { method: 'POST', body: { key: 'ffffffffff.wrong' } })
  let last = await wrong()
  for (let i = 0; i < 20 && last.status !== 429; i++) last = await wrong()
  expect(last).toMatchObject({
    status: 429,
    json: { error: { code: 'too-many-tries', message: expect.stringContaining('Try again in') } },
  })
  expect(Number(last.headers.get('retry-after'))).toBeGreaterThan(0)
  expect((await call(app, '/api/session', { method: 'POST', body: { key: keys.owner } })).status).toBe(429)
})

base('off this machine it does not start without a key, nor by another program’s HOST', async () => {
  const data = mkdtempSync(join(tmpdir(), 'fonetra-no-key-'))
  const started = (env: Record<string, string>) =>
    spawnSync(process.execPath, [join(HOME, '.output/server/index.mjs')], {
      encoding: 'utf8',
      timeout: 20_000,
      env: { ...process.env, NODE_ENV: 'production', PORT: '0', FONETRA_HOME: HOME, FONETRA_DATA: data, ...env },
    })
  for (const [env, message] of [
    [{ FONETRA_LISTEN: '0.0.0.0' }, 'npm run key -- --owner NAME'],
    [{ HOST: '0.0.0.0' }, 'FONETRA_LISTEN'],
    [{ FONETRA_ORIGIN: 'https://fonetra.example' }, 'npm run key -- --owner NAME'],
  ] as const) {
    const { status, stderr } = started(env)
    expect(status).toBe(1)
    expect(stderr).toContain(message)
    expect(stderr).not.toContain('    at ')
  }
  rmSync(data, { recursive: true })
})

base('it works under a plain name, where browsers hold back what they give to safe ones', async () => {
  const alone = await startApp()
  await alone.kill()
  const key = keyIn(keyTool(alone.data, '--owner', 'Mara'))
  const { port } = new URL(alone.url)
  const app = await startApp({
    data: alone.data,
    port: Number(port),
    env: { FONETRA_ORIGIN: `http://fonetra.test:${port}` },
  })
  const browser = await chromium.launch({
    executablePath: CHROMIUM,
    args: [...TEST_ARGS, '--host-resolver-rules=MAP fonetra.test 127.0.0.1'],
  })
  const page = await browser.newPage()
  const problems: string[] = []
  page.on('pageerror', error => {
    problems.push(error.message)
  })
  await page.goto(`http://fonetra.test:${port}/desk`)
  expect(await page.evaluate(() => window.isSecureContext)).toBe(false)
  await page.getByTestId('access-key').locator('input').fill(key)
  await page.getByTestId('access-key').locator('input').press('Enter')
  await page.getByTestId('title').locator('.cm-content').pressSequentially('Under a plain name ')
  await expect(page.getByTestId('save-state')).toHaveText(/^Saved/u)
  await page.getByRole('button', { name: 'Tray' }).click()
  await page.getByTestId('tray').getByRole('button', { name: /copy/iu }).first().click()
  await expect(page.getByTestId('notice')).toContainText('copied')
  await page.reload()
  await expect(page.getByTestId('title')).toContainText('Under a plain name')
  expect(problems).toEqual([])
  await browser.close()
  await app.close()
  rmSync(alone.data, { recursive: true, force: true })
})
