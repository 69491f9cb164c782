import { effectScope } from 'vue'
import { useDrawnInTurn } from '../../../app/composables/drawnInTurn'

beforeEach(() => {
  jest.useFakeTimers()
  Object.assign(globalThis, { requestAnimationFrame: (draw: () => void) => setTimeout(draw, 16) })
})
afterEach(() => {
  jest.useRealTimers()
})

/** Drawings that were asked for, and what leaves each. */
const ask = (n: number) =>
  Array.from({ length: n }, () => {
    const scope = effectScope()
    return { drawn: scope.run(useDrawnInTurn)!, leave: () => scope.stop() }
  })
const which = (asked: ReturnType<typeof ask>) => asked.map(({ drawn }) => drawn.value)

test('drawings come a moment later, and one after the other', () => {
  const asked = ask(3)
  jest.advanceTimersByTime(149)
  expect(which(asked)).toEqual([false, false, false])
  jest.advanceTimersByTime(1)
  expect(which(asked)).toEqual([true, false, false])
  jest.advanceTimersByTime(20)
  expect(which(asked)).toEqual([true, true, false])
  jest.advanceTimersByTime(20)
  expect(which(asked)).toEqual([true, true, true])
  const [later] = ask(1)
  jest.advanceTimersByTime(149)
  expect(later!.drawn.value).toBe(false)
  jest.advanceTimersByTime(1)
  expect(later!.drawn.value).toBe(true)
})

test('what is left before is not drawn, and holds nothing up', () => {
  const asked = ask(3)
  asked[0]!.leave()
  jest.advanceTimersByTime(200)
  expect(which(asked)).toEqual([false, true, true])
  const [passed] = ask(1)
  passed!.leave()
  const [stays] = ask(1)
  jest.advanceTimersByTime(150)
  expect([passed!.drawn.value, stays!.drawn.value]).toEqual([false, true])
})
