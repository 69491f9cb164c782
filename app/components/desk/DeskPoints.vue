<script setup lang="ts">
import type { Score } from '../../../core/draft/score'
import { pointsText as figure } from '~/composables/points'

/** Points won, of how many, as figures and as a bar. */
defineProps<{ score: Score | null }>()
</script>

<template>
  <div class="points">
    <div class="sum">
      <span class="figure won" data-test="points">{{ score ? figure(score.points) : '–' }}</span><span
        class="figure muted"
        >of {{ score ? Math.round(score.outOf) : '–' }} points</span
      >
      <v-spacer /><span v-if="score?.percent != null" class="figure" data-test="percent"
        >{{ Math.floor(score.percent + 1e-9) }} %</span
      >
    </div>
    <div
      v-if="score?.percent != null"
      class="bar"
      role="img"
      :aria-label="`${Math.round(score.percent)} percent of the points`"
    >
      <span :style="{ width: `${score.percent}%` }" />
    </div>
  </div>
</template>

<style scoped>
.points {
  display: grid;
  gap: 8px;
}
.sum {
  display: flex;
  align-items: baseline;
  gap: 8px;
}
.won {
  font-size: 28px;
  line-height: 1;
  color: var(--teal);
}
.bar {
  height: 5px;
  background: color-mix(in srgb, var(--teal) 14%, var(--surface));
}
.bar span {
  display: block;
  height: 100%;
  background: var(--teal);
  transition: width 120ms;
}
</style>
