import { readdirSync } from 'node:fs'
import { request as ask, Agent } from 'node:http'
import { join, relative } from 'node:path'
import { drawn } from './drawn'
import { call, HOME, type RunningApp } from './startApp'

export interface FuzzReport {
  requests: number
  statuses: Record<string, number>
  serverErrors: string[]
  late: string[]
  broken: string[]
  shapeless: string[]
  slowestMs: number
}

/** Longer than this no answer may take. */
const LATE_MS = 1000

interface Route {
  method: string
  path: string
}

/** Every route there is, from the files that make them. */
export function routes(): Route[] {
  const folder = join(HOME, 'server/api')
  return (readdirSync(folder, { recursive: true }) as string[])
    .flatMap(file => {
      const [, path, method] =
        /^(.*)\.(get|post|put|patch|delete)\.ts$/u.exec(relative(folder, join(folder, file))) ?? []
      return path === undefined
        ? []
        : [{ method: method!.toUpperCase(), path: `/api/${path.replace(/(^|\/)index$/u, '')}`.replace(/\/$/u, '') }]
    })
    .sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : a.method < b.method ? -1 : 1))
}

const TEXTS = [
  '',
  ' ',
  'bike chain',
  'a',
  '0',
  '-1',
  'null',
  '[]',
  '\u0000',
  '\ud800',
  '\ud83d\ude80',
  'e\u0301'.repeat(200),
  '<script>alert(1)</script>',
  "' OR 1=1 --",
  '../../etc/passwd',
  '%',
  '%zz',
  '\\',
  '"',
  '=1+1',
  '١٢٣',
  'ضوء',
  'x'.repeat(5000),
  '-->',
  '00:00 --> x',
  '\u202eabc',
  '1e999',
  '#'.repeat(3000),
  '?'.repeat(3000),
  '((((',
  'http://127.0.0.1:1',
]
const NUMBERS = [0, -1, 1, 20, 60, 1.5, 1e308, -1e308, 2 ** 53, 1e-12, 1000, 5000]
const QUERIES = [
  'seed',
  'phrase',
  'region',
  'language',
  'limit',
  'offset',
  'sort',
  'contains',
  'exclude',
  'depth',
  'from',
  'brief',
  'workspace',
  'format',
  'field',
  'prefix',
  'minWords',
  'maxWords',
  'minVolume',
  'maxDifficulty',
  'season',
  'intent',
  'name',
  'columns',
  'list',
  'find',
  'for',
  'anew',
  'ask',
  ...['forever', 'ids'],
]
const FIELDS = [
  'id',
  'fields',
  'editId',
  'title',
  'description',
  'tags',
  'phrases',
  'phrase',
  'region',
  'language',
  'lead',
  'support',
  'draft',
  'captions',
  'candidates',
  'tag',
  'value',
  'name',
  'note',
  'notes',
  'add',
  'remove',
  'from',
  'videos',
  'weights',
  'query',
  'places',
  'templates',
  'template',
  'pattern',
  'workspace',
  'videoId',
  'off',
  'on',
  'ids',
  'text',
  'file',
  'use',
  'town',
  'field',
  'known',
  'learn',
  'revision',
  'ruleSet',
  'profile',
  'hashtags',
  'playlist',
  'durationSeconds',
  'delayMs',
  'days',
  ...'checklist sheet lines releaseAt ticked handed forSearch videoAddress thumbnail focus cards endScreen elements design posts kinds outlet tag minutes regions every'.split(
    ' ',
  ),
]
const BODIES: Record<string, unknown>[] = [
  {
    draft: { title: 'Index a rear derailleur', description: 'How to index.\n0:00 Start', tags: ['gears'] },
    phrases: { lead: 'index gears', support: [] },
  },
  { phrases: ['bike chain', 'bike bell'], region: 'GB', language: 'en' },
  { editId: '0190a000-0000-7000-8000-000000000009', fields: { title: { revision: 0, value: 'One' } } },
  { name: 'List', phrases: ['bike chain'] },
  { add: ['one'], remove: ['two'], notes: { one: 'x' } },
  { candidates: [{ tag: 'a', value: 1 }], lead: 'b' },
  { fields: { topic: 'Fuzz' } },
  { fields: { topic: 'Fuzz', sheet: { visibility: 'public' }, releaseAt: 'now', ticked: { a: 1 } } },
  { focus: { x: 0.5, y: 0.5 }, name: 'Page', kind: 'page', address: '', tag: 'page', revision: 0 },
  { phrase: 'bike chain', text: 'note', checklist: { own: [{ id: 'a', text: 'b' }], off: ['title'], order: ['tags'] } },
]
/** What would end what is being tested, wait for the world outside, or go on for as long as one listens. */
const LEFT_OUT = new Set([
  'GET /api/changes',
  'POST /api/data/restore',
  'PUT /api/standin/behaviour',
  'POST /api/data/backups',
])

/** Sends requests of every kind to every route, drawn from a seed, some at a time, and notes what should not be. */
export async function fuzz(app: RunningApp, requests: number, seed = 11): Promise<FuzzReport> {
  const random = drawn(seed)
  const pick = <Item>(list: readonly Item[]) => list[Math.floor(random() * list.length)]!
  const briefs = ((await call(app, '/api/briefs')).json as { briefs: { id: string }[] }).briefs.map(each => each.id)
  const lists = ((await call(app, '/api/lists')).json as { lists: { id: string }[] }).lists.map(each => each.id)
  const ids = [...briefs, ...lists, 'ch-marrowby', 'none', 'x'.repeat(300), '%00', '..%2f..', 'ü']
  const all = routes().filter(({ method, path }) => !LEFT_OUT.has(`${method} ${path}`))

  function value(depth = 0): unknown {
    const luck = random()
    if (luck < 0.4) return pick(TEXTS)
    if (luck < 0.6) return pick(NUMBERS)
    if (luck < 0.7) return pick([true, false, null])
    if (depth > 3) return null
    if (luck < 0.85) return Array.from({ length: Math.floor(random() * 4) }, () => value(depth + 1))
    return Object.fromEntries(Array.from({ length: Math.floor(random() * 4) }, () => [pick(FIELDS), value(depth + 1)]))
  }
  function body(): string {
    const luck = random()
    if (luck < 0.08)
      return pick([
        '',
        '{',
        'null',
        '5',
        '"x"',
        '[',
        '['.repeat(5000),
        '{"a":'.repeat(3000),
        '{"title":"\\ud800"}',
        '\u0000',
        JSON.stringify('y'.repeat(100_000)),
      ])
    if (luck < 0.5)
      return JSON.stringify(
        Object.fromEntries(Array.from({ length: 1 + Math.floor(random() * 4) }, () => [pick(FIELDS), value()])),
      )
    const given = structuredClone(pick(BODIES))
    if (random() < 0.7) given[pick([...Object.keys(given), pick(FIELDS)])] = value()
    return JSON.stringify(given)
  }

  const report: FuzzReport = {
    requests,
    statuses: {},
    serverErrors: [],
    late: [],
    broken: [],
    shapeless: [],
    slowestMs: 0,
  }
  const note = (list: string[], what: string) => {
    if (list.length < 20) list.push(what)
  }
  const agent = new Agent({ keepAlive: true, maxSockets: 8 })
  const { hostname, port } = new URL(app.url)

  function send(method: string, path: string, sent: string | null): Promise<void> {
    const startedAt = performance.now()
    const what = () => `${method} ${path.slice(0, 200)} ${sent?.slice(0, 200) ?? ''}`
    return new Promise(resolve => {
      const req = ask(
        {
          agent,
          hostname,
          port,
          method,
          path,
          headers:
            sent === null ? {} : { 'Content-Type': 'application/json', 'Content-Length': Buffer.byteLength(sent) },
        },
        answer => {
          const pieces: Buffer[] = []
          const done = () => {
            const took = performance.now() - startedAt
            const status = answer.statusCode!
            report.statuses[status] = (report.statuses[status] ?? 0) + 1
            report.slowestMs = Math.max(report.slowestMs, took)
            if (status >= 500)
              note(report.serverErrors, `${status} ${what()} → ${Buffer.concat(pieces).toString().slice(0, 200)}`)
            if (took > LATE_MS) note(report.late, `${Math.round(took)} ms: ${what()}`)
            if (status >= 400) {
              const error = ((): { code?: string; message?: string } | undefined => {
                try {
                  return (JSON.parse(Buffer.concat(pieces).toString()) as { error: { code: string; message: string } })
                    .error
                } catch {
                  return undefined
                }
              })()
              if (!error?.code || !error.message)
                note(report.shapeless, `${status} ${what()} → ${Buffer.concat(pieces).toString().slice(0, 200)}`)
            }
            resolve()
          }
          answer.on('data', (piece: Buffer) => {
            pieces.push(piece)
          })
          answer.on('end', done)
          answer.on('error', error => {
            note(report.broken, `${error.message}: ${what()}`)
            resolve()
          })
        },
      )
      req.on('error', error => {
        note(report.broken, `${error.message}: ${what()}`)
        resolve()
      })
      req.end(sent ?? undefined)
    })
  }

  let sent = 0
  await Promise.all(
    Array.from({ length: 8 }, async () => {
      while (sent++ < requests) {
        const { method, path } = pick(all)
        const at = path.replace(/\[\w+\]/gu, () => encodeURI(pick(ids)).replaceAll('?', '%3F'))
        const query = Array.from(
          { length: Math.floor(random() * 4) },
          () =>
            `${pick(QUERIES)}=${encodeURIComponent(String(pick([...TEXTS.filter(text => !/[\ud800-\udbff](?![\udc00-\udfff])/.test(text)), 'GB', 'en', 'volume:desc', ...NUMBERS])))}`,
        ).join('&')
        await send(method, query ? `${at}?${query}` : at, method === 'GET' ? null : body())
      }
    }),
  )
  agent.destroy()
  return report
}
