<script setup lang="ts">
import { computed } from 'vue'
import { isStale } from '../../../core/demand/stale'
import type { PhraseRow } from '../../../shared/phrases'
import { now } from '~/composables/clock'
import { chanceText, inFull, percentChange, rounded, sourceText, UNKNOWN } from '~/composables/figures'
import type { Perspective } from '~/stores/workspace'

/** The figures of one row, a cell each. */
const props = defineProps<{
  row: PhraseRow
  /** The columns shown, by their keys. */
  columns: ReadonlySet<string>
  perspective: Perspective
  narrow: boolean
  assessing: boolean
  tabIndex: number
}>()
const emit = defineEmits<{ worth: [] }>()
const today = now()
const worth = computed(() => props.row.worth[props.perspective])
/** The months of the last year whose searches are known, each with its place among the twelve. */
const lastYear = computed(() =>
  props.row.months.slice(-12).flatMap((value, place) => (value === null ? [] : [{ value, place }])),
)
const flat = computed(() => lastYear.value.every(({ value }) => value === lastYear.value[0]!.value))
/** The year as a line, from its least to its most searched month. */
const line = computed(() => {
  const values = lastYear.value.map(({ value }) => value)
  const [least, most] = [Math.min(...values), Math.max(...values)]
  const x = (place: number) => (3 + (place / 11) * 66).toFixed(1)
  const y = (value: number) => (22 - ((value - least) / (most - least)) * 18).toFixed(1)
  return lastYear.value.map(({ value, place }) => `${x(place)},${y(value)}`).join(' ')
})
const difficultyTitle = computed(() => {
  const { difficulty, results, chance, readAs } = props.row
  if (difficulty === null) {
    if (results === 0) return 'No results for this phrase, so its difficulty is unknown'
    return props.assessing ? 'being assessed' : 'not assessed yet'
  }
  const mine = props.perspective === 'channel' && chance !== null ? ' for my channel' : ''
  return `${inFull(difficulty)} of 100: ${hardness(props.row, props.perspective)}${mine}${readAs ? `, read as “${readAs}”` : ''}`
})
const chanceTitle = computed(() => {
  const { chance, results } = props.row
  if (chance === null)
    return results === 0 ? 'unknown: the phrase has no results' : 'unknown until the phrase is assessed'
  const what = 'an estimate of my channel’s chance to reach page one, based on the first 20 results'
  return `${chanceText(chance)}: ${what}`
})
</script>

<template>
  <td v-if="columns.has('words')" class="end figure">{{ row.words }}</td>
  <td v-if="columns.has('months')" class="center line">
    <svg v-if="!flat" viewBox="0 0 72 26" aria-hidden="true">
      <polyline :points="line" />
    </svg>
    <span v-else class="muted">{{ row.months.length ? '—' : UNKNOWN }}</span>
  </td>
  <td
    class="end figure"
    :class="{ stale: isStale(row.at, today) }"
    :title="`${inFull(row.volume, 'searches a month')}${sourceText(row.source, row.at)}`"
  >
    {{ rounded(row.volume) }}
  </td>
  <td v-if="columns.has('volumeAll')" class="end figure" :title="inFull(row.volumeAll, 'searches a month everywhere')">
    {{ rounded(row.volumeAll) }}
  </td>
  <td
    v-if="columns.has('change')"
    class="end figure"
    :title="row.change === null ? 'unknown' : `${inFull(row.change * 100)} % against a year before`"
  >
    {{ percentChange(row.change) }}
  </td>
  <td
    v-if="columns.has('competition')"
    class="end figure"
    :title="inFull(row.competition, 'videos with the phrase in their title')"
  >
    {{ rounded(row.competition) }}
  </td>
  <td class="end figure difficulty" :title="difficultyTitle">
    <template v-if="row.difficulty !== null"
      ><span v-if="!narrow" class="ramp" :style="{ '--part': row.difficulty / 100 }" aria-hidden="true" />{{
        Math.round(row.difficulty)
      }}</template
    >
    <span v-else-if="row.results === 0" class="muted">none</span>
    <span v-else class="muted">{{ assessing ? '…' : UNKNOWN }}</span>
  </td>
  <td v-if="columns.has('chance')" class="end figure" :title="chanceTitle">
    {{ row.chance === null ? UNKNOWN : chanceText(row.chance) }}
  </td>
  <td class="end figure">
    <button
      v-if="worth !== null"
      class="plain worth"
      :tabindex="tabIndex"
      data-stop="worth"
      :title="`${inFull(worth)} of 100: ${worthWord(row, perspective)}. Click to see how it is calculated.`"
      @click="emit('worth')"
    >
      {{ Math.round(worth!) }}</button><button
      v-else
      class="plain muted"
      :tabindex="tabIndex"
      data-stop="worth"
      title="unknown; click to see why"
      @click="emit('worth')"
    >
      {{ UNKNOWN }}
    </button>
  </td>
  <td v-if="columns.has('via')" class="center via figure">
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
</template>

<style scoped>
.end {
  text-align: end;
}
.center {
  text-align: center;
}
.line {
  padding: 0 4px !important;
}
.line svg {
  display: block;
  width: 72px;
  height: 26px;
}
.line polyline {
  fill: none;
  stroke: var(--teal);
  stroke-width: 1.8;
  stroke-linejoin: round;
}
.ramp {
  --fill: color-mix(in srgb, var(--teal) calc(var(--part) * 100%), var(--line));
  float: left;
  width: 32px;
  height: 20px;
  border-bottom: 1px solid var(--line);
  background: linear-gradient(var(--fill), var(--fill)) left bottom / calc(var(--part) * 100%) 4px no-repeat;
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
