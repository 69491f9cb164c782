import { nextTick, onBeforeUnmount } from 'vue'

/** Where the keyboard was when a dialog opened, it is again when that closes, if it is still there. */
export function useFocusBack(): void {
  const before = document.activeElement
  onBeforeUnmount(() => {
    void nextTick(() => {
      if (
        before instanceof HTMLElement &&
        before !== document.body &&
        before.isConnected &&
        (document.activeElement === document.body || !document.activeElement)
      )
        before.focus()
    })
  })
}
