<script setup lang="ts">
import { computed } from 'vue'
import { VIEW_SOURCES } from '../../../core/formats/dayColumns'
import { inDigits } from '../../../core/text/inWords'
import type { ViewsAnswer, ViewsDay } from '../../../shared/views'
import { percent, rounded } from '~/composables/figures'
import { SOURCE_NAMES } from '~/composables/viewSources'

/** Where views came from in the days that are shown, and how far the video is watched. */
const props = defineProps<{
  days: readonly ViewsDay[]
  referrers: ViewsAnswer['referrers']
  retention: readonly number[] | null
}>()
const rows = computed(() => {
  const sums = VIEW_SOURCES.flatMap(source => {
    const told = props.days.flatMap(day => day[source] ?? [])
    return told.length
      ? [{ name: SOURCE_NAMES[source], views: told.reduce((a, b) => a + b, 0), days: told.length }]
      : []
  })
  const all = sums.reduce((sum, { views }) => sum + views, 0)
  return sums.sort((a, b) => b.views - a.views).map(row => ({ ...row, share: all ? percent(row.views / all) : '' }))
})
/** The part still there at a quarter, half, three quarters and the end. */
const stays = computed(() =>
  props.retention?.length === 11
    ? [
        { at: 'at half', part: props.retention[5]! },
        { at: 'at the end', part: props.retention[10]! },
      ]
    : [],
)
</script>

<template>
  <section aria-labelledby="view-sources" data-test="view-sources">
    <h2 id="view-sources">Where views come from</h2>
    <table v-if="rows.length">
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <th scope="row">{{ row.name }}</th>
          <td class="figure" :title="`${inDigits(row.views)} views on ${row.days} days`">{{ rounded(row.views) }}</td>
          <td class="figure muted">{{ row.share }}</td>
        </tr>
        <tr v-for="site in referrers.slice(0, 5)" :key="site.name" class="small">
          <th scope="row" class="from">{{ site.name }}</th>
          <td class="figure">{{ rounded(site.views) }}</td>
          <td />
        </tr>
      </tbody>
    </table>
    <p v-else class="muted small">Nobody told where the views of these days came from.</p>
    <p v-if="stays.length" class="small" data-test="stays">
      Still watching:
      <span v-for="stay in stays" :key="stay.at" class="stay"
        ><span class="figure">{{ percent(stay.part) }}</span> {{ stay.at }}</span
      >
    </p>
  </section>
</template>

<style scoped>
section {
  padding: 12px 14px;
  display: grid;
  gap: 8px;
  align-content: start;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  font-weight: 400;
  text-align: start;
  padding: 2px 0;
}
td {
  text-align: end;
  padding: 2px 0 2px 10px;
}
.from {
  padding-inline-start: 14px;
  color: var(--muted);
  overflow-wrap: anywhere;
}
.stay {
  margin-inline-end: 10px;
}
</style>
