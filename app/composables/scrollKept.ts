import { useEventListener, type MaybeElementRef, unrefElement } from '@vueuse/core'
import { onActivated } from 'vue'

/**
 * What scrolls stands where it was when it is shown again after it was away: browsers forget that.
 * @param root what scrolls, or holds it.
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
