import { useRafFn } from '@vueuse/core'
import { computed, ref, watch, type ComputedRef } from 'vue'

/** As many rows as a window shows at first. */
const FIRST = 16
/** Then so many in each frame: a key that is pressed meanwhile waits for one part, not for the whole list. */
const PART = 6

/**
 * A list whose rows take long to make, as far as it is drawn yet: what is seen at once, the rest frame by frame.
 *
 * @param of what the list is about; another one begins anew, another order does not.
 */
export function useDrawnInParts<Row>(
  list: () => readonly Row[],
  of: () => unknown = () => null,
): ComputedRef<readonly Row[]> {
  const upTo = ref(FIRST)
  const { resume, pause } = useRafFn(
    () => {
      if (upTo.value >= list().length) pause()
      else upTo.value += PART
    },
    { immediate: false },
  )
  watch(of, () => {
    upTo.value = FIRST
  })
  watch(
    () => list().length > upTo.value,
    more => {
      if (more) resume()
    },
    { immediate: true },
  )
  return computed(() => (upTo.value < list().length ? list().slice(0, upTo.value) : list()))
}
