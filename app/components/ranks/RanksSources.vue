<script setup lang="ts">
import { computed } from 'vue'
import type { Span } from '../../../core/ranks/span'
import { inDigits } from '../../../core/text/inWords'
import { counted, percent, rounded } from '~/composables/figures'
import { SOURCE_NAMES } from '~/composables/viewSources'

/** Where views came from in the days that are shown, and how far the video is watched. */
const props = defineProps<{ span: Span; retention: readonly number[] | null }>()
const emit = defineEmits<{ importRetention: [] }>()
/** Other sites that are listed. */
const LISTED = 5
/** The part of viewers still there. */
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
  <section class="part" aria-labelledby="view-sources" data-test="view-sources">
    <h2 id="view-sources">Where views come from</h2>
    <table v-if="span.sources.length || span.referrers.length">
      <tbody>
        <tr v-for="row in span.sources" :key="row.source">
          <th scope="row">{{ SOURCE_NAMES[row.source] }}</th>
          <td class="figure" :title="`${inDigits(row.sum)} views on ${counted(row.days, 'day')}`">
            {{ rounded(row.sum) }}
          </td>
          <td class="figure muted">{{ row.part === null ? '' : percent(row.part) }}</td>
        </tr>
        <tr v-for="site in span.referrers.slice(0, LISTED)" :key="site.name" class="small">
          <th scope="row" class="from">{{ site.name }}</th>
          <td class="figure" :title="inDigits(site.views)">{{ rounded(site.views) }}</td>
          <td />
        </tr>
      </tbody>
    </table>
    <p v-else class="muted small">Nobody told where the views of these days came from.</p>
    <p class="small" data-test="stays">
      <template v-if="stays.length"
        >Still watching:
        <span v-for="stay in stays" :key="stay.at" class="stay"
          ><span class="figure">{{ percent(stay.part) }}</span> {{ stay.at }}</span
        ></template
      ><span v-else class="muted stay">Audience retention is not known.</span
      ><button class="plain link" data-test="retention-import" @click="emit('importRetention')">Import a table</button>
    </p>
  </section>
</template>

<style scoped>
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
