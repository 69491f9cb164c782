<script setup lang="ts">
import { computed } from 'vue'
import type { Question } from '../../../core/draft/check'
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { Score } from '../../../core/draft/score'
import { leftOf as left, pointsText as figure, STATE_NAMES as STATES } from '~/composables/points'

/** The checks of a score by the question each answers, those that lack most first. */
const props = defineProps<{ score: Score | null }>()
const emit = defineEmits<{ fix: [fix: Fix]; show: [range: FieldRange] }>()

const QUESTIONS: { id: Question; name: string; asks: string }[] = [
  { id: 'found', name: 'Found', asks: 'Can search match it?' },
  { id: 'chosen', name: 'Chosen', asks: 'Would a person pick it?' },
  { id: 'kept', name: 'Kept', asks: 'Does it promise what the video delivers?' },
  { id: 'sound', name: 'Sound', asks: 'Are limits and form right?' },
]
const groups = computed(() =>
  QUESTIONS.map(question => {
    const all = (props.score?.checks ?? []).filter(check => check.question === question.id)
    const checks = all.filter(check => check.state !== 'n/a').sort((a, b) => left(b) - left(a))
    const sum = (of: 'points' | 'outOf') => checks.reduce((total, check) => total + check[of], 0)
    return {
      ...question,
      checks,
      without: all.filter(check => check.state === 'n/a'),
      points: sum('points'),
      outOf: sum('outOf'),
    }
  }),
)
</script>

<template>
  <div>
    <section v-for="group in groups" :key="group.id">
      <h2>
        <span :title="group.asks">{{ group.name }}</span> <span class="asks small muted">{{ group.asks }}</span><span
          class="figure small"
          >{{ figure(group.points) }} / {{ Math.round(group.outOf) }}</span
        >
      </h2>
      <ul>
        <li
          v-for="check in group.checks"
          :key="check.id"
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
            <button
              v-for="fix in check.fixes"
              :key="fix.label"
              class="fix small"
              data-test="fix"
              @click="emit('fix', fix)"
            >
              {{ fix.label }}<span v-if="fix.gain" class="figure gain">+{{ figure(fix.gain) }}</span>
            </button>
          </div>
          <span class="figure small points" :title="`${check.points.toFixed(2)} of ${check.outOf} points`">{{
            left(check) > 0.05 ? `+${figure(left(check))}` : check.outOf ? figure(check.points) : ''
          }}</span>
        </li>
      </ul>
      <p v-if="group.without.length" class="small muted without" data-test="without">
        Does not apply:
        <template v-for="(check, i) in group.without" :key="check.id"
          ><template v-if="i">, </template
          ><span :title="check.message" :data-test="`check-${check.id}`" data-state="n/a">{{
            check.title
          }}</span></template
        >
      </p>
    </section>
  </div>
</template>

<style scoped>
h2 {
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 12px 0 4px;
  border-bottom: 1px solid var(--line);
}
.asks {
  flex: 1;
  font-weight: 400;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 18px 1fr auto;
  gap: 6px;
  padding: 7px 0;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.shape {
  color: var(--teal);
  margin-top: 3px;
}
.quiet .shape {
  color: var(--muted);
}
.name {
  font-weight: 600;
}
.quiet .name {
  font-weight: 400;
}
.said {
  color: var(--muted);
  overflow-wrap: anywhere;
}
.points {
  color: var(--ink);
  padding-top: 1px;
}
.quiet .points {
  color: var(--muted);
}
.fix {
  border: 1px solid var(--teal);
  color: var(--teal);
  background: none;
  border-radius: 3px;
  padding: 2px 8px;
  margin: 4px 6px 0 0;
  cursor: pointer;
  font-family: inherit;
}
.fix:hover {
  background: color-mix(in srgb, var(--teal) 12%, transparent);
}
.without {
  padding: 7px 0;
}
.gain {
  margin-inline-start: 8px;
  color: var(--muted);
}
</style>
