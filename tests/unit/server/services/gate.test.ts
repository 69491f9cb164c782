import { serviceError, type Answer } from '../../../../server/services/contract'
import { gate, type AskService } from '../../../../server/services/gate'

const answer = <Data>(data: Data): Answer<Data> => ({ source: 's', at: 1, complete: true, data })
/** A service that answers when it is told to. */
function held() {
  const waiting: { args: unknown[]; answer: (data: unknown) => void; refuse: () => void }[] = []
  const ask: AskService = (_, __, args) =>
    new Promise((resolve, reject) => {
      waiting.push({
        args,
        answer: data => {
          resolve(answer(data))
        },
        refuse: () => {
          reject(serviceError('ServiceRefused', 'too many'))
        },
      })
    })
  return { ask, waiting }
}
const turn = () => new Promise(resolve => setImmediate(resolve))

test('equal calls under way are one call; later ones are calls of their own', async () => {
  const { ask, waiting } = held()
  const services = gate(ask)
  const both = Promise.all([
    services.demand.related('chain', null, 'en'),
    services.demand.related('chain', null, 'en'),
    services.demand.related('bell', null, 'en'),
  ])
  await turn()
  expect(waiting.map(each => each.args[0])).toEqual(['chain', 'bell'])
  for (const each of waiting) each.answer([each.args[0]])
  expect((await both).map(each => each.data)).toEqual([['chain'], ['chain'], ['bell']])
  void services.demand.related('chain', null, 'en')
  await turn()
  expect(waiting).toHaveLength(3)
})

test('no more than a budget is asked of one service at a time; another service has its own', async () => {
  const { ask, waiting } = held()
  const services = gate(ask)
  const many = Array.from({ length: 100 }, (_, i) => services.demand.related(String(i), null, 'en'))
  void services.web.videoBlock('chain', null, 'en')
  await turn()
  expect(waiting).toHaveLength(33)
  waiting[0]!.answer([])
  await turn()
  await turn()
  expect(waiting).toHaveLength(34)
  // More come while these are answered.
  for (const each of waiting) {
    each.answer([])
    await turn()
    await turn()
  }
  expect(await Promise.all(many)).toHaveLength(100)
})

test('after a refusal all calls to the service wait, longer after each; a success ends that', async () => {
  jest.useFakeTimers({ now: 0, doNotFake: ['setImmediate', 'nextTick'] })
  try {
    const { ask, waiting } = held()
    const services = gate(ask)
    const refused = async () => {
      const call = services.demand.related('chain', null, 'en').catch((error: Error) => error.name)
      await turn()
      waiting.at(-1)!.refuse()
      expect(await call).toBe('ServiceRefused')
    }
    await refused()
    const next = services.demand.related('bell', null, 'en')
    await turn()
    expect(waiting).toHaveLength(1)
    await jest.advanceTimersByTimeAsync(150)
    expect(waiting).toHaveLength(2)
    waiting[1]!.answer(['bell'])
    expect((await next).data).toEqual(['bell'])
    void services.demand.related('horn', null, 'en')
    await turn()
    expect(waiting).toHaveLength(3)
  } finally {
    jest.useRealTimers()
  }
})

test('suggestions are remembered, half ones not, and none once another service is asked', async () => {
  let complete = false
  let calls = 0
  const services = gate(() => {
    calls++
    return Promise.resolve({ ...answer(['a']), complete })
  })
  await services.site.suggest('b', null, 'en')
  complete = true
  await services.site.suggest('b', null, 'en')
  await services.site.suggest('b', null, 'en')
  expect(calls).toBe(2)
  services.forget()
  await services.site.suggest('b', null, 'en')
  expect(calls).toBe(3)
})
