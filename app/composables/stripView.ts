import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, type Ref } from 'vue'

/** How often a strip is as wide as its window at most. */
const MOST_ZOOM = 64
/** What is drawn beside the window on both sides, as a share of it. */
const BESIDE = 0.1

/**
 * A strip of time in a window that scrolls: what of it is seen, how large, and where a time stands.
 * @param view the window. @param seconds what the strip lasts.
 */
export function useStripView(view: Ref<HTMLElement | null>, seconds: () => number) {
  const { width: room } = useElementSize(view)
  const zoom = ref(1)
  /** Pixels of the strip left of its window. */
  const from = ref(0)
  const width = computed(() => Math.max(1, room.value) * zoom.value)
  /** Pixels a second. */
  const scale = computed(() => width.value / Math.max(1, seconds()))
  const timeAt = (x: number) => {
    const box = view.value!.getBoundingClientRect()
    return Math.min(seconds(), Math.max(0, (x - box.left + from.value) / scale.value))
  }
  /** @param at the time that stays where it is. */
  function zoomTo(next: number, at: number) {
    const before = at * scale.value - from.value
    zoom.value = Math.min(MOST_ZOOM, Math.max(1, next))
    void nextTick(() => {
      if (view.value) view.value.scrollLeft = at * scale.value - before
    })
  }
  return {
    zoom,
    most: MOST_ZOOM,
    from,
    width,
    scale,
    timeAt,
    zoomTo,
    /** What is in the window, in seconds, with a little on both sides. */
    shown: computed(() => {
      const part = room.value / scale.value
      const start = from.value / scale.value
      return { start: start - part * BESIDE, end: start + part * (1 + BESIDE) }
    }),
    onWheel(event: WheelEvent) {
      if (!event.ctrlKey) return
      event.preventDefault()
      zoomTo(zoom.value * (event.deltaY < 0 ? 1.25 : 0.8), timeAt(event.clientX))
    },
    /** Brings a time into the window where it is not. */
    follow(at: number) {
      const x = at * scale.value
      if (view.value && (x < from.value || x > from.value + room.value)) view.value.scrollLeft = x - room.value / 4
    },
  }
}
