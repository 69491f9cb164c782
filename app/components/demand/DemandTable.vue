<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, onActivated, onDeactivated, ref, watch } from 'vue'
import type { PhraseRow } from '../../../shared/phrases'
import { words } from '../../../core/text/words'
import { OPEN, phraseColumns, sparedColumns } from '~/composables/columns'
import { useTray } from '~/stores/tray'
import type { Perspective } from '~/stores/workspace'

const props = defineProps<{
  rows: PhraseRow[]
  seed: string
  sort: string
  loading: boolean
  assessing: boolean
  perspective: Perspective
  open: string | null
  narrow: boolean
}>()
const selected = defineModel<string[]>('selected', { required: true })
const emit = defineEmits<{
  sort: [sort: string]
  seed: [phrase: string]
  worth: [phrase: string]
  open: [phrase: string]
  range: [from: number, to: number]
}>()
const tray = useTray()
const ROW = 34
/** Holds the line of a head that is not sorted by. */
const NOTHING = '\u00a0'

const frame = ref<HTMLElement | null>(null)
const { height, width } = useElementSize(frame)
const spared = computed(() => sparedColumns(props.perspective, width.value))
const columns = computed(() => phraseColumns(props.perspective, props.narrow, spared.value))
// Head and rows are drawn here: the table needs to know of the columns only how many they are. Told what they show it
// would read each of them out of all its rows whenever a figure comes.
const headers = computed(() => Array.from({ length: columns.value.length + 2 }, () => ({ title: '', sortable: false })))
const keys = computed(() => new Set<string>(columns.value.map(column => column.key)))
const sorted = computed(() => {
  const [column, direction] = props.sort.split(':')
  return { column, direction }
})
const seedWords = computed(() => new Set(words(props.seed).map(word => word.norm)))

function sortBy(key: string) {
  const firstDirection =
    key === 'phrase' || key === 'difficulty' || key === 'words' || key === 'competition' ? 'asc' : 'desc'
  const { column, direction } = sorted.value
  emit('sort', `${key}:${column === key ? (direction === 'asc' ? 'desc' : 'asc') : firstDirection}`)
}

const standing = (phrase: string) =>
  tray.tray.lead === phrase
    ? 'lead'
    : tray.tray.support.includes(phrase)
      ? 'support'
      : tray.tray.setAside.includes(phrase)
        ? 'aside'
        : null

let anchor = ''
function pick(phrase: string, event: MouseEvent | KeyboardEvent) {
  const on = !selected.value.includes(phrase)
  const from = props.rows.findIndex(row => row.phrase === anchor)
  const to = props.rows.findIndex(row => row.phrase === phrase)
  const range =
    event.shiftKey && from >= 0
      ? props.rows.slice(Math.min(from, to), Math.max(from, to) + 1).map(row => row.phrase)
      : [phrase]
  selected.value = on
    ? [...new Set([...selected.value, ...range])]
    : selected.value.filter(each => !range.includes(each))
  anchor = phrase
}
const allPicked = computed(() => props.rows.length > 0 && selected.value.length >= props.rows.length)
const pickAll = () => {
  selected.value = allPicked.value ? [] : props.rows.map(row => row.phrase)
}

const { placeOf, tabIndex, focusedRow, onRowKey } = useRowKeys(frame, () => props.rows.map(row => row.phrase), ROW)
function onScroll(event: Event) {
  const top = (event.target as HTMLElement).scrollTop
  const from = Math.max(0, Math.floor(top / ROW))
  emit('range', from, from + Math.ceil(height.value / ROW))
}
/** What the rows answer: another question begins at the top, also one that was asked while the table was away. */
const about = () => `${props.seed} ${props.sort}`
const begin = () => frame.value?.querySelector('.v-table__wrapper')?.scrollTo({ top: 0 })
watch(about, begin)
let left = about()
onDeactivated(() => {
  left = about()
})
onActivated(() => {
  if (left !== about()) begin()
})
</script>

<template>
  <div ref="frame" class="frame sheet" @scroll.capture.passive="onScroll">
    <ShellTable
      :headers
      :items="rows"
      item-value="phrase"
      :item-height="ROW"
      :height="Math.max(120, height - 2)"
      density="compact"
      fixed-header
      :loading="loading"
      hover
      data-test="phrases"
      aria-label="Phrases"
    >
      <template #headers>
        <tr>
          <th class="pick" scope="col">
            <input type="checkbox" :checked="allPicked" aria-label="Select all rows" @change="pickAll" />
          </th>
          <th
            v-for="column in columns"
            :key="column.key"
            scope="col"
            :class="column.align"
            :style="{ width: column.width ? `${column.width}px` : undefined }"
            :aria-sort="
              sorted.column === column.key ? (sorted.direction === 'asc' ? 'ascending' : 'descending') : undefined
            "
          >
            <button
              v-if="column.sortable !== false"
              class="plain"
              :title="column.hint"
              :data-test="`sort-${column.key}`"
              @click="sortBy(column.key)"
            >
              {{ column.title
              }}<span class="arrow" aria-hidden="true">{{
                sorted.column === column.key ? (sorted.direction === 'asc' ? '↑' : '↓') : NOTHING
              }}</span>
            </button>
            <span v-else :title="column.hint">{{ column.title }}</span>
          </th>
          <th scope="col" :style="{ width: `${OPEN}px` }"><span class="unseen">Sheet</span></th>
        </tr>
      </template>
      <template #item="{ item: row }">
        <DemandRow
          :row
          :place="placeOf.get(row.phrase)!"
          :picked="selected.includes(row.phrase)"
          :opened="open === row.phrase"
          :standing="standing(row.phrase)"
          :tab-index="tabIndex(row.phrase)"
          :seed-words
          :columns="keys"
          :perspective
          :narrow
          :assessing
          @pick="pick"
          @enter="focusedRow"
          @key="onRowKey"
          @seed="emit('seed', $event)"
          @worth="emit('worth', $event)"
          @open="emit('open', $event)"
        />
      </template>
    </ShellTable>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: hidden;
}
/* All rows have one height. The browser would move them when those above are drawn. */
.frame :deep(.v-table__wrapper) {
  overflow-anchor: none;
}
.frame :deep(table) {
  table-layout: fixed;
}
.frame :deep(th),
.frame :deep(tr[data-test] > td) {
  padding: 0 6px !important;
  height: 34px !important;
  font-size: 13px;
  white-space: nowrap;
  border-color: var(--line) !important;
}
.frame :deep(tr:not([data-test]) > td) {
  border: 0 !important;
  padding: 0 !important;
}
.frame :deep(th) {
  font-weight: 600;
  color: var(--muted);
  background: var(--paper) !important;
  text-align: start;
  font-size: 12px !important;
}
/* It takes no room of its own: it stands where the head leaves some, before figures and after words. */
.arrow {
  display: inline-block;
  width: 0;
  text-indent: 2px;
}
.end > button {
  display: inline-flex;
  flex-direction: row-reverse;
}
.end .arrow {
  direction: rtl;
}
.frame :deep(.end) {
  text-align: end;
}
.frame :deep(.center) {
  text-align: center;
}
.frame :deep(.pick) {
  width: 32px;
  text-align: center;
}
.frame :deep(.pick input) {
  accent-color: var(--teal);
  width: 15px;
  height: 15px;
  vertical-align: middle;
}
.picked :deep(td) {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
.opened :deep(td) {
  box-shadow:
    inset 0 1px 0 var(--teal),
    inset 0 -1px 0 var(--teal);
}
</style>
