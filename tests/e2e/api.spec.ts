import { randomUUID } from 'node:crypto'
import { appTest as test, call, expect } from './app'

const GOOD_DRAFT = {
  draft: { title: 'How to index a rear derailleur' },
  phrases: { lead: 'index a rear derailleur', support: [] },
}

test('what the API promises is there', async ({ app }) => {
  expect((await call(app, '/api/health')).json).toEqual({
    ok: true,
    version: expect.stringMatching(/^\d+\.\d+\.\d+$/u),
  })

  const phrases = (await call(app, '/api/phrases?seed=rear%20derailleur&region=GB&limit=1000&sort=worth:desc')).json
  expect(phrases.total).toBeGreaterThanOrEqual(200)
  // The API grows by addition: what was promised first is still there.
  expect(Object.keys(phrases.rows[0]!)).toEqual(
    expect.arrayContaining([
      'at',
      'change',
      'competition',
      'difficulty',
      'months',
      'phrase',
      'source',
      'via',
      'videoBlock',
      'volume',
      'volumeAll',
      'words',
      'worth',
      'chance',
      'intent',
      'season',
      'tendency',
      'question',
      'spiked',
      'advertiser',
    ]),
  )
  expect(phrases).toMatchObject({
    seed: 'rear derailleur',
    region: 'GB',
    modelVersion: expect.any(Number),
    tookMs: expect.any(Number),
    monthsEnd: expect.stringMatching(/^\d{4}-\d{2}$/u),
  })

  const assessed = await call(app, '/api/phrases/assess', {
    method: 'POST',
    body: { phrases: ['bleed disc brake', 'true bike wheel'], region: 'GB' },
  })
  expect(assessed.headers.get('content-type')).toContain('application/x-ndjson')
  const lines = assessed.text
    .trim()
    .split('\n')
    .map(line => JSON.parse(line))
  expect(lines.map(line => line.phrase)).toEqual(['bleed disc brake', 'true bike wheel'])
  for (const depth of [20, 40, 60]) {
    const page = (await call(app, `/api/results?phrase=bleed%20disc%20brake&region=GB&depth=${depth}`)).json
    expect(page).toMatchObject({
      phrase: 'bleed disc brake',
      region: 'GB',
      complete: true,
      titleMatches: expect.any(Number),
    })
    expect(page.rows.length).toBeLessThanOrEqual(depth)
    if (depth === 20) expect(page.difficulty!.page).toBe(lines[0].difficulty)
    expect(page.rows[0]).toMatchObject({ rank: 1, channel: { id: expect.any(String) }, strength: expect.any(Number) })
  }
  expect(
    (await call(app, '/api/phrases/detail?phrase=bleed%20disc%20brake&region=GB')).json.worthWorking.factors,
  ).toHaveLength(3)

  const check = (await call(app, '/api/check', { method: 'POST', body: GOOD_DRAFT })).json
  expect(Object.keys(check).sort()).toEqual(['checks', 'counts', 'outOf', 'percent', 'placements', 'points'])
  expect(check.checks[0]).toMatchObject({
    id: expect.any(String),
    state: expect.stringMatching(/^(met|partly|missing|n\/a)$/u),
    fixes: expect.any(Array),
  })
  expect(check.placements[0]).toEqual({
    phrase: 'index a rear derailleur',
    place: 'title',
    grade: 'exact',
    start: 7,
    end: 30,
  })
  expect(
    (
      await call(app, '/api/tags/pack', {
        method: 'POST',
        body: { candidates: [{ tag: 'a', value: 1 }], lead: 'b', profile: 'video-site' },
      })
    ).json,
  ).toEqual({ tags: ['b', 'a'], used: 3, limit: 500, value: 1 })
})

test('a long assessment is a job: its rows as events, and a stop', async ({ app }) => {
  const { rows } = (await call(app, '/api/phrases?seed=bike&limit=1000')).json
  const started = await call(app, '/api/phrases/assess', {
    method: 'POST',
    body: { phrases: rows.slice(0, 450).map((row: { phrase: string }) => row.phrase) },
  })
  expect(started.status).toBe(202)
  const { id } = started.json.job
  const stopped = await call(app, `/api/jobs/${id}`, { method: 'DELETE' })
  expect(stopped.status).toBe(200)
  await expect.poll(async () => (await call(app, `/api/jobs/${id}`)).json.state).toBe('stopped')
  const { done } = (await call(app, `/api/jobs/${id}`)).json
  expect(done).toBeLessThan(450)
  const events = (await call(app, `/api/jobs/${id}/events`)).text
  expect(events.match(/^event: row$/gmu)?.length ?? 0).toBe(done)
  expect(events).toContain('event: end')
})

test('a brief is saved against its revision, a repeat is answered as before, a stale edit gets both versions', async ({
  app,
}) => {
  const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: 'By a script' } } })).json
  const edit = { editId: randomUUID(), fields: { title: { revision: 0, value: 'One' } } }
  const first = await call(app, `/api/briefs/${id}`, { method: 'PATCH', body: edit })
  expect(first.json.revisions).toEqual({ title: 1 })
  expect((await call(app, `/api/briefs/${id}`, { method: 'PATCH', body: edit })).json).toEqual(first.json)
  const stale = await call(app, `/api/briefs/${id}`, {
    method: 'PATCH',
    body: { editId: randomUUID(), fields: { title: { revision: 0, value: 'Two' } } },
  })
  expect(stale.status).toBe(409)
  expect(stale.json.error).toMatchObject({
    code: 'stale',
    details: { conflicts: { title: { theirs: 'One', yours: 'Two', revision: 1 } } },
  })
  expect((await call(app, `/api/briefs/${id}`, { method: 'DELETE' })).status).toBe(200)
  expect((await call(app, `/api/briefs/${id}`)).status).toBe(404)
  expect((await call(app, `/api/briefs/${id}/restore`, { method: 'POST' })).json.fields.title).toBe('One')
})

test('exports: text to paste, JSON with a format, CSV with formulas neutralised', async ({ app }) => {
  const { id } = (
    await call(app, '/api/briefs', {
      method: 'POST',
      body: {
        fields: {
          topic: 'x',
          title: 'A title',
          tags: ['a', 'b'],
          tray: { lead: '=1+1 bike', support: ['bike chain'], setAside: [] },
        },
      },
    })
  ).json
  expect((await call(app, `/api/briefs/${id}/export`)).text).toContain('TITLE\nA title')
  expect((await call(app, `/api/briefs/${id}/export?format=json`)).json).toMatchObject({ format: 1, title: 'A title' })
  const csv = await call(app, `/api/briefs/${id}/export?format=csv`)
  expect(csv.text.replace('\ufeff', '').split('\r\n')[1]).toMatch(/^lead,"'=1\+1 bike",/u)
  expect(csv.headers.get('content-disposition')).toMatch(/^attachment; filename="[\w-]+\.csv"$/u)
})

const wrong: [string, string, Parameters<typeof call>[2], number, RegExp][] = [
  ['an empty seed', '/api/phrases?seed=', undefined, 400, /seed/u],
  ['a seed of signs', '/api/phrases?seed=%3F%3F', undefined, 400, /at least one word/u],
  ['a seed of 10,000 characters', `/api/phrases?seed=${'a'.repeat(10_000)}`, undefined, 400, /200 characters/u],
  ['an unknown region', '/api/phrases?seed=bike&region=QQ', undefined, 400, /not a known region/u],
  ['an unknown sort', '/api/phrases?seed=bike&sort=luck', undefined, 400, /Sort by one of/u],
  ['a number that is none', '/api/phrases?seed=bike&minVolume=lots', undefined, 400, /Give a number/u],
  ['too much at once', '/api/phrases?seed=bike&limit=5000', undefined, 400, /limit/u],
  ['a depth that is none', '/api/results?phrase=bike&depth=7', undefined, 400, /20, 40 or 60/u],
  [
    'no JSON',
    '/api/check',
    { method: 'POST', raw: '{', headers: { 'Content-Type': 'application/json' } },
    400,
    /not JSON/u,
  ],
  [
    'a draft of the wrong shape',
    '/api/check',
    { method: 'POST', body: { draft: { title: 5 }, phrases: {} } },
    400,
    /draft.title/u,
  ],
  [
    'an unknown rule set',
    '/api/check',
    { method: 'POST', body: { ...GOOD_DRAFT, ruleSet: 'lucky' } },
    400,
    /balanced, short-and-sharp, full-width, exact-line, link-first/u,
  ],
  [
    'an unknown field of a brief',
    '/api/briefs/00000000-0000-7000-8000-000000000000',
    {
      method: 'PATCH',
      body: { editId: '0190a000-0000-7000-8000-000000000001', fields: { colour: { revision: 0, value: 'red' } } },
    },
    400,
    /no field “colour”/u,
  ],
  ['a brief that is not there', '/api/briefs/nobody', undefined, 404, /no longer exists/u],
  ['an unknown export', '/api/briefs/nobody/export?format=doc', undefined, 400, /text, json or csv/u],
  ['an unknown path', '/api/nothing/here', undefined, 404, /docs\/api/u],
  ['a job that is not there', '/api/jobs/nobody', undefined, 404, /job does not exist/u],
  ['an empty file', '/api/import/phrases', { method: 'POST', raw: '' }, 422, /empty/u],
  ['a file without a phrase column', '/api/import/phrases', { method: 'POST', raw: 'x,y\n1,2\n' }, 422, /column/u],
]
for (const [what, path, options, status, message] of wrong) {
  test(`${what} is answered with what to do`, async ({ app }) => {
    const answer = await call(app, path, options)
    expect(answer.status).toBe(status)
    expect(Object.keys(answer.json.error).sort()).toEqual(['code', 'details', 'message'])
    expect(answer.json.error.message).toMatch(message)
  })
}

test('control characters and markup are only text', async ({ app }) => {
  const answer = await call(
    app,
    `/api/phrases?seed=${encodeURIComponent('bike\u0000\u202echain<script>alert(1)</script>')}`,
  )
  expect(answer.status).toBe(200)
  const fields = {
    topic: '<script>alert(1)</script>',
    title: '\u0007<script>',
    description: '</textarea><script>',
    tags: ['<script>'],
    fileName: '../../etc/passwd',
    tray: { lead: '<script>', support: [], setAside: [] },
  }
  const made = await call(app, '/api/briefs', { method: 'POST', body: { fields } })
  expect(made.json.fields).toMatchObject(fields)
})

test('only pages of this machine may ask, and only their own scripts run', async ({ app }) => {
  for (const headers of [{ Origin: 'http://elsewhere.example' }, { Origin: 'null' }])
    expect((await call(app, '/api/briefs', { headers })).status).toBe(403)
  const page = await call(app, '/demand')
  const policy = page.headers.get('content-security-policy')!
  expect(policy).toContain("default-src 'self'")
  expect(policy).not.toContain('unsafe-inline')
  expect(policy).toMatch(/script-src 'self' 'sha256-/u)
  expect(page.headers.get('x-content-type-options')).toBe('nosniff')
})

test('the head of each area names the files it is made of, and they are there', async ({ app }) => {
  const filesOf = async (path: string) =>
    [...(await call(app, path)).text.matchAll(/(?:href|src)="(\/_nuxt\/[^"]+)"/gu)].map(([, file]) => file!)
  // What an address of none begins with: the frame and its fonts.
  const frame = new Set(await filesOf('/nowhere'))
  expect([...frame].filter(file => file.endsWith('.woff2'))).toHaveLength(2)
  const own = new Set<string>()
  for (const area of ['next', 'demand', 'rivals', 'desk', 'release', 'ranks', 'library']) {
    const files = await filesOf(`/${area}?brief=none`)
    expect(files.filter(file => !frame.has(file) && file.endsWith('.js')).length, area).toBeGreaterThan(1)
    for (const file of files) own.add(file)
  }
  for (const file of own) expect((await call(app, file)).status, file).toBe(200)
})

test('who accepts lines is told how far an import is, and has the answer or the error in the last one', async ({
  app,
}) => {
  const send = async (raw: string) => {
    const answer = await call(app, '/api/import/phrases?region=GB&name=lines.csv', {
      method: 'POST',
      raw,
      headers: { Accept: 'application/x-ndjson' },
    })
    expect(answer.status).toBe(200)
    return answer.text
      .trim()
      .split('\n')
      .map(line => JSON.parse(line) as Record<string, unknown>)
  }
  const lines = await send(
    `phrase,volume\n${Array.from({ length: 20_000 }, (_, i) => `lined phrase ${i},${i}\n`).join('')}`,
  )
  expect(lines[0]).toMatchObject({ part: 0.1, said: '2,000 phrases imported' })
  expect(lines.at(-1)).toMatchObject({ answer: { accepted: 20_000, updated: 0 } })
  expect(await send('x,y\n1,2\n')).toEqual([
    {
      status: 422,
      error: {
        code: 'unknown-columns',
        message: expect.stringContaining('named as the phrase') as unknown,
        details: { headers: ['x', 'y'], sample: [['1', '2']] },
      },
    },
  ])
  expect(await send('')).toMatchObject([{ status: 422, error: { code: 'unreadable', message: 'The file is empty.' } }])
})

test('an import keeps the good lines and tells the bad ones', async ({ app }) => {
  const list = 'Keyword;Volume\nharbour bike hire;1.200\n;5\nquay bike hire;viele\nharbour bike lane;3,5\n'
  const answer = await call(app, '/api/import/phrases?region=GB&name=hire.csv', { method: 'POST', raw: list })
  expect(answer.json).toMatchObject({ accepted: 2, updated: 0, rejected: [{ line: 3 }, { line: 4 }] })
  const { rows } = (await call(app, '/api/phrases?seed=harbour%20bike&region=GB')).json
  expect(rows.find((row: { phrase: string }) => row.phrase === 'harbour bike hire')).toMatchObject({
    volume: 1200,
    source: 'hire.csv',
  })
  expect(
    (await call(app, '/api/import/phrases?region=GB&name=hire.csv', { method: 'POST', raw: list })).json,
  ).toMatchObject({ accepted: 0, updated: 2 })
})
