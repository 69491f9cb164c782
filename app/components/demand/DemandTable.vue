<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, ref, watch } from 'vue'
import type { PhraseRow } from '../../../shared/phrases'
import { isStale } from '../../../core/demand/stale'
import { words } from '../../../core/text/words'
import { mdiChevronRight } from '@mdi/js'
import { phraseColumns } from '~/composables/columns'
import { chanceText, inFull, percentChange, rounded, toldBy, UNKNOWN } from '~/composables/figures'
import { useTray } from '~/stores/tray'
import type { Whom } from '~/stores/workspace'

const props = defineProps<{
  rows: PhraseRow[]
  seed: string
  sort: string
  loading: boolean
  judging: boolean
  monthsEnd: string | null
  whom: Whom
  open: string | null
  narrow: boolean
}>()
const selected = defineModel<string[]>('selected', { required: true })
const emit = defineEmits<{
  sort: [sort: string]
  seed: [phrase: string]
  worth: [phrase: string]
  open: [phrase: string]
  see: [from: number, to: number]
}>()
const tray = useTray()
const ROW = 34
const now = Date.now()

const columns = computed(() => phraseColumns(props.whom, props.narrow))
const headers = computed(() =>
  columns.value.map(({ key, title, width, align }) => ({ key, title, width, align, sortable: false })),
)
const shows = (key: string) => columns.value.some(column => column.key === key)
const worthOf = (row: PhraseRow) => row.worth[props.whom]
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

/** A phrase cut into the seed's own words, which are dimmed, and what it adds. */
function parts(phrase: string): { text: string; dim: boolean }[] {
  const cut: { text: string; dim: boolean }[] = []
  let at = 0
  for (const word of words(phrase)) {
    if (!seedWords.value.has(word.norm)) continue
    if (word.start > at) cut.push({ text: phrase.slice(at, word.start), dim: false })
    cut.push({ text: phrase.slice(word.start, word.end), dim: true })
    at = word.end
  }
  if (at < phrase.length) cut.push({ text: phrase.slice(at), dim: false })
  return cut
}

const lastYear = (row: PhraseRow) => row.months.slice(-12).map(month => month ?? 0)
const flat = (row: PhraseRow) => {
  const year = lastYear(row)
  return !year.length || year.every(value => value === year[0])
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

/** The row that Tab comes to: one stop for the whole table, and the arrow keys from there. */
const current = ref(0)
const placeOf = computed(() => new Map(props.rows.map((row, i) => [row.phrase, i])))
const stop = (phrase: string) => (placeOf.value.get(phrase) === current.value ? 0 : -1)
watch(
  () => props.rows.length,
  length => {
    current.value = Math.min(current.value, Math.max(0, length - 1))
  },
)

async function onRowKey(event: KeyboardEvent, phrase: string) {
  const step = { ArrowDown: 1, ArrowUp: -1, PageDown: 10, PageUp: -10, Home: -Infinity, End: Infinity }[event.key]
  if (step === undefined || event.altKey || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  const to = Math.max(0, Math.min(props.rows.length - 1, placeOf.value.get(phrase)! + step))
  const column = (event.target as HTMLElement).dataset.stop ?? 'pick'
  current.value = to
  const wrapper = frame.value!.querySelector('.v-table__wrapper')!
  // The header covers one row's height at the top.
  const top = to * ROW
  if (top < wrapper.scrollTop) wrapper.scrollTo({ top })
  else if (top + 2 * ROW > wrapper.scrollTop + wrapper.clientHeight)
    wrapper.scrollTo({ top: top + 2 * ROW - wrapper.clientHeight })
  await nextTick()
  // A row far away is drawn in the frame after the scroll.
  requestAnimationFrame(() =>
    requestAnimationFrame(() =>
      frame.value?.querySelector<HTMLElement>(`[data-row="${to}"] [data-stop=${column}]`)?.focus(),
    ),
  )
}

const frame = ref<HTMLElement | null>(null)
const { height } = useElementSize(frame)
function onScroll(event: Event) {
  const top = (event.target as HTMLElement).scrollTop
  const from = Math.max(0, Math.floor(top / ROW))
  emit('see', from, from + Math.ceil(height.value / ROW))
}
watch(
  () => [props.seed, props.sort],
  () => frame.value?.querySelector('.v-table__wrapper')?.scrollTo({ top: 0 }),
)
</script>

<template>
  <div ref="frame" class="frame sheet" @scroll.capture.passive="onScroll">
    <v-data-table-virtual
      :headers="[
        { key: 'pick', title: '', width: 32, sortable: false },
        ...headers,
        { key: 'open', title: '', width: 34, sortable: false },
      ]"
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
              }}<span aria-hidden="true">{{
                sorted.column === column.key ? (sorted.direction === 'asc' ? ' ↑' : ' ↓') : ''
              }}</span>
            </button>
            <span v-else :title="column.hint">{{ column.title }}</span>
          </th>
          <th scope="col" style="width: 34px"><span class="unseen">Sheet</span></th>
        </tr>
      </template>
      <template #item="{ item: row }">
        <tr
          :class="{
            picked: selected.includes(row.phrase),
            aside: standing(row.phrase) === 'aside',
            opened: open === row.phrase,
          }"
          data-test="phrase-row"
          :data-row="placeOf.get(row.phrase)"
          @focusin="current = placeOf.get(row.phrase)!"
          @keydown="onRowKey($event, row.phrase)"
          @dblclick="emit('open', row.phrase)"
        >
          <td class="pick">
            <input
              type="checkbox"
              :checked="selected.includes(row.phrase)"
              :aria-label="`Select ${row.phrase}`"
              :tabindex="stop(row.phrase)"
              data-stop="pick"
              @click="pick(row.phrase, $event)"
            />
          </td>
          <td class="phrase">
            <div>
              <button
                class="plain"
                :title="`${row.phrase}: make it the seed`"
                :tabindex="stop(row.phrase)"
                data-stop="seed"
                @click="emit('seed', row.phrase)"
              >
                <span v-for="(part, i) in parts(row.phrase)" :key="i" :class="{ dim: part.dim }">{{ part.text }}</span>
              </button>
              <span
                v-if="row.seeds"
                class="seeds small muted"
                :title="`Found by ${row.seeds.map(each => `“${each}”`).join(', ')}`"
                >{{ row.seeds.join(' + ') }}</span
              >
              <span
                v-if="row.readAs"
                class="tag small"
                :title="`The site shows the results for “${row.readAs}”, which more people search for`"
                >read as {{ row.readAs }}</span
              >
              <span v-if="standing(row.phrase)" class="tag small">{{
                standing(row.phrase) === 'aside' ? 'set aside' : standing(row.phrase)
              }}</span>
            </div>
          </td>
          <td v-if="shows('words')" class="end figure">{{ row.words }}</td>
          <td v-if="shows('months')" class="center line">
            <v-sparkline
              v-if="!flat(row)"
              :model-value="lastYear(row)"
              color="primary"
              :line-width="7"
              :height="58"
              :width="190"
              :padding="6"
              :smooth="0"
              aria-hidden="true"
            /><span v-else class="muted">{{ row.months.length ? '—' : UNKNOWN }}</span>
          </td>
          <td
            class="end figure"
            :class="{ stale: isStale(row.at, now) }"
            :title="`${inFull(row.volume, 'searches a month')}${toldBy(row.source, row.at)}`"
          >
            {{ rounded(row.volume) }}
          </td>
          <td
            v-if="shows('volumeAll')"
            class="end figure"
            :title="inFull(row.volumeAll, 'searches a month everywhere')"
          >
            {{ rounded(row.volumeAll) }}
          </td>
          <td
            v-if="shows('change')"
            class="end figure"
            :title="row.change === null ? 'unknown' : `${inFull(row.change * 100)} % against a year before`"
          >
            {{ percentChange(row.change) }}
          </td>
          <td
            v-if="shows('competition')"
            class="end figure"
            :title="inFull(row.competition, 'videos with the phrase in their title')"
          >
            {{ rounded(row.competition) }}
          </td>
          <td
            class="end figure difficulty"
            :title="
              row.difficulty === null
                ? row.results === 0
                  ? 'No results for this phrase, so its difficulty is unknown'
                  : judging
                    ? 'being assessed'
                    : 'not assessed yet'
                : `${inFull(row.difficulty)} of 100: ${hardness(row, whom)}${whom === 'channel' && row.chance !== null ? ' for my channel' : ''}${row.readAs ? `, read as “${row.readAs}”` : ''}`
            "
          >
            <template v-if="row.difficulty !== null"
              ><span v-if="!narrow" class="ramp" :style="{ '--part': row.difficulty / 100 }" aria-hidden="true" />{{
                Math.round(row.difficulty)
              }}</template
            >
            <span v-else-if="row.results === 0" class="muted">none</span>
            <span v-else class="muted">{{ judging ? '…' : UNKNOWN }}</span>
          </td>
          <td
            v-if="shows('chance')"
            class="end figure"
            :title="
              row.chance === null
                ? row.results === 0
                  ? 'unknown: the phrase has no results'
                  : 'unknown until the phrase is assessed'
                : `${chanceText(row.chance)}: a rough estimate of my channel’s chance to reach page one, based on the first 20 results`
            "
          >
            {{ row.chance === null ? UNKNOWN : chanceText(row.chance) }}
          </td>
          <td class="end figure">
            <button
              v-if="worthOf(row) !== null"
              class="plain worth"
              :tabindex="stop(row.phrase)"
              data-stop="worth"
              :title="`${inFull(worthOf(row))} of 100: ${worthWord(row, whom)}. Click to see how it is calculated.`"
              @click="emit('worth', row.phrase)"
            >
              {{ Math.round(worthOf(row)!) }}</button><button
              v-else
              class="plain muted"
              :tabindex="stop(row.phrase)"
              data-stop="worth"
              title="unknown; click to see why"
              @click="emit('worth', row.phrase)"
            >
              {{ UNKNOWN }}
            </button>
          </td>
          <td v-if="shows('via')" class="center via figure">
            <span
              v-for="source in row.via"
              :key="source"
              :title="source === 'video' ? 'the video site suggests it' : 'web search suggests it'"
              >{{ source === 'video' ? 'V' : 'W' }}</span><span
              v-if="!row.via.length"
              class="muted"
              title="neither source suggests it"
              >{{ UNKNOWN }}</span
            >
          </td>
          <td class="center">
            <button
              class="plain sheet-button"
              :tabindex="stop(row.phrase)"
              data-stop="open"
              :aria-label="`Sheet of ${row.phrase}`"
              :aria-expanded="open === row.phrase"
              title="Open its sheet"
              @click="emit('open', row.phrase)"
            >
              <v-icon :icon="mdiChevronRight" size="18" />
            </button>
          </td>
        </tr>
      </template>
    </v-data-table-virtual>
  </div>
</template>

<style scoped>
.frame {
  flex: 1;
  min-height: 0;
  overflow: hidden;
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
.frame :deep(.end) {
  text-align: end;
}
.frame :deep(.center) {
  text-align: center;
}
.pick {
  width: 32px;
  text-align: center;
}
.pick input {
  accent-color: var(--teal);
  width: 15px;
  height: 15px;
  vertical-align: middle;
}
.phrase {
  overflow: hidden;
}
.phrase > div {
  display: flex;
  align-items: center;
  min-width: 0;
}
.phrase button {
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.tag {
  flex: none;
}
.seeds {
  flex: 0 10 auto;
  min-width: 24px;
  max-width: 45%;
  margin-left: 8px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.dim {
  color: var(--muted);
}
.picked td {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
.opened td {
  box-shadow:
    inset 0 1px 0 var(--teal),
    inset 0 -1px 0 var(--teal);
}
.sheet-button {
  color: var(--muted);
}
.aside .phrase button {
  text-decoration: line-through;
  color: var(--muted);
}
.tag {
  margin-left: 6px;
  padding: 0 5px;
  border: 1px solid var(--line);
  border-radius: 8px;
  color: var(--muted);
}
.line {
  padding: 0 4px !important;
}
.line :deep(svg) {
  display: block;
  width: 76px;
  height: 26px;
}
.difficulty {
  position: relative;
}
.ramp {
  position: absolute;
  left: 6px;
  bottom: 7px;
  height: 20px;
  width: 32px;
  border-bottom: 1px solid var(--line);
}
.ramp::after {
  content: '';
  position: absolute;
  left: 0;
  bottom: 0;
  height: 4px;
  width: calc(var(--part) * 100%);
  background: color-mix(in srgb, var(--teal) calc(var(--part) * 100%), var(--line));
}
.worth {
  text-decoration: underline;
  text-decoration-style: dotted;
  text-underline-offset: 3px;
  font-weight: 600;
}
.stale {
  color: var(--plum);
  font-style: italic;
}
.via span + span {
  margin-left: 5px;
}
</style>
