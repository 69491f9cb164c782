import { effectScope, nextTick, ref } from 'vue'
import { useDrawnAfter } from '../../../app/composables/drawnAfter'

/** Frames and idle moments that are waited for, each had when it is let. */
let frames: (() => void)[] = []
const idle: (() => void)[] = []
Object.assign(globalThis, {
  requestAnimationFrame: (draw: () => void) => frames.push(draw),
  cancelAnimationFrame: () => {
    frames = []
  },
  requestIdleCallback: (act: () => void) => idle.push(act),
})
const frame = () => frames.splice(0).forEach(draw => draw())
const rest = () => idle.splice(0).forEach(act => act())

test('what comes later is made once the first was drawn and nothing else is to be done, and stays', async () => {
  const first = ref(false)
  const drawn = effectScope().run(() => useDrawnAfter(() => first.value))!
  frame()
  rest()
  expect(drawn.value).toBe(false)
  first.value = true
  await nextTick()
  rest()
  expect(drawn.value).toBe(false)
  frame()
  expect(drawn.value).toBe(false)
  rest()
  expect(drawn.value).toBe(true)
  first.value = false
  await nextTick()
  expect(drawn.value).toBe(true)
})

test('a screen that is left before asks for no frame any more', () => {
  const scope = effectScope()
  const drawn = scope.run(() => useDrawnAfter(() => true))!
  expect(frames).toHaveLength(1)
  scope.stop()
  expect(frames).toHaveLength(0)
  expect(drawn.value).toBe(false)
})
