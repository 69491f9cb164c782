<script setup lang="ts">
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { CheckResult } from '../../../core/draft/score'
import { leftOf as left, pointsText as figure, STATE_NAMES as STATES } from '~/composables/points'

/** A check with its points, drawn anew only when something of its own changes, whatever is typed. */
defineProps<{ check: CheckResult }>()
const emit = defineEmits<{ fix: [fix: Fix]; show: [range: FieldRange] }>()
</script>

<template>
  <li
    class="point"
    :class="{ quiet: check.state === 'met' || check.state === 'n/a' }"
    :data-test="`check-${check.id}`"
    :data-state="check.state"
  >
    <ShellShape class="shape" :state="check.state" :label="STATES[check.state]" />
    <div>
      <button
        v-if="check.ranges.length"
        class="plain name"
        :title="`${check.why} Click to go there.`"
        @click="emit('show', check.ranges[0]!)"
      >
        {{ check.title }}
      </button>
      <span v-else class="name" :title="check.why">{{ check.title }}</span>
      <p class="small said">{{ check.message }}</p>
      <button v-for="fix in check.fixes" :key="fix.label" class="fix small" data-test="fix" @click="emit('fix', fix)">
        {{ fix.label }}<span v-if="fix.gain" class="figure gain">+{{ figure(fix.gain) }}</span>
      </button>
    </div>
    <span class="figure small points" :title="`${check.points.toFixed(2)} of ${check.outOf} points`">{{
      left(check) > 0.05 ? `+${figure(left(check))}` : check.outOf ? figure(check.points) : ''
    }}</span>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 6px;
  padding: 7px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.points {
  color: var(--ink);
  padding-top: 1px;
}
.quiet .points {
  color: var(--muted);
}
.gain {
  margin-inline-start: 8px;
  color: var(--muted);
}
</style>
