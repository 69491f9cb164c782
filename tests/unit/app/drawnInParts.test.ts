import { nextTick, ref, shallowRef } from 'vue'

/** Frames that are waited for, each drawn when it is let. */
const frames: (() => void)[] = []
Object.assign(globalThis, {
  document: {},
  window: {
    requestAnimationFrame: (draw: () => void) => frames.push(draw),
    cancelAnimationFrame: () => undefined,
  },
})
async function frame() {
  for (const draw of frames.splice(0)) draw()
  await nextTick()
}
const rows = (n: number) => Array.from({ length: n }, (_, i) => i)

async function setUp(n: number) {
  // It asks for a window when it is loaded.
  const { useDrawnInParts } = await import('../../../app/composables/drawnInParts')
  const list = shallowRef(rows(n))
  const of = ref('one')
  const drawn = useDrawnInParts(
    () => list.value,
    () => of.value,
  )
  return { list, of, drawn }
}

test('what is seen is drawn at once, the rest a part in each frame, and then it rests', async () => {
  const { drawn } = await setUp(60)
  expect(drawn.value).toEqual(rows(16))
  const seen = [16]
  for (let n = 0; n < 20; n++) {
    await frame()
    if (drawn.value.length !== seen.at(-1)) seen.push(drawn.value.length)
  }
  expect(seen).toEqual([16, 22, 28, 34, 40, 46, 52, 58, 60])
  expect(drawn.value).toEqual(rows(60))
  expect(frames).toHaveLength(0)
})

test('another order keeps all of it, another list begins anew', async () => {
  const { list, of, drawn } = await setUp(40)
  for (let n = 0; n < 10; n++) await frame()
  list.value = [...list.value].reverse()
  await nextTick()
  expect(drawn.value).toHaveLength(40)
  expect(drawn.value[0]).toBe(39)
  of.value = 'two'
  list.value = rows(50)
  await nextTick()
  expect(drawn.value).toEqual(rows(16))
  for (let n = 0; n < 10; n++) await frame()
  expect(drawn.value).toEqual(rows(50))
})

test('a short list is there at once', async () => {
  const { drawn } = await setUp(5)
  expect(drawn.value).toEqual(rows(5))
  expect(frames).toHaveLength(0)
})
