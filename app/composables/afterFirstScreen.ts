/** Milliseconds that a screen has for itself once the program is up. */
const ITS_OWN = 3000
/** Milliseconds without a key, a click or a turn of the wheel, after which the hand is taken to rest. */
const REST = 1000
const BY_HAND = ['keydown', 'pointerdown', 'wheel'] as const

/**
 * Does something that no screen begins with, once the first one has had the processor and the line to itself, and
 * nobody waits for an answer of the screen.
 */
export function afterFirstScreen(then: () => void): void {
  let last = -Infinity
  const touched = () => {
    last = performance.now()
  }
  const listen = (how: 'addEventListener' | 'removeEventListener') => {
    for (const each of BY_HAND) window[how](each, touched, { capture: true, passive: true })
  }
  const whenAtRest = () => {
    const left = last + REST - performance.now()
    if (left > 0) return void setTimeout(whenAtRest, left)
    listen('removeEventListener')
    requestIdleCallback(then)
  }
  onNuxtReady(() => {
    listen('addEventListener')
    setTimeout(whenAtRest, ITS_OWN)
  })
}
