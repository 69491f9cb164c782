<script setup lang="ts">
import { mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import { counted, rounded, UNKNOWN } from '~/composables/figures'
import {
  bringsSaid,
  changeSaid,
  changeText,
  moreSaid,
  moreText,
  rankKeys,
  rankText,
  seen,
  views,
} from '~/composables/rankCells'
import type { RankLine } from '~/stores/ranks'

/** The phrases of a video: where it stands, how that changed, and what it brings; the most valuable first. */
const props = defineProps<{
  lines: readonly RankLine[]
  shown: string
  /** Phrases that are looked up again and again. */
  watched: ReadonlyMap<string, { every: number }>
}>()
const emit = defineEmits<{ show: [phrase: string] }>()
const HEADERS = [
  { key: 'phrase', title: 'Phrase', minWidth: 190 },
  { key: 'rank', title: 'Rank', align: 'end', width: 86 },
  { key: 'best', title: 'Best', align: 'end', width: 70 },
  { key: 'week', title: '7 days', align: 'end', width: 84 },
  { key: 'month', title: '28 days', align: 'end', width: 84 },
  { key: 'searches', title: 'Searches', align: 'end', width: 94 },
  { key: 'brings', title: 'Brings', align: 'end', width: 84 },
  { key: 'more', title: 'One seat more', align: 'end', width: 124 },
] as const
const rows = computed(() => props.lines.map(line => ({ line, phrase: line.phrase, ...rankKeys(line) })))
const watchedSaid = (phrase: string) =>
  `Watched: looked up every ${props.watched.get(phrase)!.every === 1 ? 'day' : counted(props.watched.get(phrase)!.every, 'day')}`
</script>

<template>
  <v-data-table
    :headers="HEADERS"
    :items="rows"
    :sort-by="[{ key: 'brings', order: 'desc' }]"
    item-value="phrase"
    density="compact"
    items-per-page="-1"
    hide-default-footer
    fixed-header
    no-data-text="There are no phrases yet: put some in the tray, or look one up below."
    aria-label="Ranks by phrase"
    data-test="ranks"
  >
    <template #[`item.phrase`]="{ item }"
      ><button
        class="plain phrase"
        :aria-pressed="item.phrase === shown"
        :title="item.phrase === shown ? 'Show all curves' : 'Show its curve alone'"
        data-test="rank-row"
        @click="emit('show', item.phrase === shown ? '' : item.phrase)"
      >
        <b class="mark">{{ item.line.mark }}</b>{{ item.phrase }}</button
      ><v-icon
        v-if="watched.has(item.phrase)"
        :icon="mdiEyeOutline"
        size="15"
        class="eye"
        role="img"
        :aria-label="watchedSaid(item.phrase)"
        :title="watchedSaid(item.phrase)"
    /></template>
    <template #[`item.rank`]="{ item }"
      ><span class="figure rank" :title="seen(item.line.standing?.now)" data-test="rank-now">{{
        rankText(item.line.standing?.now)
      }}</span></template
    >
    <template #[`item.best`]="{ item }"
      ><span class="figure" :title="seen(item.line.standing?.best)">{{
        rankText(item.line.standing?.best)
      }}</span></template
    >
    <template #[`item.week`]="{ item }"
      ><span class="figure" :title="changeSaid(item.line.standing?.week)">{{
        item.line.standing ? changeText(item.line.standing, 'week') : UNKNOWN
      }}</span></template
    >
    <template #[`item.month`]="{ item }"
      ><span class="figure" :title="changeSaid(item.line.standing?.month)">{{
        item.line.standing ? changeText(item.line.standing, 'month') : UNKNOWN
      }}</span></template
    >
    <template #[`item.searches`]="{ item }"
      ><span class="figure" :title="item.line.searches === null ? 'Not known' : inDigits(item.line.searches)">{{
        rounded(item.line.searches)
      }}</span></template
    >
    <template #[`item.brings`]="{ item }"
      ><span class="figure" :title="bringsSaid(item.line)" data-test="rank-brings">{{
        item.line.brings ? views(item.line.brings.now) : UNKNOWN
      }}</span></template
    >
    <template #[`item.more`]="{ item }"
      ><span class="figure" :title="moreSaid(item.line)">{{
        item.line.brings?.more == null ? UNKNOWN : moreText(item.line.brings.more)
      }}</span></template
    >
  </v-data-table>
</template>

<style scoped>
.phrase {
  text-align: left;
  color: inherit;
  min-height: 24px;
}
.phrase[aria-pressed='true'] {
  font-weight: 600;
}
.mark {
  display: inline-block;
  width: 20px;
  color: var(--teal);
}
.eye {
  margin-left: 8px;
  color: var(--muted);
}
.rank {
  font-weight: 600;
}
:deep(th),
:deep(td) {
  padding: 2px 10px !important;
  border-color: var(--line) !important;
}
:deep(th) {
  font-weight: 600;
  color: var(--muted);
  font-size: 12px;
  background: var(--paper) !important;
}
</style>
