import { request as ask } from 'node:http'
import { appTest, call, demoApp, expect, type RunningApp } from './app'
import { fuzz } from './fuzz'
import { LONG } from './walk'

// What is left of the data after this is of no use to others.
const test = appTest.extend<object, { app: RunningApp }>(demoApp)

test('requests of every kind to every route: each is answered, none by a fault of the server', async ({ app }) => {
  test.setTimeout(LONG ? 3_600_000 : 300_000)
  const report = await fuzz(app, LONG ? 10_000 : 300)
  expect(report).toMatchObject({ serverErrors: [], broken: [] })
  expect(report.shapeless).toEqual([])
  expect(report.statuses['200']).toBeGreaterThan(75)
})

/** A request as a program sends it that sets whatever headers it likes. */
const raw = (app: RunningApp, path: string, headers: Record<string, string>, body?: Iterable<Buffer>) =>
  new Promise<{ status: number; headers: Record<string, unknown>; text: string }>((resolve, reject) => {
    const { hostname, port } = new URL(app.url)
    const req = ask({ hostname, port, path, method: body ? 'POST' : 'GET', headers, agent: false }, answer => {
      let text = ''
      answer.on('data', (piece: Buffer) => {
        text += piece.toString()
      })
      answer.on('end', () => {
        resolve({ status: answer.statusCode!, headers: answer.headers, text })
      })
    })
    req.on('error', reject)
    for (const piece of body ?? []) req.write(piece)
    req.end()
  })

test('a body without a length is counted and refused at the limit, and the answer reaches whoever sends it', async ({
  app,
}) => {
  const piece = Buffer.alloc(1 << 18, 'x')
  const answer = await raw(
    app,
    '/api/check',
    { 'Content-Type': 'application/json' },
    Array.from({ length: 160 }, () => piece),
  )
  expect(answer.status).toBe(413)
  expect(JSON.parse(answer.text)).toMatchObject({
    error: { code: 'too-long', message: expect.stringContaining('4 MB') },
  })
})

test('an address that is too long is refused in the shape of every other error', async ({ app }) => {
  expect(await call(app, `/api/phrases?seed=${'%3F'.repeat(12_000)}`)).toMatchObject({
    status: 414,
    json: { error: { code: 'too-long', message: expect.stringContaining('in the body') } },
  })
  expect((await call(app, `/api/phrases?seed=${'x'.repeat(9000)}`)).status).toBe(400)
})

test('files, too, are told only to their own name, and say nothing of what made them', async ({ app }) => {
  const [script] = /\/_nuxt\/[\w.-]+\.js/u.exec((await call(app, '/demand')).text)!
  for (const path of ['/demand', script, '/mark.svg']) {
    const answer = await raw(app, path, {})
    expect([path, answer.status, answer.headers['x-content-type-options'], answer.headers['x-powered-by']]).toEqual([
      path,
      200,
      'nosniff',
      undefined,
    ])
    expect((await raw(app, path, { Host: 'elsewhere.example' })).status).toBe(403)
  }
  for (const site of ['cross-site', 'same-site'])
    expect((await raw(app, '/api/phrases?seed=bike', { 'Sec-Fetch-Site': site })).status).toBe(403)
  expect((await raw(app, '/api/phrases?seed=bike&limit=1', { 'Sec-Fetch-Site': 'none' })).status).toBe(200)
})

test('what cannot be taken is told apart: half characters, depth, broken captions, another edit’s id', async ({
  app,
}) => {
  const post = (body: string) =>
    call(app, '/api/check', { method: 'POST', raw: body, headers: { 'Content-Type': 'application/json' } })
  expect(await post('{"draft":{"title":"\\ud800"},"phrases":{}}')).toMatchObject({
    status: 400,
    json: { error: { code: 'half-character' } },
  })
  expect((await post('{"draft":{"title":"\\ud83d\\udeb2"},"phrases":{}}')).status).toBe(200)
  expect(await post('['.repeat(100_000))).toMatchObject({ status: 400, json: { error: { code: 'too-deep' } } })
  const speak = (captions: string) => post(JSON.stringify({ draft: { captions }, phrases: { lead: 'hi' } }))
  for (const captions of ['-->', 'x --> y', 'WEBVTT\n\n00:01 --> x\nHi']) {
    const answer = await speak(captions)
    if (answer.status !== 200)
      expect(answer).toMatchObject({
        status: 400,
        json: { error: { code: 'bad-captions', message: expect.stringContaining('SRT or WebVTT') } },
      })
  }
  expect(await speak('-->')).toMatchObject({ status: 400 })
  expect((await speak('1\n00:00:01,000 --> 00:00:02,000\nHi')).status).toBe(200)
})

test('a description without a sentence end is scored in no time, however long', async ({ app }) => {
  const answer = await call(app, '/api/check', {
    method: 'POST',
    body: {
      draft: { title: '! '.repeat(9000), description: `${'a '.repeat(90_000)}?`, tags: ['"'.repeat(1900)] },
      phrases: { lead: 'a', support: [] },
    },
  })
  expect(answer.status).toBe(200)
})

test('an unknown address has a page of its own look under its own policy', async ({ app }) => {
  const answer = await call(app, '/_nuxt/nothing.js', { headers: { Accept: 'text/html' } })
  expect(answer.status).toBe(404)
  expect(answer.headers.get('content-security-policy')).toContain("default-src 'none'")
  expect(answer.text).toContain('Page not found')
  expect((await call(app, '/_nuxt/nothing.js')).json).toMatchObject({ error: { code: expect.any(String) } })
})
