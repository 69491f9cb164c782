<script setup lang="ts">
import { computed } from 'vue'
import type { PhraseDetail } from '../../../shared/phrases'
import { chanceText, counted, dateOnly, percent } from '~/composables/figures'

/** What a chance learnt from result pages is made of, and how sure it is. */
const props = defineProps<{ chance: number; working: NonNullable<PhraseDetail['chanceWorking']> }>()

const NAMES = {
  size: 'Subscribers',
  views: 'Views my videos get',
  channel: 'What my videos have beyond that',
  page: 'This page',
}
/** Less than this hardly moves a chance. */
const SLIGHT = 0.25
const speaks = computed(() =>
  props.working.parts.map(({ name, value }) => ({
    name: NAMES[name],
    value: `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(1)}`,
    said: Math.abs(value) < SLIGHT ? 'hardly counts' : value > 0 ? 'speaks for it' : 'speaks against it',
  })),
)
</script>

<template>
  <section data-test="chance-working">
    <h3>Chance: {{ chanceText(chance) }}</h3>
    <p class="small">
      Learnt from {{ counted(working.pages, 'result page') }} on {{ dateOnly(working.at) }}: which wording, channels and
      videos stand higher. On pages left out it put {{ percent(working.pairs.learnt) }} of all pairs in the right order;
      fixed weights put {{ percent(working.pairs.constants) }}.
      <template v-if="working.constants !== null"
        >By those the chance would be {{ chanceText(working.constants) }}.</template
      >
    </p>
    <table>
      <tbody>
        <tr v-for="part in speaks" :key="part.name">
          <th scope="row">{{ part.name }}</th>
          <td class="figure end">{{ part.value }}</td>
          <td>{{ part.said }}</td>
        </tr>
      </tbody>
    </table>
    <p class="muted small">
      The parts add up to the logit of the chance, for a video 28 days old with the phrase in title, first line and a
      tag; a channel with some 3,000 subscribers has 0 for them. A video that does better or worse than most of mine has
      {{ chanceText(working.range[0]) }} to {{ chanceText(working.range[1]) }}.
    </p>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 8px;
}
h3 {
  font-size: 14px;
  margin-top: 10px;
}
table {
  border-collapse: collapse;
  margin: 6px 0;
}
th,
td {
  text-align: start;
  padding: 3px 16px 3px 0;
}
.end {
  text-align: end;
}
</style>
