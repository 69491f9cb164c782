import { createSharedComposable, useEventListener, useMediaQuery } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'

/** Rows of a list that are put on paper: more would be a book, and take minutes to draw. */
export const MOST_ON_PAPER = 2000

/** Whether what is shown is for paper: a printer has no scroll bar, so nothing may be left out that is not seen. */
export const usePrinting = createSharedComposable(() => {
  // Told while what is printed can still be drawn anew; the medium follows too late for that, and is what tests set.
  const asked = ref(false)
  useEventListener('beforeprint', () => {
    asked.value = true
  })
  useEventListener('afterprint', () => {
    asked.value = false
  })
  const medium = useMediaQuery('print')
  return computed(() => asked.value || medium.value)
})

/**
 * A list that was scrolled is seen from the same row after it has been printed: on paper it has no frame to scroll in.
 *
 * @param frame what scrolls, as it is on the screen.
 */
export function useSeenAfterPrinting(frame: () => Element | null | undefined): void {
  const printing = usePrinting()
  let above = 0
  watch(printing, async now => {
    if (now) return void (above = frame()?.scrollTop ?? 0)
    await nextTick()
    frame()?.scrollTo({ top: above })
  })
}
