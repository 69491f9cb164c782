import { randomUUID } from 'node:crypto'
import { Worker } from 'node:worker_threads'
import type { Draft } from '../core/draft/draft'
import { DEFAULT_PROFILE } from '../core/draft/limits'
import { BALANCED } from '../core/draft/ruleset'
import { scoreDraft } from '../core/draft/score'
import { fuzz } from '../tests/e2e/fuzz'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { storm } from '../tests/e2e/storm'
import { quantile, resident } from './measure'

const sorted = (list: number[]) => [...list].sort((a, b) => a - b)
const yes = (met: boolean) => (met ? 'yes' : '**no**')
const ms = (value: number) => `${Math.round(value).toLocaleString('en')} ms`

/**
 * Asks for the health again and again, by a connection of its own each time and from a thread: what the sender of a
 * long file waits for is not counted.
 */
const WATCH = `
const { get } = require('node:http'); const { parentPort, workerData } = require('node:worker_threads'); const waits = []; let ended = false
parentPort.once('message', () => { ended = true })
const ask = () => { const at = performance.now(); get(workerData, { agent: false }, (answer) => { answer.resume(); answer.on('end', () => { waits.push(performance.now() - at); if (ended) { parentPort.postMessage(waits); parentPort.close() } else setTimeout(ask, 5) }) }) }
ask()`

/** How long the health was waited for, each time, while some work went on. */
async function healthWhile(app: RunningApp, work: () => Promise<unknown>): Promise<number[]> {
  const watch = new Worker(WATCH, { eval: true, workerData: `${app.url}/api/health` })
  const waits = new Promise<number[]>((tell, fail) => {
    watch.once('message', tell)
    watch.once('error', fail)
  })
  await work()
  watch.postMessage('end')
  return waits
}

/** Two storms of ends by force and by request. @returns lines of the report. */
export async function benchStorm(rounds: number): Promise<string[]> {
  const lines: string[] = []
  for (const signal of ['SIGKILL', 'SIGTERM'] as const) {
    const { acknowledged, lost, endedByItself, faults } = await storm(rounds, signal)
    lines.push(
      `| ended by ${signal} while twelve writers save, from the first healthy answer on | ${rounds} rounds | ${acknowledged.toLocaleString('en')} edits acknowledged: ${lost.length} lost, ${endedByItself} exits of its own, ${faults.length} faults of the file | none: ${yes(!lost.length && !endedByItself && !faults.length)} |`,
    )
  }
  return lines
}

export async function benchFuzz(requests: number): Promise<string[]> {
  const app = await startApp()
  try {
    const first = await fuzz(app, requests)
    const before = resident(app.process.pid!)
    await fuzz(app, requests)
    const growth = resident(app.process.pid!) - before
    const bad = first.serverErrors.length + first.broken.length
    return [
      `| requests drawn from a seed to every route | ${requests.toLocaleString('en')} | ${first.serverErrors.length} answered by 5xx, ${first.broken.length} broken off, ${first.late.length} over 1 s, the slowest ${ms(first.slowestMs)} | none: ${yes(!bad && !first.late.length)} |`,
      ...[...first.serverErrors, ...first.broken, ...first.late]
        .slice(0, 3)
        .map(each => `| · for example | | \`${each.replaceAll('|', ' ').slice(0, 120)}\` | |`),
      `| the same again: resident memory grows by | ${requests.toLocaleString('en')} | ${Math.round(growth)} MB, to ${Math.round(before + growth)} MB | under 50 MB: ${yes(growth < 50)} |`,
    ]
  } finally {
    await app.close()
  }
}

/** What Release, Ranks and What next ask for when they open. */
const OPENING = [
  '/api/next',
  '/api/find?q=chain',
  '/api/calendar.ics',
  '/api/outlets',
  '/api/playlists',
  '/api/watches',
  '/api/ranks/channel?region=GB',
  '/api/ranks/together?region=GB',
  '/api/ranks/leading-on',
  '/api/videos/texts',
  '/api/earned',
  '/api/reach',
  '/api/forecasts/reliability',
  '/api/trials',
]

/** Fifty windows at work while a long list is imported. */
export async function benchClients(seconds: number): Promise<string[]> {
  const app = await startApp()
  try {
    const list = `phrase,volume\n${Array.from({ length: 200_000 }, (_, i) => `how to fit part ${i},${i % 9000}`).join('\n')}\n`
    const edits: number[] = []
    const looks: number[] = []
    const openings: number[] = []
    let errors = 0
    let done = false
    const importing = call(app, '/api/import/phrases?region=GB&name=clients.csv', { method: 'POST', raw: list }).then(
      answer => (answer.status === 200 ? 0 : 1),
    )
    const until = performance.now() + seconds * 1000
    await Promise.all(
      Array.from({ length: 50 }, async (_, n) => {
        const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: `Client ${n}` } } }))
          .json as { id: string }
        for (let revision = 0; performance.now() < until && !done; revision++) {
          const at = performance.now()
          const saved = await call(app, `/api/briefs/${id}`, {
            method: 'PATCH',
            body: { editId: randomUUID(), fields: { title: { revision, value: `Title ${revision}` } } },
          })
          edits.push(performance.now() - at)
          if (saved.status !== 200) errors++
          if (revision % 5 === 0) {
            const asked = performance.now()
            const rows = await call(
              app,
              `/api/phrases?seed=${n % 2 ? 'bike%20chain' : 'rear%20derailleur'}&region=GB&limit=100`,
            )
            looks.push(performance.now() - asked)
            if (rows.status !== 200) errors++
          }
          // Now and then a window turns to another screen.
          if (revision % 10 === n % 10) {
            const asked = performance.now()
            const opened = await call(app, OPENING[(n + revision) % OPENING.length]!)
            openings.push(performance.now() - asked)
            if (opened.status !== 200) errors++
          }
          // As fast as a hand that types: some saves a second.
          await new Promise(wake => setTimeout(wake, 300))
        }
      }),
    )
    done = true
    errors += await importing
    const p99 = (list: number[]) => quantile(sorted(list), 0.99)
    return [
      `| 50 clients for ${seconds} s with an import of 200,000 rows | ${(edits.length + looks.length + openings.length).toLocaleString('en')} requests | ${errors} errors | none: ${yes(!errors)} |`,
      `| · their PATCH | ${edits.length.toLocaleString('en')} | median ${ms(quantile(sorted(edits), 0.5))}, p99 ${ms(p99(edits))} | p99 under 250 ms: ${yes(p99(edits) < 250)} |`,
      `| · their phrases | ${looks.length.toLocaleString('en')} | median ${ms(quantile(sorted(looks), 0.5))}, p99 ${ms(p99(looks))} | p99 under 1 s: ${yes(p99(looks) < 1000)} |`,
      `| · what Release, Ranks and *What next* open with | ${openings.length.toLocaleString('en')} | median ${ms(quantile(sorted(openings), 0.5))}, p99 ${ms(p99(openings))} | p99 under 2 s: ${yes(p99(openings) < 2000)} |`,
    ]
  } finally {
    await app.close()
  }
}

/** How long the health is waited for while hostile and long files are read. */
export async function benchHold(): Promise<string[]> {
  const app = await startApp({ from: 'empty' })
  const entry = (i: number) =>
    `<entry><id>x:${i}</id><title>Video number ${i} of bikes</title><link rel="alternate" href="https://v.example/watch?v=v${i}"/><published>2026-01-02T00:00:00Z</published><media:group><media:description>${'text '.repeat(60)}</media:description></media:group></entry>`
  const times = <Part>(n: number, part: (i: number) => Part) => Array.from({ length: n }, (_, i) => part(i))
  const files: [string, string, () => string][] = [
    [
      'a feed',
      '/api/import/pages?region=GB',
      () => `<feed xmlns="http://www.w3.org/2005/Atom"><title>Shed</title>${times(96_000, entry).join('')}</feed>`,
    ],
    [
      'a feed of 200,000 attributes',
      '/api/import/pages?region=GB',
      () => `<feed><entry ${times(200_000, i => `a${i}="1"`).join(' ')}/></feed>`,
    ],
    [
      'a list of 900,000 places',
      '/api/import/places?region=GB',
      () => `name,population\n${times(900_000, i => `Town ${i},${i}`).join('\n')}`,
    ],
    [
      'result pages as JSON',
      '/api/import/pages?region=GB',
      () =>
        JSON.stringify(
          times(128_000, i => ({
            id: `j${i}`,
            title: `Json ${i} of bikes`,
            description: 'text '.repeat(60),
            views: i,
            phrase: `bike thing ${Math.floor(i / 20)}`,
            rank: (i % 20) + 1,
          })),
        ),
    ],
    [
      'a description of 200,000 characters without a sentence end, scored',
      '/api/check',
      () =>
        JSON.stringify({
          draft: { title: '- '.repeat(9000), description: 'a'.repeat(200_000) },
          phrases: { lead: 'a', support: times(200, i => `a b${i}`) },
        }),
    ],
  ]
  try {
    const lines: string[] = []
    for (const [what, path, make] of files) {
      const body = make()
      const startedAt = performance.now()
      let status = 0
      const waits = await healthWhile(app, async () => {
        ;({ status } = await call(app, path, { method: 'POST', raw: body }))
      })
      const most = Math.max(...waits)
      lines.push(
        `| health while ${what} is read | ${(body.length / 1e6).toFixed(1)} MB, ${((performance.now() - startedAt) / 1000).toFixed(1)} s, answered ${status} | p99 ${ms(quantile(sorted(waits), 0.99))}, most ${ms(most)}; ${Math.round(resident(app.process.pid!))} MB resident | most under 100 ms: ${yes(most < 100)} |`,
      )
    }
    return lines
  } finally {
    await app.close()
  }
}

/** Signs and pieces of which hostile texts are made: what patterns look for, and what they look for in vain. */
const PIECES = [
  'a',
  ' ',
  '\n',
  '- ',
  '?',
  '!',
  '.',
  '#',
  '#a',
  '@',
  '0:00 ',
  '0:00\n',
  '1:',
  '<',
  '>',
  '"',
  ',',
  ';',
  '(',
  '[',
  '|',
  '/',
  'http://',
  'https://a.b/',
  'www.',
  'a@b.',
  '-->',
  '\u0301',
  'é',
  '🚲',
  '한',
  'ー',
  'a b',
  'bike chain ',
  '’',
  '\t',
]
/** A text this short is scored so fast that a ratio says nothing. */
const TOLD_FROM_MS = 20

/**
 * How much longer texts of one piece take to be scored when they are doubled; long ones, past what the engine does
 * otherwise for short ones.
 * @returns lines of the report.
 */
export function benchDoubled(): string[] {
  const took = (piece: string, length: number) => {
    const text = piece.repeat(Math.ceil(length / piece.length)).slice(0, length)
    const score = (draft: Draft) =>
      scoreDraft(draft, { lead: 'bike chain', support: ['index gears', 'bike'] }, BALANCED, DEFAULT_PROFILE, 'en')
    let best = Infinity
    for (let run = 0; run < 2; run++) {
      const startedAt = performance.now()
      score({ title: text.slice(0, 400), description: text, tags: text.slice(0, 4000).split(',') })
      score({
        captions: { timed: true, cues: text.split('\n').map((said, i) => ({ start: i, end: i + 1, text: said })) },
      })
      best = Math.min(best, performance.now() - startedAt)
    }
    return best
  }
  const ratios = PIECES.map(piece => ({ piece, less: took(piece, 160_000), more: took(piece, 320_000) }))
    .map(each => ({ ...each, ratio: each.more < TOLD_FROM_MS ? 0 : each.more / each.less }))
    .sort((a, b) => b.ratio - a.ratio)
  const worst = ratios[0]!
  return [
    `| ${PIECES.length} texts of one piece repeated, 320,000 characters against 160,000, scored | the slowest ${ms(Math.max(...ratios.map(each => each.more)))} | at most ${worst.ratio.toFixed(1)} times as long (${JSON.stringify(worst.piece).replaceAll('|', '\\|')}) | under 3: ${yes(worst.ratio < 3)} |`,
  ]
}
