type Query = Record<string, string | null | (string | null)[]>

/** Where a change on its way leads. */
let wanted: { path: string; query: Query } | null = null
/** The screen that is on its way, where another one is still shown. */
let coming: string | null = null

/** Knows from now on which screen is on its way. */
export function followScreens(router: ReturnType<typeof useRouter>) {
  router.beforeEach((to, from) => {
    coming = to.path === from.path ? null : to.path
  })
  router.afterEach(to => {
    if (coming === to.path) coming = null
  })
}

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
    if (coming || (ofScreen && route.path !== path)) return
    const query: Query = { ...(wanted?.path === path ? wanted.query : current) }
    for (const [name, value] of Object.entries(changes)) {
      if (value === undefined || value === null) delete query[name]
      else query[name] = value
    }
    const own = (wanted = { path, query })
    try {
      await (step ? router.push({ query }) : router.replace({ query }))
    } finally {
      if (wanted === own) wanted = null
    }
  }
}
