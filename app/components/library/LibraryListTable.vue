<script setup lang="ts">
import type { ListPhrase } from '../../../shared/lists'
import type { PhraseRow } from '../../../shared/phrases'
import { inFull, rounded, UNKNOWN } from '~/composables/figures'
import { useWorkspace } from '~/stores/workspace'

type Row = ListPhrase & { row: PhraseRow | null }

/** The phrases of a list with their figures, of which some are chosen. */
defineProps<{ rows: Row[] }>()
const chosen = defineModel<string[]>({ required: true })
const emit = defineEmits<{ note: [phrase: string, note: string] }>()
const workspace = useWorkspace()

const worthOf = ({ row }: Row) => row?.worth[workspace.perspective] ?? null
/** What is not known comes last of ascending figures. */
const last = (value: number | null | undefined) => value ?? -1
const HEADERS = [
  { key: 'pick', title: '', sortable: false, width: 44 },
  { key: 'phrase', title: 'Phrase' },
  { key: 'volume', title: 'Searches', align: 'end', width: 110, value: (item: Row) => last(item.row?.volume) },
  {
    key: 'difficulty',
    title: 'Difficulty',
    align: 'end',
    width: 110,
    value: (item: Row) => last(item.row?.difficulty),
  },
  { key: 'worth', title: 'Worth', align: 'end', width: 90, value: (item: Row) => last(worthOf(item)) },
  { key: 'note', title: 'Note', width: '34%' },
] as const
</script>

<template>
  <ShellTable
    :headers="HEADERS"
    :items="rows"
    item-value="phrase"
    density="compact"
    fixed-header
    class="sheet table"
    tabindex="0"
    aria-label="Phrases of the list"
    data-test="list-phrases"
  >
    <template #[`item.pick`]="{ item }"
      ><input v-model="chosen" type="checkbox" :value="item.phrase" :aria-label="`Select ${item.phrase}`"
    /></template>
    <template #[`item.volume`]="{ item }"
      ><span class="figure" :title="inFull(item.row?.volume ?? null)">{{ rounded(item.row?.volume) }}</span></template
    >
    <template #[`item.difficulty`]="{ item }"
      ><span class="figure">{{
        item.row?.difficulty == null ? UNKNOWN : Math.round(item.row.difficulty)
      }}</span></template
    >
    <template #[`item.worth`]="{ item }"
      ><span class="figure">{{ worthOf(item) === null ? UNKNOWN : Math.round(worthOf(item)!) }}</span></template
    >
    <template #[`item.note`]="{ item }"
      ><ShellTyped
        class="note"
        :value="item.note"
        maxlength="4000"
        :aria-label="`Note on ${item.phrase}`"
        placeholder="note"
        @typed="emit('note', item.phrase, $event)"
    /></template>
    <template #no-data
      ><p class="muted empty">
        No phrases yet. Select some on the Demand screen and press <em>To a list</em>, or import a file.
      </p></template
    >
  </ShellTable>
</template>

<style scoped>
.table {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
.note {
  width: 100%;
  border: 0;
  border-bottom: 1px dotted var(--line);
  background: transparent;
  color: inherit;
  font: inherit;
}
.empty {
  padding: 24px;
}
input[type='checkbox'] {
  accent-color: var(--teal);
}
input[type='checkbox'] {
  accent-color: var(--teal);
}
</style>
