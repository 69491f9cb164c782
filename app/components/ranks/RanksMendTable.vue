<script setup lang="ts">
import { computed } from 'vue'
import { isFresh, rankDay } from '../../../core/ranks/standing'
import type { AuditRow } from '../../../shared/audit'
import { now } from '~/composables/clock'
import { dayOnly, rounded, UNKNOWN } from '~/composables/figures'
import { fewViews } from '~/composables/rankCells'

/** The queue of videos to mend as a table; what is not known stands last. */
const sortBy = defineModel<{ key: string; order: 'asc' | 'desc' }[]>('sortBy', { required: true })
defineProps<{ lines: readonly MendLine[]; chosen: string }>()
const emit = defineEmits<{ show: [id: string] }>()
/** A line with what it is sorted by. */
interface MendLine {
  row: AuditRow
  id: string
  title: string
  searches: number
  rank: number
  percent: number
  words: number
}
const HEADERS = [
  { key: 'title', title: 'Video' },
  { key: 'searches', title: 'Searches', align: 'end', width: 88 },
  { key: 'rank', title: 'Rank', align: 'end', width: 60 },
  { key: 'percent', title: 'Points', align: 'end', width: 68 },
  { key: 'words', title: 'Better words bring', align: 'end', width: 104 },
] as const
const today = computed(() => rankDay(now()))
function rankOf({ rank }: AuditRow) {
  if (!rank) return { text: UNKNOWN, said: 'Not looked up yet', old: false }
  return {
    text: rank.rank === null ? `> ${rank.depth}` : String(rank.rank),
    said: `Seen on ${dayOnly(rank.day)}`,
    // What was seen long ago is not reckoned with.
    old: !isFresh(rank, today.value),
  }
}
</script>

<template>
  <ShellTable
    v-model:sort-by="sortBy"
    :headers="HEADERS"
    :items="lines"
    item-value="id"
    density="compact"
    fixed-header
    class="sheet table"
    tabindex="0"
    no-data-text="No video fits this."
    aria-label="Videos to mend"
    data-test="mend-table"
  >
    <template #[`item.title`]="{ item }"
      ><button
        class="plain title"
        :class="{ muted: item.row.off }"
        :aria-pressed="item.id === chosen"
        :data-mend="item.id"
        :title="item.title"
        data-test="mend-row"
        @click="emit('show', item.id)"
      >
        <span class="cut">{{ item.title }}</span><span
          class="cut small muted"
          :class="{ guessed: item.row.leadFrom !== 'brief' }"
          >{{ item.row.lead || 'no lead phrase' }}</span
        >
      </button></template
    >
    <template #[`item.searches`]="{ item }"
      ><span class="figure">{{ rounded(item.row.searches) }}</span></template
    >
    <template #[`item.rank`]="{ item }"
      ><span class="figure" :class="{ muted: rankOf(item.row).old }" :title="rankOf(item.row).said">{{
        rankOf(item.row).text
      }}</span></template
    >
    <template #[`item.percent`]="{ item }"
      ><span
        class="figure"
        :title="
          item.row.percent === null
            ? 'Not known without a lead phrase'
            : `${item.row.percent.toFixed(2)} % of the points, by title, description and tags alone`
        "
        >{{ item.row.percent === null ? '–' : `${Math.floor(item.row.percent + 1e-9)} %` }}</span
      ></template
    >
    <template #[`item.words`]="{ item }"
      ><span
        class="figure brings"
        :title="
          item.row.words
            ? `${item.row.words.expected.toFixed(1)} views a month more`
            : 'Not known: it takes the searches of its lead, and its result page'
        "
        >{{
          item.row.words ? (item.row.words.expected > 0 ? `+${fewViews(item.row.words.expected)}` : '0') : '–'
        }}</span
      ></template
    >
  </ShellTable>
</template>

<style scoped>
.table {
  min-height: 0;
}
.title {
  display: block;
  width: 100%;
  padding: 3px 0;
  text-align: left;
  color: inherit;
  line-height: 1.3;
}
.title[aria-pressed='true'] {
  font-weight: 600;
  color: var(--teal);
}
.cut {
  display: block;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.guessed {
  font-style: italic;
}
.brings {
  font-weight: 600;
}
:deep(th) {
  line-height: 1.2;
}
:deep(th),
:deep(td) {
  padding: 2px 8px !important;
}
:deep(table) {
  table-layout: fixed;
}
</style>
