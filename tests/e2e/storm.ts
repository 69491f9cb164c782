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

interface BriefWriter {
  kind: 'brief'
  id: string
  revision: number
  acknowledged: string
  sent: string
}
interface ListWriter {
  kind: 'list'
  id: string
  acknowledged: string[]
}
type Writer = BriefWriter | ListWriter

/**
 * Writes as fast as it is answered until the server is gone. @param saved called after each acknowledged edit.
 * @returns how much was acknowledged.
 */
async function write(app: RunningApp, writer: Writer, round: number, n: number, saved: () => void): Promise<number> {
  for (let i = 0; ; i++) {
    if (writer.kind === 'brief') {
      const value = (writer.sent = `writer ${n} round ${round} edit ${i} ${'x'.repeat(100 + ((211 * (i + n)) % 4000))}`)
      const answer = await call(app, `/api/briefs/${writer.id}`, {
        method: 'PATCH',
        body: { editId: randomUUID(), fields: { description: { revision: writer.revision, value } } },
      }).catch(() => null)
      if (answer?.status !== 200) return i
      writer.revision = (answer.json as { revisions: { description: number } }).revisions.description
      writer.acknowledged = value
      saved()
    } else {
      const phrase = `storm ${n} ${round} ${i}`
      const answer = await call(app, `/api/lists/${writer.id}`, { method: 'PATCH', body: { add: [phrase] } }).catch(
        () => null,
      )
      if (answer?.status !== 200) return i
      writer.acknowledged.push(phrase)
      saved()
    }
  }
}

/** What of the acknowledged a restarted server does not have; a brief's writer goes on from what is there. */
async function missing(app: RunningApp, writer: Writer): Promise<string[]> {
  if (writer.kind === 'brief') {
    const { fields, revisions } = (await call(app, `/api/briefs/${writer.id}`)).json as {
      fields: { description: string }
      revisions: { description: number }
    }
    // The last edit sent may have reached the disk without its answer.
    const kept =
      revisions.description >= writer.revision && [writer.acknowledged, writer.sent].includes(fields.description)
    const lost = kept
      ? []
      : [`brief ${writer.id}: “${writer.acknowledged.slice(0, 40)}” became “${fields.description.slice(0, 40)}”`]
    Object.assign(writer, {
      revision: revisions.description,
      acknowledged: fields.description,
      sent: fields.description,
    })
    return lost
  }
  const { rows } = (
    await call(app, `/api/lists/${writer.id}?limit=2000&offset=${Math.max(0, writer.acknowledged.length - 1000)}`)
  ).json as { rows: { phrase: string }[] }
  const there = new Set(rows.map(row => row.phrase))
  return writer.acknowledged
    .slice(-1000)
    .filter(phrase => !there.has(phrase))
    .map(phrase => `list ${writer.id}: “${phrase}”`)
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
 * Eight writers save from the first healthy answer on, until the server is ended after a drawn number of edits; again
 * and again on the same data. After each start all that was acknowledged must be there and the file whole.
 */
export async function storm(rounds: number, signal: 'SIGKILL' | 'SIGTERM', seed = 7): Promise<StormReport> {
  const random = drawn(seed)
  const report: StormReport = { rounds, acknowledged: 0, lost: [], endedByItself: 0, faults: [] }
  let app = await startApp({ from: 'empty' })
  const { data } = app
  const writers: Writer[] = []
  for (let n = 0; n < 8; n++) {
    if (n < 6) {
      const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: { topic: `Writer ${n}` } } }))
        .json as { id: string }
      writers.push({ kind: 'brief', id, revision: 0, acknowledged: '', sent: '' })
    } else {
      const { id } = (await call(app, '/api/lists', { method: 'POST', body: { name: `Writer ${n}` } })).json as {
        id: string
      }
      writers.push({ kind: 'list', id, acknowledged: [] })
    }
  }
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
    const writing = Promise.all(writers.map((writer, n) => write(app, writer, round, n, saved)))
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
    report.lost.push(...(await Promise.all(writers.map(writer => missing(app, writer)))).flat())
    report.faults.push(...integrity(data).map(fault => `round ${round}: ${fault}`))
  }
  await app.close()
  return report
}
