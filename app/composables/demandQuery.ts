import { computed } from 'vue'
import type { LocationQuery } from 'vue-router'
import { useBrief } from '~/stores/brief'
import { useDemand } from '~/stores/demand'
import { useWorkspace, type Perspective } from '~/stores/workspace'
import { askAhead } from './firstAnswers'

/** What the Demand screen asks, as it stands in the address. Flags are '1' or ''. */
export interface DemandQuery {
  seed: string
  region: string | null
  contains: string
  exclude: string
  minWords: string
  maxWords: string
  minVolume: string
  maxDifficulty: string
  questions: string
  rising: string
  both: string
  block: string
  season: string
  intent: string
  tray: string
  aside: string
  sort: string
  for: Perspective
}

const NAMES = {
  contains: 'holds',
  exclude: 'without',
  minWords: 'words-from',
  maxWords: 'words-to',
  minVolume: 'volume',
  maxDifficulty: 'difficulty',
  questions: 'questions',
  rising: 'rising',
  both: 'both',
  block: 'videos',
  season: 'season',
  intent: 'intent',
  tray: 'untrayed',
  aside: 'aside',
  sort: 'sort',
} as const
export type DemandFilter = Exclude<keyof typeof NAMES, 'sort'>
const FILTERS = (Object.keys(NAMES) as (keyof typeof NAMES)[]).filter((name): name is DemandFilter => name !== 'sort')
/** Filters that are figures; what is none, in a link perhaps, is marked in its field and left out of the question. */
export const NUMBERS = ['minWords', 'maxWords', 'minVolume', 'maxDifficulty'] as const satisfies readonly DemandFilter[]
export const isFigure = (text: string) => text === '' || Number(text) >= 0
const FIRST_SORT = 'volume:desc'
const PERSPECTIVES: readonly Perspective[] = ['anyone', 'channel']

export const DEMAND_VIEWS = ['table', 'chart', 'year', 'groups'] as const
export type DemandView = (typeof DEMAND_VIEWS)[number]

const textIn = (address: LocationQuery, name: string) => (typeof address[name] === 'string' ? address[name] : '')
const filtersIn = (address: LocationQuery) =>
  Object.fromEntries(FILTERS.map(name => [name, textIn(address, NAMES[name])])) as Record<DemandFilter, string>

/** The question in an address. @param otherwise the region and perspective used where the address names none. */
export function demandQuery(
  address: LocationQuery,
  otherwise: { region: string | null; perspective: Perspective },
): DemandQuery {
  const filters = filtersIn(address)
  return {
    seed: textIn(address, 'seed'),
    region: address.region === undefined ? otherwise.region : textIn(address, 'region') || null,
    ...filters,
    ...Object.fromEntries(NUMBERS.filter(name => !isFigure(filters[name])).map(name => [name, ''])),
    sort: textIn(address, NAMES.sort) || FIRST_SORT,
    for: PERSPECTIVES.find(each => each === address.for) ?? otherwise.perspective,
  }
}

/** Asks what the screen will ask, while it is still being made. */
export const askPhrasesAhead = (address: LocationQuery) =>
  askAhead(async () => {
    const workspace = useWorkspace()
    if (typeof address.brief === 'string' && useBrief().brief?.id !== address.brief) return
    await useDemand().ask(demandQuery(address, workspace), workspace.language)
  })

/**
 * The question in the address, and how to change it. A new seed is a step the browser can go back; a filter is none.
 */
export function useDemandQuery() {
  const route = useRoute()
  const workspace = useWorkspace()
  const text = (name: string) => textIn(route.query, name)
  const filters = computed(() => filtersIn(route.query))
  const query = computed(() => demandQuery(route.query, workspace))

  const address = useAddress()
  /** What becomes empty goes. */
  const change = (changes: Record<string, string | null | undefined>, step = false) =>
    address(Object.fromEntries(Object.entries(changes).map(([name, value]) => [name, value ? value : undefined])), step)

  const filter = (changes: Partial<Record<keyof typeof NAMES, string>>) =>
    change(
      Object.fromEntries(
        (Object.entries(changes) as [keyof typeof NAMES, string][]).map(([name, value]) => [
          NAMES[name],
          name === 'sort' && value === FIRST_SORT ? '' : value,
        ]),
      ),
    )

  return {
    query,
    filters,
    filter,
    filtered: computed(() => FILTERS.some(name => name !== 'aside' && filters.value[name] !== '')),
    clear: () => filter(Object.fromEntries(FILTERS.map(name => [name, '']))),
    ask: (seed: string) => change({ seed, phrase: '' }, true),
    region: (region: string | null) => address({ region: region ?? '' }, true),
    view: computed<DemandView>(() => DEMAND_VIEWS.find(view => view === text('view')) ?? 'table'),
    show: (view: DemandView) => change({ view: view === 'table' ? '' : view }, true),
    /** The phrase whose sheet is open, and what else is open over the screen. */
    phrase: computed(() => text('phrase') || null),
    open: (phrase: string | null) => change({ phrase }, true),
    longer: computed(() => text('longer') || null),
    lengthen: (phrase: string | null) => change({ longer: phrase }, true),
    shortlist: computed(() => text('shortlist').split(',').filter(Boolean)),
    compare: (phrases: string[]) => change({ shortlist: phrases.join(',') }, true),
    places: computed(() => text('places') === '1'),
    cross: (open: boolean) => change({ places: open ? '1' : '' }, true),
  }
}
