import type { RouteLocationRaw } from 'vue-router'

type Query = Record<string, string | null | (string | null)[]>

/** Where a change of the address that is on its way leads: its own screen, or another. */
let coming: { path: string; query: Query } | null = null

/** Knows from now on which change is on its way, whoever made it. */
export function followScreens(router: ReturnType<typeof useRouter>) {
  router.beforeEach(to => {
    coming = to
  })
  router.afterEach(to => {
    if (coming === to) coming = null
  })
}

/** From its first moment on, which is before the router tells of it. */
async function onItsWay<T>(to: { path: string; query: Query }, change: () => Promise<T>): Promise<T> {
  coming = to
  try {
    return await change()
  } finally {
    if (coming === to) coming = null
  }
}

/**
 * Goes to a place of the program. Nuxt's own way (`navigateTo`) goes nowhere while another change of the address is on
 * its way, as when the brief that opens is written into it: a key pressed then was lost.
 */
export function goTo(to: RouteLocationRaw) {
  const router = useRouter()
  const { path, query } = router.resolve(to)
  return onItsWay({ path, query }, () => router.push(to))
}

/** The query of the address, or of the one that is on its way. */
export const queryAhead = (): Query => coming?.query ?? useRouter().currentRoute.value.query

/**
 * Changes of the address's query. One made while another is on its way builds on that one, not on the address still
 * shown: two quick keys both count. A screen that is being left, or was left and is still shown, changes nothing any
 * more: its change would bring it back, or reach the next one.
 * @param ofScreen whether it belongs to the screen that sets it up; else to what frames them all.
 */
export function useAddress({ ofScreen = true } = {}) {
  const route = useRoute()
  const router = useRouter()
  /**
   * @param changes `undefined` or `null` takes a name out.
   * @param step whether the back button returns to what was before.
   */
  return async function change(changes: Record<string, string | null | undefined>, step = false): Promise<void> {
    // The route given to a screen follows a moment later than the router's own.
    const { path, query: current } = router.currentRoute.value
    if ((coming && coming.path !== path) || (ofScreen && route.path !== path)) return
    const query: Query = { ...(coming?.query ?? current) }
    for (const [name, value] of Object.entries(changes)) {
      if (value === undefined || value === null) delete query[name]
      else query[name] = value
    }
    await onItsWay({ path, query }, () => (step ? router.push({ query }) : router.replace({ query })))
  }
}
