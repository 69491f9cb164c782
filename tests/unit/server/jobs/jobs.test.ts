import { Jobs } from '../../../../server/jobs/jobs'
import { withRetry } from '../../../../server/services/retry'
import { freshData, temporaryFolder } from '../files'
import { serviceError } from '../../../../server/services/contract'

const folder = temporaryFolder()
const tick = () => new Promise(resolve => setImmediate(resolve))
async function* counted(n: number, signal?: AbortSignal) {
  for (let i = 0; i < n && !signal?.aborted; i++) {
    await tick()
    yield i
  }
}

describe('long work', () => {
  test('what it was asked for is kept until it is done, and of ended ones the newest hundred stay', async () => {
    const db = freshData(folder)
    const jobs = new Jobs(db)
    const { id } = jobs.start('assess', 'first', { phrases: ['a'] }, 1, () => counted(1))
    expect(jobs.input(id)).toEqual({ phrases: ['a'] })
    while (jobs.get(id)!.endedAt === null) await tick()
    expect(jobs.input(id)).toBeNull()
    for (let i = 0; i < 110; i++) {
      const next = jobs.start('assess', String(i), {}, 0, () => counted(0))
      while (jobs.get(next.id)!.endedAt === null) await tick()
    }
    expect(db.prepare('SELECT count(*) FROM job').pluck().get()).toBeLessThanOrEqual(101)
  })

  test('tells its rows to whoever listens, those done before too, and its end', async () => {
    const jobs = new Jobs(freshData(folder))
    const { id } = jobs.start('assess', 'three', { n: 3 }, 3, () => counted(3))
    await tick()
    await tick()
    const heard: string[] = []
    await new Promise<void>(resolve => {
      jobs.listen(id, ({ name, data }) => {
        heard.push(name === 'row' ? String(data) : name)
        if (name === 'end') resolve()
      })
    })
    expect(heard).toEqual(['0', '1', '2', 'end'])
    expect(jobs.get(id)).toMatchObject({ state: 'done', done: 3, total: 3, problem: null })
    const late: string[] = []
    jobs.listen(id, ({ name }) => late.push(name))
    expect(late).toEqual(['row', 'row', 'row', 'end'])
  })

  test('stops when asked and keeps what it did', async () => {
    const jobs = new Jobs(freshData(folder))
    const { id } = jobs.start('assess', 'many', {}, 1000, signal => counted(1000, signal))
    while (jobs.get(id)!.done < 3) await tick()
    jobs.stop(id)
    while (jobs.get(id)!.endedAt === null) await tick()
    expect(jobs.get(id)).toMatchObject({ state: 'stopped' })
    expect(jobs.get(id)!.done).toBeLessThan(10)
  })

  test('a failure is its state, with the reason', async () => {
    const told = jest.spyOn(console, 'error').mockImplementation(() => undefined)
    const jobs = new Jobs(freshData(folder))
    const { id } = jobs.start('assess', 'two', {}, 2, async function* () {
      yield await Promise.resolve(1)
      throw new Error('broke')
    })
    while (jobs.get(id)!.endedAt === null) await tick()
    expect(jobs.get(id)).toMatchObject({ state: 'failed', done: 1, problem: 'broke' })
    expect(told).toHaveBeenCalledWith(expect.stringContaining('two'), expect.objectContaining({ message: 'broke' }))
    told.mockRestore()
    expect(jobs.get('nobody')).toBeNull()
    expect(jobs.stop('nobody')).toBeNull()
  })

  test('what was cut off by the end of the program is known to the next one, with what it was asked for', async () => {
    const db = freshData(folder)
    const before = new Jobs(db)
    const { id } = before.start('assess', 'a thousand', { phrases: ['a'] }, 1000, signal => counted(1000, signal))
    await tick()
    const after = new Jobs(db)
    expect(after.get(id)).toMatchObject({ state: 'interrupted', title: 'a thousand', total: 1000 })
    expect(after.input(id)).toEqual({ phrases: ['a'] })
    const heard: string[] = []
    after.listen(id, ({ name }) => heard.push(name))
    expect(heard).toEqual(['end'])
    before.close()
    while (before.get(id)!.endedAt === null) await tick()
    expect(before.get(id)!.state).toBe('interrupted')
    after.start('assess', 'a thousand', after.input(id), 2, () => counted(2), id)
    while (after.get(id)!.endedAt === null) await tick()
    expect(after.list()).toMatchObject([{ id, state: 'done', done: 2 }])
  })
})

describe('trying again', () => {
  const failing = (times: number, fault: 'ServiceRefused' | 'ServiceFailed') => {
    let calls = 0
    return {
      call: () => (++calls <= times ? Promise.reject(serviceError(fault, `no ${calls}`)) : Promise.resolve(calls)),
      calls: () => calls,
    }
  }

  test('a refusal is tried again until it is answered', async () =>
    expect(await withRetry(failing(2, 'ServiceRefused').call, { waits: [1, 1, 1] })).toBe(3))
  test('and given up with the last reason', async () => {
    const { call, calls } = failing(9, 'ServiceFailed')
    await expect(withRetry(call, { waits: [1, 1] })).rejects.toThrow('no 3')
    expect(calls()).toBe(3)
  })
  test('a mistake of ours is not repeated', async () => {
    let calls = 0
    await expect(
      withRetry(
        () => {
          calls++
          return Promise.reject(new TypeError('ours'))
        },
        { waits: [1, 1] },
      ),
    ).rejects.toThrow('ours')
    expect(calls).toBe(1)
  })
  test('no answer in time is a failure', async () => {
    await expect(withRetry(() => new Promise(() => undefined), { waits: [], timeOut: 10 })).rejects.toMatchObject({
      name: 'ServiceLate',
    })
  })
  test('a stop ends the tries at once, in a call and in a wait', async () => {
    const gone = new AbortController()
    gone.abort()
    const { call, calls } = failing(9, 'ServiceRefused')
    await expect(withRetry(call, { signal: gone.signal, waits: [1, 1] })).rejects.toMatchObject({ name: 'Stopped' })
    expect(calls()).toBe(0)
    for (const work of [() => new Promise(() => undefined), failing(9, 'ServiceFailed').call]) {
      const stop = new AbortController()
      const startedAt = Date.now()
      const running = withRetry<unknown>(work, { signal: stop.signal, waits: [60_000] })
      setTimeout(() => {
        stop.abort()
      }, 20)
      await expect(running).rejects.toMatchObject({ name: 'Stopped' })
      expect(Date.now() - startedAt).toBeLessThan(30_000)
    }
  })
})
