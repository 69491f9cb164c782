<script setup lang="ts">
import { computed } from 'vue'
import { rankDay } from '../../../core/ranks/standing'
import type { ComparedChange } from '../../../shared/views'
import { COMPARED_NAMES, comparedSaid, comparedWorking } from '~/composables/comparedWords'
import { dayOnly } from '~/composables/figures'

/** What each change of the video did, beside the channel's other videos in the same days. */
const props = defineProps<{ changes: readonly ComparedChange[] }>()
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
        <p v-for="result in row.results" :key="result.what" class="small" :title="comparedWorking(result)">
          <template v-if="result.effect">{{ COMPARED_NAMES[result.what] }}. </template>{{ comparedSaid(result) }}
        </p>
      </li>
    </ul>
    <p v-else class="muted small">
      Nothing of this video was changed through Fonetra yet. Change its title, thumbnail or text under Release,
      <em>Publish</em>; what that does is shown here.
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
