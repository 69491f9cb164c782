import { computed, nextTick, ref, watch, type Ref } from 'vue'

/**
 * Keyboard for the rows of a table: one stop of Tab for the whole table, and the arrow keys from there. What can be
 * focused in a row names itself by `data-stop`, the row by `data-row`.
 *
 * @param frame the element around the table. @param height of a row, in px.
 */
export function useRowKeys(frame: Ref<HTMLElement | null>, keys: () => string[], height: number) {
  const current = ref(0)
  const placeOf = computed(() => new Map(keys().map((key, i) => [key, i])))
  watch(
    () => placeOf.value.size,
    size => {
      current.value = Math.min(current.value, Math.max(0, size - 1))
    },
  )

  async function onRowKey(event: KeyboardEvent) {
    const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10, Home: -Infinity, End: Infinity }[event.key]
    if (step === undefined || event.altKey || event.ctrlKey || event.metaKey) return
    event.preventDefault()
    const to = Math.max(0, Math.min(placeOf.value.size - 1, current.value + step))
    const column = (event.target as HTMLElement).dataset.stop ?? 'pick'
    current.value = to
    const wrapper = frame.value!.querySelector('.v-table__wrapper')!
    // The header covers one row's height at the top.
    const top = to * height
    if (top < wrapper.scrollTop) wrapper.scrollTo({ top })
    else if (top + 2 * height > wrapper.scrollTop + wrapper.clientHeight)
      wrapper.scrollTo({ top: top + 2 * height - wrapper.clientHeight })
    await nextTick()
    // A row far away is drawn in the frame after the scroll.
    requestAnimationFrame(() =>
      requestAnimationFrame(() =>
        frame.value?.querySelector<HTMLElement>(`[data-row="${to}"] [data-stop=${column}]`)?.focus(),
      ),
    )
  }

  return {
    placeOf,
    /** The `tabindex` of what can be focused in a row. */
    tabIndex: (key: string) => (placeOf.value.get(key) === current.value ? 0 : -1),
    focusedRow: (key: string) => {
      current.value = placeOf.value.get(key)!
    },
    onRowKey,
  }
}
