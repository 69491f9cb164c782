<script setup lang="ts">
import { computed } from 'vue'
import { regionName } from '~/composables/figures'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

const region = defineModel<string | null>({ required: true })
const library = useLibrary()
const workspace = useWorkspace()
// The regions offered first; any other ISO code can be given in the address.
const CODES = [
  'US',
  'GB',
  'CA',
  'AU',
  'IE',
  'NZ',
  'ZA',
  'IN',
  'PH',
  'SG',
  'DE',
  'NL',
  'FR',
  'ES',
  'IT',
  'PL',
  'SE',
  'NO',
  'DK',
  'FI',
  'BE',
  'CH',
  'AT',
  'JP',
  'BR',
]
const named = (codes: string[]) =>
  codes.map(code => ({ title: regionName(code), value: code })).sort((a, b) => a.title.localeCompare(b.title))
/** Regions of the channels and briefs there are come first. */
const used = computed(() => [
  ...new Set([...workspace.workspaces, ...library.briefs].map(each => each.region).filter(code => code !== null)),
])
const items = computed(() => [
  { title: 'Everywhere', value: '' },
  ...named(used.value),
  ...named(CODES.filter(code => !used.value.includes(code))),
])
</script>

<template>
  <v-autocomplete
    :model-value="region ?? ''"
    :items="items"
    label="Region"
    variant="outlined"
    density="compact"
    hide-details
    auto-select-first
    no-data-text="No region of this name. Its two letters can be given in the address."
    data-test="region"
    @focusin="selectAll"
    @update:model-value="region = $event || null"
  />
</template>
