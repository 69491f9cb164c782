<script setup lang="ts">
import { mdiEyeOutline } from '@mdi/js'
import { computed } from 'vue'
import { dayName, type RankChange, type RankDay, type RankStanding } from '../../../core/ranks/standing'
import { inDigits } from '../../../core/text/inWords'
import { counted, rounded, UNKNOWN } from '~/composables/figures'
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
/** Beyond what was read a rank comes after all others, and what is not known after that. */
const BEYOND = 1e6
const rows = computed(() =>
  props.lines.map(line => {
    const { standing, searches, brings, phrase } = line
    return {
      line,
      phrase,
      rank: standing ? (standing.now.rank ?? BEYOND) : 2 * BEYOND,
      best: standing?.best?.rank ?? BEYOND,
      week: standing?.week?.by ?? -BEYOND,
      month: standing?.month?.by ?? -BEYOND,
      searches: searches ?? -1,
      brings: brings?.now ?? -1,
      more: brings?.more ?? -1,
    }
  }),
)
const watchedSaid = (phrase: string) =>
  `Watched: looked up every ${props.watched.get(phrase)!.every === 1 ? 'day' : counted(props.watched.get(phrase)!.every, 'day')}`
const rankText = (day: RankDay | null | undefined) =>
  !day ? UNKNOWN : day.rank === null ? `> ${day.depth}` : String(day.rank)
const seen = (day: RankDay | null | undefined) =>
  !day
    ? 'Not looked up yet'
    : day.rank === null
      ? `${dayName(day.day)}: not among the first ${day.depth}`
      : `${dayName(day.day)}: rank ${day.rank} of the ${day.depth} that were read`
function changeText({ now, week, month }: RankStanding, of: 'week' | 'month'): string {
  const change = of === 'week' ? week : month
  if (!change || (now.rank === null && change.from.rank === null)) return UNKNOWN
  if (change.from.rank === null) return 'came in'
  if (now.rank === null) return `was ${change.from.rank}`
  const { by } = change
  return by! > 0 ? `▲ ${by}` : by! < 0 ? `▼ ${-by!}` : '='
}
const changeSaid = (change: RankChange | null | undefined) =>
  change ? `Against ${seen(change.from)}` : 'No rank is known from that time'
/** A few views are told to a tenth: none and hardly any are not the same. */
const views = (value: number) =>
  value === 0 ? '0' : value < 0.1 ? '< 0.1' : value < 10 ? value.toFixed(1) : rounded(value)
const moreText = (value: number) => (value < 0.1 ? views(value) : `+${views(value)}`)
const bringsSaid = ({ brings, standing }: RankLine) =>
  brings
    ? `${brings.now.toFixed(1)} views a month: its searches times the share that look at rank ${standing!.now.rank}`
    : 'Not known: it takes searches on the site and a rank among the results of the site'
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
      ><span
        class="figure"
        :title="
          item.line.brings?.more === null
            ? 'It is first already'
            : item.line.brings
              ? `${item.line.brings.more.toFixed(1)} views a month more at rank ${item.line.standing!.now.rank! - 1}`
              : 'Not known'
        "
        >{{ item.line.brings?.more == null ? UNKNOWN : moreText(item.line.brings.more) }}</span
      ></template
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
