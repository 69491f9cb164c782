import { useVirtualList } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { MOST_ON_PAPER, usePrinting, useSeenAfterPrinting } from '~/composables/printing'

/** Rows drawn above and below those that are seen. */
const SPARE = 3
/** So many are drawn before the room for them is known. */
const FIRST = 20

/**
 * The rows of a long table that are seen, and a few around them; on paper all of them.
 *
 * A row that comes into sight takes over the place of one that went out of it: to change what stands there takes less
 * than to make it anew.
 *
 * @param height of every row, in pixels.
 */
export function useSeenRows<Row>(rows: Ref<Row[]>, height: number) {
  const printing = usePrinting()
  const { list, containerProps } = useVirtualList(rows, { itemHeight: height, overscan: SPARE })
  useSeenAfterPrinting(() => containerProps.ref.value)
  // Numbers, so that nothing is drawn anew by a scroll that brings no row.
  const from = computed(() => (printing.value ? 0 : (list.value[0]?.index ?? 0)))
  const to = computed(() => (printing.value ? MOST_ON_PAPER : list.value.length ? list.value.at(-1)!.index + 1 : FIRST))
  /** Places that rows take in turn: never fewer than are drawn, or two would want the same. */
  let places = FIRST
  return {
    /** For what scrolls. */
    frame: containerProps,
    seen: computed(() => {
      const drawn = rows.value.slice(from.value, to.value)
      if (!printing.value) places = Math.max(places, drawn.length + SPARE)
      const turn = printing.value ? drawn.length : places
      return drawn.map((row, i) => ({ row, place: from.value + i, key: (from.value + i) % turn }))
    }),
    /** Pixels that the rows above and below take. */
    above: computed(() => from.value * height),
    below: computed(() => (printing.value ? 0 : Math.max(0, rows.value.length - to.value) * height)),
    /** Rows that are left out on paper. */
    leftOut: computed(() => (printing.value ? Math.max(0, rows.value.length - MOST_ON_PAPER) : 0)),
  }
}
