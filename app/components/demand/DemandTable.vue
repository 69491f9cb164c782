<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, toRef, watch } from 'vue'
import type { PhraseRow } from '../../../shared/phrases'
import { words } from '../../../core/text/words'
import { OPEN, phraseColumns, sparedColumns } from '~/composables/columns'
import { inFull } from '~/composables/figures'
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
const { frame: scroller, seen, above, below, leftOut } = useSeenRows(toRef(props, 'rows'), ROW)
const spared = computed(() => sparedColumns(props.perspective, width.value))
const columns = computed(() => phraseColumns(props.perspective, props.narrow, spared.value))
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

const { tabIndex, focusedRow, onRowKey } = useRowKeys(frame, () => props.rows.map(row => row.phrase), ROW)
/** The same for all rows at all times: with others each would be drawn anew whenever the table is. */
const handlers = {
  pick,
  enter: focusedRow,
  key: onRowKey,
  seed: (phrase: string) => emit('seed', phrase),
  worth: (phrase: string) => emit('worth', phrase),
  open: (phrase: string) => emit('open', phrase),
}
function onScroll(event: Event) {
  const top = (event.target as HTMLElement).scrollTop
  const from = Math.max(0, Math.floor(top / ROW))
  emit('range', from, from + Math.ceil(height.value / ROW))
}
/** What the rows answer: another question begins at the top. */
const about = () => `${props.seed} ${props.sort}`
const begin = () => frame.value?.querySelector('.v-table__wrapper')?.scrollTo({ top: 0 })
watch(about, begin)
</script>

<template>
  <div ref="frame" class="frame sheet" @scroll.capture.passive="onScroll">
    <v-table density="compact" fixed-header data-test="phrases">
      <template #wrapper>
        <div v-bind="scroller" class="v-table__wrapper">
          <table aria-label="Phrases" :aria-rowcount="rows.length + 1" :aria-busy="loading">
            <thead>
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
            </thead>
            <tbody>
              <tr v-if="above" aria-hidden="true" :style="{ height: `${above}px` }">
                <td :colspan="columns.length + 2" />
              </tr>
              <DemandRow
                v-for="{ row, place, key } in seen"
                :key
                :row
                :place
                :picked="selected.includes(row.phrase)"
                :opened="open === row.phrase"
                :standing="standing(row.phrase)"
                :tab-index="tabIndex(row.phrase)"
                :seed-words
                :columns="keys"
                :perspective
                :narrow
                :assessing
                v-on="handlers"
              />
              <tr v-if="below" aria-hidden="true" :style="{ height: `${below}px` }">
                <td :colspan="columns.length + 2" />
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="leftOut" class="small pa-2">
          The first {{ inFull(rows.length - leftOut) }} of {{ inFull(rows.length) }}.
        </p>
      </template>
    </v-table>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: hidden;
}
.frame :deep(.v-table) {
  height: 100%;
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
  height: 0 !important;
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
.frame :deep(tbody > tr[data-test]:hover > td) {
  background: color-mix(in srgb, currentColor 4%, transparent);
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
