import { computed } from 'vue'
import { regionName } from '~/composables/figures'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

// The regions offered first; any other ISO code can be given in the address.
const CODES = 'US GB CA AU IE NZ ZA IN PH SG DE NL FR ES IT PL SE NO DK FI BE CH AT JP BR'.split(' ')

const named = (codes: readonly string[]) =>
  codes.map(code => ({ title: regionName(code), value: code })).sort((a, b) => a.title.localeCompare(b.title))

/** Regions to choose from, '' being everywhere: those of the channels and briefs there are come first. */
export function useRegionChoices() {
  const library = useLibrary()
  const workspace = useWorkspace()
  const used = computed(() => [
    ...new Set([...workspace.workspaces, ...library.briefs].map(each => each.region).filter(code => code !== null)),
  ])
  return computed(() => [
    { title: 'Everywhere', value: '' },
    ...named(used.value),
    ...named(CODES.filter(code => !used.value.includes(code))),
  ])
}
