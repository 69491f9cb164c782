import { onScopeDispose, ref, watch, type Ref } from 'vue'

/** Milliseconds that what comes later waits at most for a moment in which nothing else is to be done. */
const AT_MOST = 200

/**
 * For what stands beside that which a person opened a screen for, and takes long to make.
 *
 * @param first whether what comes first is there.
 * @returns whether it has also been drawn; stays true.
 */
export function useDrawnAfter(first: () => boolean): Ref<boolean> {
  const drawn = ref(false)
  let frame = 0
  const stop = watch(
    first,
    there => {
      if (!there || frame) return
      frame = requestAnimationFrame(() =>
        requestIdleCallback(
          () => {
            drawn.value = true
            stop()
          },
          { timeout: AT_MOST },
        ),
      )
    },
    { immediate: true },
  )
  onScopeDispose(() => cancelAnimationFrame(frame))
  return drawn
}
