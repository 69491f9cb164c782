<script setup lang="ts">
import { computed } from 'vue'
import type { BriefFields } from '../../../core/brief/brief'
import type { Score } from '../../../core/draft/score'
import { pointsText } from '~/composables/points'

/** Two versions of a brief side by side: the checks that tell them apart, then their words. */
interface Side {
  name: string
  fields: BriefFields
  score: Score
}
const props = defineProps<{ before: Side; after: Side }>()

/** Checks that stand otherwise after than before, the largest difference first. */
const differing = computed(() => {
  const then = new Map(props.before.score.checks.map(check => [check.id, check]))
  return props.after.score.checks
    .map(check => ({ check, by: check.points - (then.get(check.id)?.points ?? 0), then: then.get(check.id) }))
    .filter(({ by, check, then }) => then && (Math.abs(by) > 0.05 || check.outOf !== then.outOf))
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
})
const signed = (points: number) => `${points < 0 ? '−' : '+'}${pointsText(Math.abs(points))}`
const tags = ({ fields }: Side) => fields.tags.join(', ')
</script>

<template>
  <div class="compare" data-test="version-compared">
    <p class="small">
      <template v-for="(side, i) in [before, after]" :key="i"
        ><template v-if="i">, </template>{{ side.name }}{{ ' '
        }}<span class="figure"
          >{{ pointsText(side.score.points) }} of {{ Math.round(side.score.outOf) }}</span
        ></template
      >
      points under the same rule set.
    </p>
    <table v-if="differing.length" class="small" aria-label="Checks that differ">
      <thead>
        <tr>
          <th>Check</th>
          <th :title="before.name">Before</th>
          <th :title="after.name">After</th>
          <th>Change</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ check, then, by } in differing" :key="check.id">
          <td>{{ check.title }}</td>
          <td class="figure">{{ then!.outOf ? pointsText(then!.points) : '–' }}</td>
          <td class="figure">{{ check.outOf ? pointsText(check.points) : '–' }}</td>
          <td class="figure">{{ signed(by) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="small muted">No check tells them apart.</p>
    <template v-if="before.fields.title !== after.fields.title">
      <h3>Title</h3>
      <DeskDifference :before="before.fields.title" :after="after.fields.title" />
    </template>
    <template v-if="before.fields.description !== after.fields.description">
      <h3>Description</h3>
      <DeskDifference :before="before.fields.description" :after="after.fields.description" />
    </template>
    <template v-if="tags(before) !== tags(after)">
      <h3>Tags</h3>
      <DeskDifference :before="tags(before)" :after="tags(after)" />
    </template>
  </div>
</template>

<style scoped>
.compare {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
h3 {
  font-size: 13px;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: right;
  padding: 2px 4px;
  border-bottom: 1px solid var(--line);
}
th:first-child,
td:first-child {
  text-align: left;
}
th {
  color: var(--muted);
}
</style>
