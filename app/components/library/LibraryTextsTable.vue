<script setup lang="ts">
import { computed, ref } from 'vue'
import { atStake } from '../../../core/draft/atStake'
import { CHECKS } from '../../../core/draft/checks'
import { inFull, rounded } from '~/composables/figures'
import { pointsText } from '~/composables/points'
import type { TextRow } from '~/stores/manyTexts'

/** Texts with their points and what they lack most, or what one check lacks in each. */
const chosen = defineModel<number[]>({ required: true })
const props = defineProps<{
  rows: readonly TextRow[]
  check: string | null
  /** The name of a second set. */ beside: string | null
}>()
const emit = defineEmits<{ lead: [at: number, lead: string] }>()
const titles = new Map(CHECKS.map(({ id, title }) => [id, title]))

/** What a text lacks, most first; worked out once for its points. */
const sorted = new WeakMap<TextRow, [string, number][]>()
function leftOf(row: TextRow) {
  let left = sorted.get(row)
  if (!left) sorted.set(row, (left = Object.entries(row.points?.left ?? {}).sort(([, a], [, b]) => b - a)))
  return left
}
const lines = computed(() =>
  props.rows
    .map(row => {
      const left = leftOf(row)
      const asked = props.check === null ? left[0] : left.find(([id]) => id === props.check)
      return {
        at: row.at,
        row,
        title: row.texts.title,
        lead: row.texts.lead,
        percent: row.points?.percent ?? null,
        stake: atStake(row.searches, row.points?.percent ?? null),
        beside: row.points?.beside ?? null,
        lacks: asked ? titles.get(asked[0])! : '',
        left: asked?.[1] ?? null,
      }
    })
    .filter(line => props.check === null || line.left !== null),
)
const sortBy = ref<{ key: string; order: 'asc' | 'desc' }[]>([])
/** Unknown stands last, whichever way it is sorted. */
function compare(a: number | null, b: number | null) {
  const last = sortBy.value[0]?.order === 'desc' ? -1e15 : 1e15
  return (a ?? last) - (b ?? last)
}
const HEADERS = computed(() => [
  { key: 'title', title: 'Title' },
  { key: 'lead', title: 'Lead phrase', width: 160 },
  { key: 'percent', title: 'Text alone', align: 'end' as const, width: 76, sort: compare },
  { key: 'stake', title: 'At stake', align: 'end' as const, width: 80, sort: compare },
  ...(props.beside === null
    ? []
    : [{ key: 'beside', title: props.beside, align: 'end' as const, width: 80, sort: compare }]),
  { key: 'lacks', title: 'Lacks most', width: 160 },
  { key: 'left', title: 'Points', align: 'end' as const, width: 70, sort: compare },
])
</script>

<template>
  <ShellTable
    v-model="chosen"
    v-model:sort-by="sortBy"
    :headers="HEADERS"
    :items="lines"
    item-value="at"
    show-select
    density="compact"
    fixed-header
    class="sheet table"
    tabindex="0"
    aria-label="Texts"
    no-data-text="No text lacks points for this."
    data-test="texts-table"
  >
    <template #[`item.title`]="{ item }">
      <NuxtLink
        v-if="item.row.brief"
        class="open two-lines"
        :title="item.title"
        :to="{ path: '/desk', query: { brief: item.row.brief.id } }"
        >{{ item.title || 'Untitled' }}</NuxtLink><span
        v-else
        class="two-lines"
        :title="item.row.texts.description ?? undefined"
        >{{ item.title }}</span
      ><span v-if="item.row.changed" class="small muted"> changed</span>
    </template>
    <template #[`item.lead`]="{ item }">
      <ShellTyped
        class="lead"
        :value="item.lead"
        :aria-label="`Lead phrase of ${item.title}`"
        placeholder="none"
        :title="
          item.row.texts.guessed && item.lead
            ? 'Taken from a tag or a known phrase that stands in the title. Type another.'
            : undefined
        "
        :class="{ guessed: item.row.texts.guessed }"
        :disabled="item.row.brief !== null"
        @typed="emit('lead', item.at, $event)"
      />
    </template>
    <template #[`item.percent`]="{ item }"
      ><span
        class="figure"
        :title="item.percent === null ? 'Unknown without a lead phrase' : `${item.percent.toFixed(2)} %`"
        >{{ item.percent === null ? '–' : `${Math.floor(item.percent + 1e-9)} %` }}</span
      ></template
    >
    <template #[`item.stake`]="{ item }"
      ><span
        class="figure"
        :title="
          item.stake === null
            ? 'Unknown without the searches of its lead and a percent'
            : `${inFull(item.row.searches, 'searches a month')}, times the part of the points that is missing`
        "
        >{{ rounded(item.stake) }}</span
      ></template
    >
    <template #[`item.beside`]="{ item }"
      ><span class="figure">{{ item.beside === null ? '–' : `${Math.floor(item.beside + 1e-9)} %` }}</span></template
    >
    <template #[`item.left`]="{ item }"
      ><span class="figure">{{ item.left === null ? '–' : pointsText(item.left) }}</span></template
    >
  </ShellTable>
</template>

<style scoped>
.table {
  flex: 1;
  min-height: 0;
}
.open {
  color: var(--teal);
}
.lead {
  width: 100%;
  border: 0;
  border-bottom: 1px solid transparent;
  background: transparent;
  color: inherit;
  font: inherit;
  min-height: 26px;
  text-overflow: ellipsis;
}
.lead:hover:not(:disabled),
.lead:focus-visible {
  border-bottom-color: var(--line);
}
.guessed {
  font-style: italic;
  color: var(--muted);
}
</style>
