import { Jobs } from '../../../../server/jobs/jobs'
import { withRetry } from '../../../../server/services/retry'
import { serviceError } from '../../../../server/services/contract'

const tick = () => new Promise(resolve => setImmediate(resolve))
async function* counted(n: number, signal?: AbortSignal) {
  for (let i = 0; i < n && !signal?.aborted; i++) {
    await tick()
    yield i
  }
}

describe('long work', () => {
  test('tells its rows to whoever listens, those done before too, and its end', async () => {
    const jobs = new Jobs()
    const { id } = jobs.start('assess', 3, () => counted(3))
    await tick(); await tick()
    const heard: string[] = []
    await new Promise<void>((resolve) => { jobs.listen(id, ({ name, data }) => { heard.push(name === 'row' ? String(data) : name); if (name === 'end') resolve() }) })
    expect(heard).toEqual(['0', '1', '2', 'end'])
    expect(jobs.get(id)).toMatchObject({ state: 'done', done: 3, total: 3, problem: null })
    const late: string[] = []
    jobs.listen(id, ({ name }) => late.push(name))
    expect(late).toEqual(['row', 'row', 'row', 'end'])
  })

  test('stops when asked and keeps what it did', async () => {
    const jobs = new Jobs()
    const { id } = jobs.start('assess', 1000, signal => counted(1000, signal))
    while (jobs.get(id)!.done < 3) await tick()
    jobs.stop(id)
    while (jobs.get(id)!.endedAt === null) await tick()
    expect(jobs.get(id)).toMatchObject({ state: 'stopped' })
    expect(jobs.get(id)!.done).toBeLessThan(10)
  })

  test('a failure is its state, with the reason', async () => {
    const jobs = new Jobs()
    const { id } = jobs.start('assess', 2, async function* () { yield await Promise.resolve(1); throw new Error('broke') })
    while (jobs.get(id)!.endedAt === null) await tick()
    expect(jobs.get(id)).toMatchObject({ state: 'failed', done: 1, problem: 'broke' })
    expect(jobs.get('nobody')).toBeNull()
    expect(jobs.stop('nobody')).toBeNull()
  })
})

describe('trying again', () => {
  const failing = (times: number, fault: 'ServiceRefused' | 'ServiceFailed') => {
    let calls = 0
    return { call: () => ++calls <= times ? Promise.reject(serviceError(fault, `no ${calls}`)) : Promise.resolve(calls), calls: () => calls }
  }

  test('a refusal is tried again until it is answered', async () => expect(await withRetry(failing(2, 'ServiceRefused').call, undefined, [1, 1, 1])).toBe(3))
  test('and given up with the last reason', async () => {
    const { call, calls } = failing(9, 'ServiceFailed')
    await expect(withRetry(call, undefined, [1, 1])).rejects.toThrow('no 3')
    expect(calls()).toBe(3)
  })
  test('a mistake of ours is not repeated', async () => {
    let calls = 0
    await expect(withRetry(() => { calls++; return Promise.reject(new TypeError('ours')) }, undefined, [1, 1])).rejects.toThrow('ours')
    expect(calls).toBe(1)
  })
  test('no answer in time is a failure', async () => {
    await expect(withRetry(() => new Promise(() => undefined), undefined, [], 10)).rejects.toMatchObject({ name: 'ServiceLate' })
  })
  test('a stop ends the tries', async () => {
    const stop = new AbortController()
    stop.abort()
    const { call, calls } = failing(9, 'ServiceRefused')
    await expect(withRetry(call, stop.signal, [1, 1])).rejects.toThrow('no 1')
    expect(calls()).toBe(1)
  })
})
