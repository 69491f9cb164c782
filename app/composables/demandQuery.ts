import { computed } from 'vue'

/** What the Demand screen asks, as it stands in the address. */
export interface DemandQuery {
  seed: string
  region: string | null
  contains: string
  minWords: string
  maxWords: string
  minVolume: string
  maxDifficulty: string
  sort: string
}

const NAMES = { contains: 'holds', minWords: 'words-from', maxWords: 'words-to', minVolume: 'volume', maxDifficulty: 'difficulty', sort: 'sort' } as const
const FIRST_SORT = 'volume:desc'

/** The question in the address, and how to change it. A new seed is a step the browser can go back; a filter is none. */
export function useDemandQuery(regionOfBrief: () => string | null) {
  const route = useRoute()
  const router = useRouter()
  const text = (name: string) => typeof route.query[name] === 'string' ? route.query[name] : ''
  const query = computed<DemandQuery>(() => ({
    seed: text('seed'),
    region: route.query.region === undefined ? regionOfBrief() : text('region') || null,
    contains: text(NAMES.contains),
    minWords: text(NAMES.minWords),
    maxWords: text(NAMES.maxWords),
    minVolume: text(NAMES.minVolume),
    maxDifficulty: text(NAMES.maxDifficulty),
    sort: text(NAMES.sort) || FIRST_SORT,
  }))

  function filter(change: Partial<Omit<DemandQuery, 'seed' | 'region'>>) {
    const next: Record<string, string | undefined> = { ...route.query as Record<string, string> }
    for (const [name, value] of Object.entries(change) as [keyof typeof NAMES, string][]) {
      const shown = name === 'sort' && value === FIRST_SORT ? '' : value
      if (shown) next[NAMES[name]] = shown
      else delete next[NAMES[name]]
    }
    return router.replace({ query: next })
  }

  return {
    query,
    filter,
    filtered: computed(() => Boolean(query.value.contains || query.value.minWords || query.value.maxWords || query.value.minVolume || query.value.maxDifficulty)),
    clear: () => filter({ contains: '', minWords: '', maxWords: '', minVolume: '', maxDifficulty: '' }),
    ask: (seed: string) => router.push({ query: { ...route.query, seed } }),
    region: (region: string | null) => router.push({ query: { ...route.query, region: region ?? '' } }),
  }
}
