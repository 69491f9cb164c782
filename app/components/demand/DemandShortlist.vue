<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { INTENT_WORDS } from '../../../core/demand/intentNames'
import { monthSpan } from '../../../core/demand/story'
import type { ShortlistColumn } from '../../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import {
  ageWords,
  chanceText,
  inFull,
  percent,
  percentChange,
  rangeText,
  ranksText,
  rounded,
  roundedRatio,
  sourceText,
  UNKNOWN,
} from '~/composables/figures'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ phrases: string[]; region: string | null; language: string }>()
const emit = defineEmits<{ close: []; drop: [phrase: string] }>()
useFocusBack()
const tray = useTray()
const workspace = useWorkspace()
const columns = shallowRef<ShortlistColumn[] | null>(null)
const problem = ref('')

async function load() {
  problem.value = ''
  try {
    columns.value = (
      await api('POST /api/phrases/shortlist', {
        body: { phrases: props.phrases, region: props.region, language: props.language, workspace: workspace.id },
      })
    ).columns
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(
  () => [props.phrases.join('\n'), workspace.id],
  () => void load(),
  { immediate: true },
)

interface Line {
  name: string
  hint?: string
  text: (column: ShortlistColumn) => string
  exact?: (column: ShortlistColumn) => string
  /** What is best: the largest or the smallest; no line without a figure has one. */ best?: (
    column: ShortlistColumn,
  ) => number | null
  least?: true
}
const lines = computed<Line[]>(() => [
  {
    name: 'Worth',
    text: c =>
      c.row.worth[workspace.perspective] === null
        ? UNKNOWN
        : `${Math.round(c.row.worth[workspace.perspective]!)} ${worthWord(c.row, workspace.perspective)}`,
    exact: c => inFull(c.row.worth[workspace.perspective]),
    best: c => c.row.worth[workspace.perspective],
  },
  {
    name: 'Chance for my channel',
    hint: 'of page one, for a video with the phrase in title and description',
    text: c => (c.forecast ? chanceText(c.forecast.pageOne) : UNKNOWN),
    exact: c => inFull(c.forecast && c.forecast.pageOne * 100, '%'),
    best: c => c.forecast?.pageOne ?? null,
  },
  {
    name: 'Likely ranks',
    text: c => (c.forecast ? ranksText(c.forecast.likely, c.forecast.last) : UNKNOWN),
    best: c => c.forecast?.likely[1] ?? null,
    least: true,
  },
  {
    name: 'Views to win',
    hint: 'in the first ninety days',
    text: c => (c.winnings ? rangeText(c.winnings, value => rounded(Math.round(value))) : UNKNOWN),
    exact: c => inFull(c.winnings?.expected ?? null, 'expected'),
    best: c => c.winnings?.expected ?? null,
  },
  {
    name: 'Searches a month',
    text: c => rounded(c.row.volume),
    exact: c => `${inFull(c.row.volume)}${sourceText(c.row.source, c.row.at)}`,
    best: c => c.row.volume,
  },
  {
    name: 'Everywhere',
    text: c => rounded(c.row.volumeAll),
    exact: c => inFull(c.row.volumeAll),
    best: c => c.row.volumeAll,
  },
  { name: 'Change in a year', text: c => percentChange(c.row.change), best: c => c.row.change },
  {
    name: 'Over the year',
    text: c => (c.row.season ? `peak ${monthSpan(c.row.season.peaks)}` : c.row.months.length ? 'no season' : UNKNOWN),
    exact: c => c.story,
  },
  {
    name: 'Difficulty',
    text: c =>
      c.row.difficulty === null
        ? UNKNOWN
        : `${Math.round(c.row.difficulty)} ${hardness({ difficulty: c.row.difficulty, chance: c.forecast?.pageOne ?? c.row.chance }, workspace.perspective)}`,
    exact: c => inFull(c.row.difficulty),
    best: c => c.row.difficulty,
    least: true,
  },
  {
    name: 'Front, middle, rest',
    hint: 'difficulty of ranks 1–3, 4–10 and 11–20',
    text: c =>
      c.difficultyParts
        ? `${Math.round(c.difficultyParts.front)} · ${Math.round(c.difficultyParts.middle)} · ${Math.round(c.difficultyParts.rest)}`
        : UNKNOWN,
  },
  {
    name: 'Weak results',
    hint: 'on page one that my video would more likely than not outrank',
    text: c => (c.forecast ? String(c.forecast.softSeats) : UNKNOWN),
    best: c => c.forecast?.softSeats ?? null,
  },
  {
    name: 'Exact titles',
    hint: 'of the first twenty',
    text: c => String(c.exactTitles),
    best: c => c.exactTitles,
    least: true,
  },
  {
    name: 'Rivals per 1,000',
    hint: 'videos with the phrase in their title, per thousand searches',
    text: c => (c.competitionPerThousand === null ? UNKNOWN : roundedRatio(c.competitionPerThousand)),
    exact: c => inFull(c.competitionPerThousand),
    best: c => c.competitionPerThousand,
    least: true,
  },
  {
    name: 'Turnover',
    hint: 'of page one in thirty days',
    text: c => (c.turnover === null ? UNKNOWN : percent(c.turnover)),
    best: c => c.turnover,
  },
  { name: 'Age of the page', hint: 'median', text: c => (c.age ? ageWords(c.age.median) : UNKNOWN) },
  { name: 'Searcher wants to', text: c => (c.intent ? INTENT_WORDS[c.intent.intent] : UNKNOWN) },
  { name: 'Means', text: c => c.meanings.map(each => each.slice(0, 2).join(' ')).join(' / ') || UNKNOWN },
  {
    name: 'Web search shows videos',
    text: c => (c.row.videoBlock === null ? UNKNOWN : c.row.videoBlock ? 'yes' : 'no'),
  },
])
function bestOf(line: Line): Set<string> {
  if (!line.best || !columns.value) return new Set()
  const known = columns.value.flatMap(column => {
    const value = line.best!(column)
    return value === null ? [] : [{ phrase: column.row.phrase, value }]
  })
  if (known.length < 2 || known.every(each => each.value === known[0]!.value)) return new Set()
  const top = line.least ? Math.min(...known.map(each => each.value)) : Math.max(...known.map(each => each.value))
  return new Set(known.filter(each => each.value === top).map(each => each.phrase))
}
function lead(phrase: string) {
  tray.makeLead(phrase)
  emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" aria-labelledby="shortlist-title" max-width="1160" @update:model-value="emit('close')">
    <v-card data-test="shortlist">
      <v-card-title id="shortlist-title">Side by side</v-card-title>
      <v-card-text>
        <div v-if="problem" role="alert">
          <p class="mb-2">{{ problem }}</p>
          <v-btn variant="tonal" @click="load">Try again</v-btn>
        </div>
        <v-skeleton-loader v-else-if="!columns" type="table-row@8" />
        <div v-else class="table">
          <table>
            <thead>
              <tr>
                <td />
                <th v-for="column in columns" :key="column.row.phrase" scope="col">
                  <span class="phrase">{{ column.row.phrase }}</span><v-btn
                    size="small"
                    variant="flat"
                    :color="tray.tray.lead === column.row.phrase ? undefined : 'primary'"
                    :disabled="tray.tray.lead === column.row.phrase"
                    data-test="shortlist-lead"
                    @click="lead(column.row.phrase)"
                    >{{ tray.tray.lead === column.row.phrase ? 'Is the lead' : 'Make it the lead' }}</v-btn
                  >
                  <p v-if="column.problem" class="small problem">{{ column.problem }}</p>
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in lines" :key="line.name">
                <th scope="row" :title="line.hint">
                  {{ line.name }}<small v-if="line.hint" class="muted">{{ line.hint }}</small>
                </th>
                <td
                  v-for="column in columns"
                  :key="column.row.phrase"
                  :title="line.exact?.(column)"
                  :class="{ best: bestOf(line).has(column.row.phrase) }"
                >
                  <span class="figure">{{ line.text(column) }}</span><span
                    v-if="bestOf(line).has(column.row.phrase)"
                    class="unseen"
                    >, the best</span
                  >
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </v-card-text>
      <v-card-actions
        ><span class="small muted ml-4"
          >Bold: best in its row. Scored
          {{ workspace.perspective === 'channel' ? 'for my channel' : 'for anyone' }}.</span
        ><v-spacer /><v-btn @click="emit('close')">Close</v-btn></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.table {
  overflow: auto;
  max-height: 70vh;
}
table {
  border-collapse: collapse;
  width: 100%;
  table-layout: fixed;
}
th,
td {
  text-align: start;
  padding: 4px 12px 4px 0;
  border-bottom: 1px solid var(--line);
  vertical-align: top;
  overflow-wrap: anywhere;
}
tbody th {
  font-weight: 400;
  width: 180px;
}
tbody small {
  display: block;
  font-size: 11px;
  line-height: 1.2;
}
thead th {
  vertical-align: bottom;
  position: sticky;
  top: 0;
  background: var(--surface);
  padding-bottom: 8px;
}
thead td {
  width: 190px;
  position: sticky;
  top: 0;
  background: var(--surface);
}
.phrase {
  display: block;
  margin-bottom: 6px;
  font-size: 15px;
}
.best .figure {
  font-weight: 700;
  color: var(--teal);
}
.problem {
  color: var(--plum);
  font-weight: 400;
}
</style>
