<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { reactive, watch } from 'vue'
import type { DemandQuery } from '~/composables/demandQuery'

type Filters = Pick<DemandQuery, 'contains' | 'minWords' | 'maxWords' | 'minVolume' | 'maxDifficulty'>

const props = defineProps<{ query: DemandQuery, filtered: boolean }>()
const emit = defineEmits<{ filter: [change: Partial<Filters>], clear: [] }>()
const NAMES = ['contains', 'minWords', 'maxWords', 'minVolume', 'maxDifficulty'] as const
const typed = reactive<Filters>({ contains: '', minWords: '', maxWords: '', minVolume: '', maxDifficulty: '' })
watch(() => props.query, (query) => { for (const name of NAMES) typed[name] = query[name] }, { immediate: true })

const tell = useDebounceFn(() => emit('filter', { ...typed, ...(NAMES.some(wrong) ? Object.fromEntries(NAMES.filter(wrong).map(name => [name, ''])) : {}) }), 250)

/** A figure that is none is said so in its field and left out of the question. */
function wrong(name: keyof Filters): boolean {
  return name !== 'contains' && typed[name] !== '' && !(Number(typed[name]) >= 0)
}

const fault = (name: keyof Filters) => wrong(name) ? 'Give a number.' : ''

function type(name: keyof Filters, value: string) {
  typed[name] = (value ?? '').slice(0, 200)
  void tell()
}
</script>

<template>
  <div class="filters" role="group" aria-label="Filters">
    <v-text-field class="wide" label="Holds my words" :model-value="typed.contains" data-test="filter-contains" @update:model-value="type('contains', $event)" />
    <v-text-field label="Words from" inputmode="numeric" :model-value="typed.minWords" :error-messages="fault('minWords')" data-test="filter-min-words" @update:model-value="type('minWords', $event)" />
    <v-text-field label="to" inputmode="numeric" :model-value="typed.maxWords" :error-messages="fault('maxWords')" @update:model-value="type('maxWords', $event)" />
    <v-text-field label="Least volume" inputmode="numeric" :model-value="typed.minVolume" :error-messages="fault('minVolume')" data-test="filter-volume" @update:model-value="type('minVolume', $event)" />
    <v-text-field label="Difficulty up to" inputmode="numeric" :model-value="typed.maxDifficulty" :error-messages="fault('maxDifficulty')" data-test="filter-difficulty" @update:model-value="type('maxDifficulty', $event)" />
    <v-btn v-if="filtered" @click="emit('clear')">Clear</v-btn>
  </div>
</template>

<style scoped>
.filters { display: flex; gap: 8px; align-items: flex-start; }
.filters > * { flex: 0 0 116px; }
.filters > :nth-child(3) { flex-basis: 72px; }
.filters > :nth-child(5) { flex-basis: 136px; }
.filters > .wide { flex: 1 1 180px; }
.filters > .v-btn { flex: none; align-self: center; }
</style>
