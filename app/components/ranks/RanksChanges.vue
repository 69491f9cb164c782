<script setup lang="ts">
import { computed } from 'vue'
import { LEAST_CONTROLS, YOUNG_DAYS, type BeforeAfter } from '../../../core/ranks/beforeAfter'
import { rankDay } from '../../../core/ranks/standing'
import type { ComparedChange } from '../../../shared/views'
import { COMPARED_NAMES, timesRange, timesText } from '~/composables/comparedWords'
import { counted, dayOnly } from '~/composables/figures'

/** What each change of the video did, beside the channel's other videos in the same days. */
const props = defineProps<{ changes: readonly ComparedChange[] }>()
const range = ({ effect }: BeforeAfter) => timesRange(effect!)
function said(result: BeforeAfter): string {
  switch (result.state) {
    case 'more':
      return `More: ${range(result)} as much`
    case 'less':
      return `Less: ${range(result)} as much`
    case 'unclear':
      return `No clear difference: ${range(result)} as much`
    case 'early':
      return `Too early to say: from ${dayOnly(result.from!)} on`
    case 'young':
      return `The video was younger than ${counted(YOUNG_DAYS + 7, 'day')}: first weeks fall by themselves`
    case 'no-days':
      return 'Not enough days are known before and after'
    case 'few-videos':
      return `Fewer than ${LEAST_CONTROLS} other videos tell what would have happened anyway`
  }
}
function explained(result: BeforeAfter): string | undefined {
  const { days, controls, effect } = result
  if (!effect) return undefined
  const compared = `${counted(days, 'day')} before and after, less how ${counted(controls, 'other video')} did meanwhile`
  return `${timesText(effect.times)} times, 95 % between ${range(result)}: ${compared}`
}
const rows = computed(() =>
  props.changes.map(({ at, fields, results }) => ({
    day: dayOnly(rankDay(at)),
    fields: fields.join(', '),
    // Where nothing can be said yet the reason stands once.
    results: results.some(({ effect }) => effect) ? results.filter(({ effect }) => effect) : results.slice(0, 1),
  })),
)
</script>

<template>
  <section class="part" aria-labelledby="before-after" data-test="before-after">
    <h2 id="before-after">Before and after a change</h2>
    <ul v-if="rows.length">
      <li v-for="row in rows" :key="row.day">
        <p>
          <span class="figure muted">{{ row.day }}</span> {{ row.fields }} changed
        </p>
        <p v-for="result in row.results" :key="result.what" class="small" :title="explained(result)">
          <template v-if="result.effect">{{ COMPARED_NAMES[result.what] }}. </template>{{ said(result) }}
        </p>
      </li>
    </ul>
    <p v-else class="muted small">
      Nothing of this video was changed through Fonetra yet. Change its title, thumbnail or text under Release,
      <em>Publish</em>; what that does is told here.
    </p>
  </section>
</template>

<style scoped>
ul {
  margin: 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 8px;
}
</style>
