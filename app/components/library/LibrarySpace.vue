<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import type { SpaceAnswer } from '../../../shared/space'
import { api, messageOf } from '~/composables/api'
import { fileSize, inFull } from '~/composables/figures'

/** What takes space in the data file and beside it, and what becomes of what is old. */
const NAMES: Record<keyof SpaceAnswer, string> = {
  texts: 'Briefs, lists and their history',
  figures: 'Phrases and their figures',
  pages: 'Result pages, videos and channels',
  rest: 'Work and settings',
  free: 'Free space inside the file',
  index: 'Index of phrases, kept beside the file',
}
const answer = shallowRef<SpaceAnswer | null>(null)
const problem = ref('')

async function refresh() {
  problem.value = ''
  try {
    answer.value = await api('GET /api/data/space')
  } catch (error) {
    problem.value = messageOf(error)
  }
}
void refresh()

const parts = computed(() => {
  if (!answer.value) return []
  const all = Object.values(answer.value).reduce((sum, bytes) => sum + bytes, 0)
  // A small index is not kept.
  const kinds = (Object.keys(NAMES) as (keyof SpaceAnswer)[]).filter(
    kind => kind !== 'index' || answer.value!.index > 0,
  )
  return kinds.map(kind => {
    const bytes = answer.value![kind]
    return { kind, name: NAMES[kind], bytes, part: all ? (bytes / all) * 100 : 0 }
  })
})
</script>

<template>
  <section class="sheet" aria-label="Space" data-test="space">
    <div>
      <h2>Space</h2>
      <p class="small muted">
        Texts are never removed. Result pages and earlier figures are all kept for 60 days, then one per week, and after
        a year one per month. Pages older than 60 days keep their first 20 results.
      </p>
    </div>
    <div v-if="problem" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="refresh">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!answer" type="list-item@3" />
    <table v-else>
      <tr v-for="each in parts" :key="each.kind">
        <th scope="row">{{ each.name }}</th>
        <td class="figure end" :title="inFull(each.bytes, 'bytes')">{{ fileSize(each.bytes) }}</td>
        <td class="share" aria-hidden="true"><i :style="{ width: `${each.part}%` }" /></td>
      </tr>
    </table>
  </section>
</template>

<style scoped>
section {
  padding: 12px 16px;
  display: grid;
  gap: 8px;
}
table {
  max-width: 720px;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 4px 12px 4px 0;
}
td {
  padding: 4px 12px 4px 0;
  white-space: nowrap;
}
.end {
  text-align: right;
}
.share {
  width: 45%;
}
.share i {
  display: block;
  height: 8px;
  background: var(--teal);
  min-width: 1px;
}
</style>
