type Query = Record<string, string | null | (string | null)[]>

/** Where a change on its way leads. */
let wanted: { path: string; query: Query } | null = null

/**
 * Changes of the address's query. One made while another is on its way builds on that one, not on the address still
 * shown: two quick keys both count.
 */
export function useAddress() {
  const route = useRoute()
  const router = useRouter()
  /**
   * @param changes `undefined` or `null` takes a name out.
   * @param step whether the back button returns to what was before.
   */
  return async function change(changes: Record<string, string | null | undefined>, step = false): Promise<void> {
    const { path } = route
    const query: Query = { ...(wanted?.path === path ? wanted.query : route.query) }
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
