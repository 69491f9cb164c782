<script setup lang="ts">
import { mdiFilterVariant } from '@mdi/js'
import { computed } from 'vue'
import { INTENTS, INTENT_WORDS } from '../../../core/demand/intentNames'
import { monthWord } from '../../../core/demand/story'
import { isFigure, type DemandFilter, type NUMBERS } from '~/composables/demandQuery'

const props = defineProps<{
  filters: Record<DemandFilter, string>
  filtered: boolean
  /** Only the room of its fields is drawn yet. */
  later: boolean
}>()
const emit = defineEmits<{ filter: [change: Partial<Record<DemandFilter, string>>]; clear: [] }>()
interface Field {
  name: 'contains' | 'exclude' | (typeof NUMBERS)[number]
  label: string
  /** What tests know it by. */
  test: string
  title?: string
}
const FIELDS: readonly Field[] = [
  {
    ...{ name: 'contains', label: 'Contains', test: 'contains' },
    title: 'Phrases with any of these words. A beginning is enough: squeak finds squeaky. Separate with commas',
  },
  {
    ...{ name: 'exclude', label: 'Excludes', test: 'exclude' },
    title: 'Hide phrases with any of these whole words. Separate with commas: gold, silver',
  },
  { name: 'minWords', label: 'Words from', test: 'min-words' },
  { name: 'maxWords', label: 'to', test: 'max-words' },
  { name: 'minVolume', label: 'Min searches', test: 'volume' },
  { name: 'maxDifficulty', label: 'Difficulty to', test: 'difficulty' },
]
const isNumber = (name: Typed) => name !== 'contains' && name !== 'exclude'
type Typed = Field['name']
const FLAGS = [
  { name: 'questions', title: 'Questions only' },
  { name: 'rising', title: 'Rising only' },
  { name: 'both', title: 'Both sources suggest it' },
  { name: 'block', title: 'Web search shows videos' },
  { name: 'tray', title: 'Not in the tray' },
  { name: 'aside', title: 'Show phrases set aside' },
] as const
const MONTHS = [
  { title: 'any', value: '' },
  ...Array.from({ length: 12 }, (_, month) => ({ title: monthWord(month), value: String(month + 1) })),
]
const INTENT_ITEMS = [
  { title: 'any', value: '' },
  ...INTENTS.map(intent => ({ title: INTENT_WORDS[intent], value: intent })),
]

/** A figure that is none is said so in its field and left out of the question. */
const wrong = (name: Typed, text: string) => isNumber(name) && !isFigure(text)
const { typed, type, take } = useDebouncedFields(
  () => Object.fromEntries(FIELDS.map(({ name }) => [name, props.filters[name]])) as Record<Typed, string>,
  texts => {
    emit('filter', texts)
  },
  { meant: (name, text) => (wrong(name, text) ? '' : text.trim()) },
)
const fault = (name: Typed) => (wrong(name, typed[name]) ? 'Give a number.' : '')
const extra = computed(
  () =>
    FLAGS.filter(flag => props.filters[flag.name]).length +
    Number(props.filters.season !== '') +
    Number(props.filters.intent !== ''),
)

function clear() {
  take(Object.fromEntries(FIELDS.map(({ name }) => [name, ''])))
  emit('clear')
}

function apply(filters: Record<DemandFilter, string>) {
  take(filters)
  emit('filter', filters)
}
</script>

<template>
  <div class="filters" role="group" aria-label="Filters">
    <template v-for="{ name, label, test, title } in FIELDS" :key="name">
      <div v-if="later" class="space" :class="{ wide: !isNumber(name) }" />
      <v-text-field
        v-else
        maxlength="400"
        :class="{ wide: !isNumber(name) }"
        :label
        :title
        :inputmode="isNumber(name) ? 'numeric' : undefined"
        :model-value="typed[name]"
        :error-messages="fault(name)"
        :data-test="`filter-${test}`"
        @update:model-value="type(name, $event)"
      />
    </template>
    <v-menu :close-on-content-click="false" location="bottom end">
      <template #activator="{ props: menu }"
        ><v-btn
          v-bind="menu"
          :prepend-icon="mdiFilterVariant"
          :color="extra ? 'primary' : undefined"
          data-test="filter-more"
          >More{{ extra ? ` (${extra})` : '' }}</v-btn
        ></template
      >
      <v-sheet class="more" data-test="filter-menu">
        <v-checkbox
          v-for="flag in FLAGS"
          :key="flag.name"
          :label="flag.title"
          :model-value="filters[flag.name] === '1'"
          density="compact"
          hide-details
          color="primary"
          :data-test="`filter-${flag.name}`"
          @update:model-value="emit('filter', { [flag.name]: $event ? '1' : '' })"
        />
        <v-select
          label="Peaks in"
          :items="MONTHS"
          :model-value="filters.season"
          class="mt-3"
          data-test="filter-season"
          @update:model-value="emit('filter', { season: $event })"
        />
        <v-select
          label="The searcher wants to"
          :items="INTENT_ITEMS"
          :model-value="filters.intent"
          class="mt-3"
          data-test="filter-intent"
          @update:model-value="emit('filter', { intent: $event })"
        />
        <DemandFilterSets class="mt-3" :filters="filters" :filtered="filtered" @apply="apply" />
      </v-sheet>
    </v-menu>
    <v-btn v-if="filtered" @click="clear">Clear</v-btn>
  </div>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: flex-start;
}
.filters > * {
  flex: 0 0 118px;
}
.filters > :nth-child(4) {
  flex-basis: 60px;
}
.filters > .wide {
  flex: 1 1 110px;
}
/* As high as a field. */
.space {
  height: 40px;
  border: 1px solid var(--line);
  border-radius: 4px;
}
.filters > .v-btn {
  flex: none;
  align-self: center;
}
.more {
  padding: 10px 16px 16px;
  width: 300px;
}
</style>
