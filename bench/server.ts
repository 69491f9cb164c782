import { randomUUID } from 'node:crypto'
import { call, startApp, type RunningApp } from '../tests/e2e/startApp'
import { mostResident, times, timing, type Timing } from './measure'

const SEEDS = ['rear derailleur', 'bike chain', 'disc brake', 'bike tyre', 'bottom bracket']

/** Phrases of common seeds and their assessment, as the server answers them at demo size. */
export async function benchDemand(): Promise<Timing[]> {
  const app = await startApp()
  try {
    const ask = async (seed: string, limit: number) =>
      (await call(app, `/api/phrases?seed=${encodeURIComponent(seed)}&region=GB&limit=${limit}`)).json as {
        total: number
        tookMs: number
        rows: { phrase: string }[]
      }
    const first: number[] = []
    for (const seed of SEEDS.slice(2)) first.push((await ask(seed, 200)).tookMs)
    const found = [timing('phrases, a seed never asked before (services asked too)', '40,000 phrases', first, null)]
    for (const limit of [200, 1000]) {
      const took: number[] = []
      let total = 0
      await times(100, 10, async run => {
        const answer = await ask(SEEDS[Math.abs(run) % SEEDS.length]!, limit)
        if (run >= 0) took.push(answer.tookMs)
        total = Math.max(total, answer.total)
      })
      found.push(
        timing(
          `phrases for common seeds, ${limit.toLocaleString('en')} rows asked for`,
          `40,000 phrases, up to ${total.toLocaleString('en')} related`,
          took,
          60,
        ),
      )
    }
    const assess = (phrases: string[]) =>
      call(app, '/api/phrases/assess', { method: 'POST', body: { phrases, region: 'GB' } })
    const asked: number[] = []
    const kept: number[] = []
    for (const seed of SEEDS.slice(2)) {
      const names = (await ask(seed, 300)).rows.map(row => row.phrase)
      asked.push(...(await times(1, 0, () => assess(names))))
      kept.push(...(await times(5, 1, () => assess(names))))
    }
    found.push(timing('300 rows assessed, warm (pages kept)', '300 × 20 seats', kept, 1000))
    found.push(timing('300 rows assessed, every page asked for', '300 × 20 seats', asked, 5000))
    return found
  } finally {
    await app.close()
  }
}

/** A list of 100,000 phrases imported while a brief is being edited. */
export async function benchImport(): Promise<{ timings: Timing[]; residentMb: number }> {
  const app = await startApp({ from: 'empty' })
  try {
    const { id } = (await call(app, '/api/briefs', { method: 'POST', body: { fields: {} } })).json as { id: string }
    const list = `Keyword,Avg. monthly searches,Competition\n${Array.from({ length: 100_000 }, (_, i) => `"how to ${['fix', 'clean', 'wax', 'fit'][i % 4]!} part ${i}","${((i * 37) % 90_000).toLocaleString('en')}",0.${i % 10}`).join('\n')}\n`
    let done = false
    const took: number[] = []
    const edits: number[] = []
    const importing = times(1, 0, async () => {
      const answer = await call(app, '/api/import/phrases?region=GB&name=bench.csv', { method: 'POST', raw: list })
      if ((answer.json as { accepted: number }).accepted !== 100_000)
        throw new Error(`Imported otherwise than asked: ${answer.text.slice(0, 300)}`)
    }).then(list => {
      took.push(...list)
      done = true
    })
    for (let revision = 0; !done; revision++) {
      edits.push(
        ...(await times(1, 0, () =>
          call(app, `/api/briefs/${id}`, {
            method: 'PATCH',
            body: { editId: randomUUID(), fields: { title: { revision, value: `Title ${revision}` } } },
          }),
        )),
      )
      await new Promise(wake => setTimeout(wake, 50))
    }
    await importing
    return {
      timings: [
        timing('import of a CSV list', '100,000 rows', took, 5000, 'most'),
        timing('autosave answered meanwhile', `${edits.length} edits`, edits, 100),
      ],
      residentMb: mostResident(app.process.pid!),
    }
  } finally {
    await app.close()
  }
}

/** 10,000 phrases assessed as one job from kept pages, and how the server answers meanwhile. */
export async function benchKept(): Promise<Timing[]> {
  const app = await startApp()
  try {
    const size = 10_000
    const csv = `phrase,rank,id,title,channel,subscribers,views,published\n${Array.from({ length: size * 20 }, (_, i) => `bench phrase ${Math.floor(i / 20)},${(i % 20) + 1},b${(i * 7) % 40_000},Title ${(i * 7) % 40_000} of a bench phrase,Channel ${i % 900},${(i % 900) * 90},${(i * 13) % 90_000},2026-01-01`).join('\n')}\n`
    const filled = await times(1, 0, () =>
      call(app, '/api/import/pages?region=GB&name=bench', { method: 'POST', raw: csv }),
    )
    const phrases = Array.from({ length: size }, (_, i) => `bench phrase ${i}`)
    // Once before, as every screen has: the first answer of a server scores every brief.
    await call(app, '/api/briefs')
    const startedAt = performance.now()
    const { job } = (await call(app, '/api/phrases/assess', { method: 'POST', body: { phrases, region: 'GB' } }))
      .json as { job: { id: string } }
    const meanwhile: number[] = []
    let state = { state: 'running', done: 0 }
    while (state.state === 'running') {
      meanwhile.push(...(await times(1, 0, () => call(app, '/api/briefs'))))
      await new Promise(wake => setTimeout(wake, 20))
      state = (await call(app, `/api/jobs/${job.id}`)).json as typeof state
    }
    if (state.done !== size) throw new Error(`Assessed ${state.done} of ${size}.`)
    const assessed = performance.now() - startedAt
    const evidence = await benchEvidence(app, size)
    return [
      timing('10,000 result pages imported', '200,000 seats', filled, null),
      timing('10,000 phrases assessed from kept pages, as a job', '10,000 × 20 seats', [assessed], 60_000, 'most'),
      timing('the list of briefs answered meanwhile', `${meanwhile.length} times`, meanwhile, 100, 'most'),
      ...evidence,
    ]
  } finally {
    await app.close()
  }
}

/** Evidence over all pages kept: read for the first time, and with nothing new. */
async function benchEvidence(app: RunningApp, size: number): Promise<Timing[]> {
  async function workOut(): Promise<number> {
    const startedAt = performance.now()
    const { job } = (await call(app, '/api/evidence', { method: 'POST', body: { region: 'GB' } })).json as {
      job: { id: string }
    }
    for (let state = 'running'; state === 'running';) {
      await new Promise(wake => setTimeout(wake, 50))
      state = ((await call(app, `/api/jobs/${job.id}`)).json as { state: string }).state
    }
    return performance.now() - startedAt
  }
  const first = await workOut()
  const again = await workOut()
  const { pages } = (await call(app, '/api/evidence?region=GB')).json as { pages: number }
  if (pages < size) throw new Error(`Evidence from ${pages} of ${size} pages.`)
  return [
    timing(
      'evidence for every check, pages read for it',
      `${size.toLocaleString('en')} × 20 seats`,
      [first],
      20_000,
      'most',
    ),
    timing('evidence again, no page being new', `${size.toLocaleString('en')} × 20 seats`, [again], null),
  ]
}
