import { useEventListener, type MaybeElementRef, unrefElement } from '@vueuse/core'
import { onActivated } from 'vue'

/**
 * Keeps the scroll position of a component in a KeepAlive, which browsers forget while it is out of the page.
 * @param root the element that scrolls, or one that holds it.
 */
export function useScrollKept(root: MaybeElementRef): void {
  let last: { element: Element; top: number; left: number } | null = null
  useEventListener(
    () => unrefElement(root),
    'scroll',
    ({ target }) => {
      const element = target as Element
      last = { element, top: element.scrollTop, left: element.scrollLeft }
    },
    { capture: true, passive: true },
  )
  onActivated(() => last?.element.scrollTo(last))
}
