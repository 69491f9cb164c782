import { computed, nextTick, ref, watch, type Ref } from 'vue'

/**
 * Keyboard for the rows of a table: one stop of Tab for the whole table, and the arrow keys from there. What can be
 * focused in a row names itself by `data-stop`, the row by `data-row`.
 *
 * @param frame the element around the table. @param height of a row, in px.
 */
export function useRowKeys(frame: Ref<HTMLElement | null>, keys: () => string[], height: number) {
  const current = ref(0)
  /** The row that has the focus in a moment: a key pressed before goes on from there. */
  let next: number | null = null
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
    // What is focused may show another row by now than the one it was focused for.
    const from = next ?? Number((event.target as HTMLElement).closest<HTMLElement>('[data-row]')!.dataset.row)
    const to = Math.max(0, Math.min(placeOf.value.size - 1, from + step))
    const column = (event.target as HTMLElement).dataset.stop ?? 'pick'
    current.value = next = to
    const wrapper = frame.value!.querySelector('.v-table__wrapper')!
    // The header covers one row's height at the top.
    const top = to * height
    if (top < wrapper.scrollTop) wrapper.scrollTo({ top })
    else if (top + 2 * height > wrapper.scrollTop + wrapper.clientHeight)
      wrapper.scrollTo({ top: top + 2 * height - wrapper.clientHeight })
    await nextTick()
    // A row far away is drawn in the frame after the scroll.
    requestAnimationFrame(() =>
      requestAnimationFrame(() => {
        if (next !== to) return
        next = null
        frame.value?.querySelector<HTMLElement>(`[data-row="${to}"] [data-stop=${column}]`)?.focus()
      }),
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
