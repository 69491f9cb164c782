import Database from 'better-sqlite3'
import { randomUUID } from 'node:crypto'
import { join } from 'node:path'
import { drawn } from './drawn'
import { call, startApp, type RunningApp } from './startApp'

/** What a storm of writers and sudden ends left behind; all but `rounds` and `acknowledged` should be 0 or empty. */
export interface StormReport {
  rounds: number
  acknowledged: number
  lost: string[]
  endedByItself: number
  faults: string[]
}

/** Something that is saved again and again; each save is either answered or not. */
interface Writer {
  /** @returns whether it was acknowledged. */
  save: (app: RunningApp, round: number, edit: number) => Promise<boolean>
  /** What of the acknowledged a restarted server does not have; goes on from what is there. */
  missing: (app: RunningApp) => Promise<string[]>
}

interface Kept {
  value: string
  /** Which saves of the value this is; 0 where saves are not counted. */
  revision: number
}

/**
 * A value that is replaced by each save.
 * @param write saves `value` over `revision`. @returns the status of the answer, and the revision that it names.
 */
function replaced(
  what: string,
  valueOf: (round: number, edit: number) => string,
  write: (app: RunningApp, value: string, revision: number) => Promise<{ status: number; revision?: number }>,
  read: (app: RunningApp) => Promise<Kept>,
): Writer {
  let revision = 0
  let acknowledged: string | null = null
  let sent: string | null = null
  return {
    save: async (app, round, edit) => {
      const value = (sent = valueOf(round, edit))
      const answer = await write(app, value, revision).catch(() => null)
      if (!answer || answer.status > 201) return false
      revision = answer.revision ?? 0
      acknowledged = value
      return true
    },
    missing: async app => {
      const there = await read(app)
      // The last edit sent may have reached the disk without its answer.
      const kept = acknowledged === null || [acknowledged, sent].includes(there.value)
      const lost = kept ? [] : [`${what}: “${acknowledged!.slice(0, 40)}” became “${there.value.slice(0, 40)}”`]
      revision = there.revision
      acknowledged = sent = there.value
      return lost
    },
  }
}

/** A text of its own for each save, of a length that varies. */
const textOf = (n: number, most: number) => (round: number, edit: number) =>
  `writer ${n} round ${round} edit ${edit} ${'x'.repeat(100 + ((211 * (edit + n)) % 4000))}`.slice(0, most)

async function newBrief(app: RunningApp, n: number): Promise<string> {
  return (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: `Writer ${n}` } } })).json.id
}

async function descriptionWriter(app: RunningApp, n: number): Promise<Writer> {
  const id = await newBrief(app, n)
  return replaced(
    `description ${n}`,
    textOf(n, 5000),
    async (at, value, revision) => {
      const { status, json } = await call(at, `/api/briefs/${id}`, {
        method: 'PATCH',
        body: { editId: randomUUID(), fields: { description: { revision, value } } },
      })
      return { status, revision: json.revisions?.description }
    },
    async at => {
      const { fields, revisions } = (await call(at, `/api/briefs/${id}`)).json
      return { value: fields.description, revision: revisions.description! }
    },
  )
}

/** A title that is considered, as one of the many things of a brief. */
async function candidateWriter(app: RunningApp, n: number): Promise<Writer> {
  const brief = await newBrief(app, n)
  const item = randomUUID()
  return replaced(
    `candidate ${n}`,
    textOf(n, 90),
    async (at, title, revision) => {
      const { status, json } = await call(at, `/api/briefs/${brief}/items/${item}`, {
        method: 'PUT',
        body: { kind: 'candidate', revision, value: { title, pattern: null, state: 'open' } },
      })
      return { status, revision: json.revision }
    },
    async at => {
      const [there] = (await call(at, `/api/briefs/${brief}/items?kind=candidate`)).json.items
      return { value: (there?.value as { title?: string } | undefined)?.title ?? '', revision: there?.revision ?? 0 }
    },
  )
}

async function outletWriter(app: RunningApp, n: number): Promise<Writer> {
  const { id } = (
    await call(app, '/api/outlets', {
      method: 'POST',
      body: { name: `Writer ${n}`, kind: 'page', address: 'https://shed.example/', tag: `w${n}` },
    })
  ).json
  const read = async (at: RunningApp) => {
    const there = (await call(at, '/api/outlets')).json.outlets.find(each => each.id === id)
    return { value: there?.name ?? '', revision: there?.revision ?? 0 }
  }
  const writer = replaced(
    `outlet ${n}`,
    textOf(n, 80),
    async (at, name, revision) => {
      const { status, json } = await call(at, `/api/outlets/${id}`, { method: 'PATCH', body: { revision, name } })
      return { status, revision: json.revision }
    },
    read,
  )
  await writer.missing(app)
  return writer
}

/** What a video brought on one day, entered anew each time. */
function earnedWriter(n: number): Writer {
  const line = { videoId: `video-${n}`, day: '2026-01-02', kind: 'order' } as const
  return replaced(
    `earned ${n}`,
    (round, edit) => String(round * 100_000 + edit),
    async (at, count) =>
      await call(at, '/api/earned', { method: 'POST', body: { ...line, count: Number(count), link: '' } }),
    async at => {
      const there = (await call(at, '/api/earned')).json.lines.find(({ videoId }) => videoId === line.videoId)
      return { value: there ? String(there.count) : '', revision: 0 }
    },
  )
}

async function listWriter(app: RunningApp, n: number): Promise<Writer> {
  const { id } = (await call(app, '/api/lists', { method: 'POST', body: { name: `Writer ${n}` } })).json
  const acknowledged: string[] = []
  return {
    save: async (at, round, edit) => {
      const phrase = `storm ${n} ${round} ${edit}`
      const answer = await call(at, `/api/lists/${id}`, { method: 'PATCH', body: { add: [phrase] } }).catch(() => null)
      if (answer?.status !== 200) return false
      acknowledged.push(phrase)
      return true
    },
    missing: async at => {
      const last = acknowledged.slice(-1000)
      const offset = Math.max(0, acknowledged.length - 1000)
      const { rows } = (await call(at, `/api/lists/${id}?limit=2000&offset=${offset}`)).json
      const there = new Set(rows.map(row => row.phrase))
      return last.filter(phrase => !there.has(phrase)).map(phrase => `list ${n}: “${phrase}”`)
    },
  }
}

/** Writes as fast as it is answered until the server is gone. @returns how much was acknowledged. */
async function write(app: RunningApp, writer: Writer, round: number, saved: () => void): Promise<number> {
  for (let edit = 0; ; edit++) {
    if (!(await writer.save(app, round, edit))) return edit
    saved()
  }
}

function integrity(data: string): string[] {
  const db = new Database(join(data, 'fonetra.sqlite'), { readonly: true })
  try {
    return (db.pragma('integrity_check(20)') as { integrity_check: string }[])
      .map(row => row.integrity_check)
      .filter(text => text !== 'ok')
  } finally {
    db.close()
  }
}

/**
 * Twelve writers save descriptions, lists, titles considered, outlets and what a day earned, from the first healthy
 * answer on, until the server is ended after a drawn number of edits; again and again on the same data. After each
 * start all that was acknowledged must be there and the file whole.
 */
export async function storm(rounds: number, signal: 'SIGKILL' | 'SIGTERM', seed = 7): Promise<StormReport> {
  const random = drawn(seed)
  const report: StormReport = { rounds, acknowledged: 0, lost: [], endedByItself: 0, faults: [] }
  let app = await startApp({ from: 'empty' })
  const { data } = app
  const writers: Writer[] = [
    ...(await Promise.all([0, 1, 2, 3].map(n => descriptionWriter(app, n)))),
    ...(await Promise.all([4, 5].map(n => listWriter(app, n)))),
    ...(await Promise.all([6, 7].map(n => candidateWriter(app, n)))),
    ...(await Promise.all([8, 9].map(n => outletWriter(app, n)))),
    ...[10, 11].map(earnedWriter),
  ]
  for (let round = 0; round < rounds; round++) {
    const ended = new Promise<{ code: number | null; by: NodeJS.Signals | null }>(tell => {
      app.process.once('exit', (code, by) => {
        tell({ code, by })
      })
    })
    // Struck a moment after a drawn number of edits, however fast the machine is.
    let struck = false
    let left = Math.floor(random() * 60)
    const saved = () => {
      if (left-- === 0)
        setTimeout(() => {
          struck = true
          app.process.kill(signal)
        }, random() * 15)
    }
    const writing = Promise.all(writers.map(writer => write(app, writer, round, saved)))
    const { code, by } = await ended
    if (
      !struck ||
      (signal === 'SIGKILL' ? by !== 'SIGKILL' : (by !== null && by !== 'SIGTERM') || (code !== null && code !== 0))
    ) {
      report.endedByItself++
      report.faults.push(`round ${round}: ended with ${code ?? by}: ${app.errors().slice(-300)}`)
    }
    report.acknowledged += (await writing).reduce((sum, n) => sum + n, 0)
    try {
      app = await startApp({ data })
    } catch (error) {
      report.faults.push(`round ${round}: ${(error as Error).message.slice(0, 300)}`)
      return report
    }
    report.lost.push(...(await Promise.all(writers.map(writer => writer.missing(app)))).flat())
    report.faults.push(...integrity(data).map(fault => `round ${round}: ${fault}`))
  }
  await app.close()
  return report
}
