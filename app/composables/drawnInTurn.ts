import { onScopeDispose, ref, type Ref } from 'vue'

/** Milliseconds for which whoever only passes by, from one view to the next, waits for no drawing. */
const REST = 150

const waiting: (() => void)[] = []
let next: ReturnType<typeof setTimeout> | undefined

function drawNext() {
  waiting.shift()?.()
  next = undefined
  // A key that is pressed meanwhile waits for one drawing, not for all of them.
  if (waiting.length) requestAnimationFrame(() => (next ??= setTimeout(drawNext)))
}

/**
 * For a drawing that takes long: it comes a moment after what it stands in, and several come one after the other.
 *
 * @returns whether it may be drawn; stays true.
 */
export function useDrawnInTurn(): Ref<boolean> {
  const drawn = ref(false)
  const draw = () => {
    drawn.value = true
  }
  waiting.push(draw)
  if (waiting.length === 1) next ??= setTimeout(drawNext, REST)
  onScopeDispose(() => {
    const at = waiting.indexOf(draw)
    if (at >= 0) waiting.splice(at, 1)
  })
  return drawn
}
