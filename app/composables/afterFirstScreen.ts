/** Milliseconds that a screen has for itself once the program is up. */
const ITS_OWN = 3000

/** Does something that no screen begins with, once the first one has had the processor and the line to itself. */
export function afterFirstScreen(then: () => void): void {
  onNuxtReady(() => setTimeout(() => requestIdleCallback(then), ITS_OWN))
}
