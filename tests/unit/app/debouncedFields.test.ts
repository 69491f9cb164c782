import { nextTick, reactive } from 'vue'
import { useDebouncedFields } from '../../../app/composables/debouncedFields'

/** An address that takes what is told when it is let, as a navigation takes its time. */
function setUp(meant?: (name: string, text: string) => string) {
  const kept = reactive<Record<'holds' | 'volume', string>>({ holds: '', volume: '' })
  const tells: Partial<typeof kept>[] = []
  const typing = useDebouncedFields(
    () => ({ ...kept }),
    texts => {
      tells.push(texts)
    },
    { meant },
  )
  const arrive = async () => {
    Object.assign(kept, tells.shift())
    await nextTick()
  }
  const turnTo = async (texts: Partial<typeof kept>) => {
    Object.assign(kept, texts)
    await nextTick()
  }
  return { ...typing, tells, arrive, turnTo }
}

beforeEach(() => {
  jest.useFakeTimers({ doNotFake: ['nextTick', 'queueMicrotask'] })
})
afterEach(() => {
  jest.useRealTimers()
})
const rest = () => jest.advanceTimersByTimeAsync(250)

test('letters are told together once the typing rests, only of the texts that were typed', async () => {
  const { type, tells } = setUp()
  type('volume', '1')
  await jest.advanceTimersByTimeAsync(200)
  type('volume', '10')
  await jest.advanceTimersByTimeAsync(200)
  expect(tells).toEqual([])
  await rest()
  expect(tells).toEqual([{ volume: '10' }])
})

test('what comes back does not take away letters typed meanwhile, in the same field or another', async () => {
  const { typed, type, tells, arrive } = setUp()
  type('volume', '1')
  await rest()
  type('volume', '10')
  type('holds', 'cle')
  await arrive()
  expect(typed).toEqual({ holds: 'cle', volume: '10' })
  await rest()
  type('holds', 'clean')
  await arrive()
  expect(typed).toEqual({ holds: 'clean', volume: '10' })
  await rest()
  expect(tells).toEqual([{ holds: 'clean' }])
})

test('two told before the first comes back: the first changes nothing when it does', async () => {
  const { typed, type, arrive } = setUp()
  type('volume', '1')
  await rest()
  type('volume', '12')
  await rest()
  await arrive()
  expect(typed.volume).toBe('12')
  await arrive()
  expect(typed.volume).toBe('12')
})

test('one told and overtaken is forgotten: later changes from outside count', async () => {
  const { typed, type, tells, arrive, turnTo } = setUp()
  type('volume', '1')
  await rest()
  type('volume', '12')
  await rest()
  tells.shift()
  await arrive()
  await turnTo({ volume: '1' })
  expect(typed.volume).toBe('1')
})

test('the back button, a link or a button takes the place of what is typed', async () => {
  const { typed, type, take, tells, turnTo } = setUp()
  await turnTo({ holds: 'wash' })
  expect(typed.holds).toBe('wash')
  type('holds', 'wash and')
  take({ holds: '', volume: '5' })
  await rest()
  expect(typed).toEqual({ holds: '', volume: '5' })
  expect(tells).toEqual([])
})

test('a text that means nothing is told as nothing and stays in its field', async () => {
  const { typed, type, tells, arrive, turnTo } = setUp((name, text) => (name === 'volume' && !Number(text) ? '' : text))
  await turnTo({ volume: '100' })
  type('volume', 'lots')
  await rest()
  expect(tells).toEqual([{ volume: '' }])
  await arrive()
  expect(typed.volume).toBe('lots')
})
