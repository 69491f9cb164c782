<script setup lang="ts">
import { regionName } from '~/composables/figures'

const region = defineModel<string | null>({ required: true })
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
const items = [
  { title: 'Everywhere', value: '' },
  ...CODES.map(code => ({ title: regionName(code), value: code })).sort((a, b) => a.title.localeCompare(b.title)),
]
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
    data-test="region"
    @update:model-value="region = $event || null"
  />
</template>
