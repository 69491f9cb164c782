<script setup lang="ts">
import { computed } from 'vue'
import type { Question } from '../../../core/draft/check'
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { Score } from '../../../core/draft/score'
import { leftOf as left, pointsText as figure } from '~/composables/points'

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
        <DeskCheck
          v-for="check in group.checks"
          :key="check.id"
          :check="check"
          @fix="emit('fix', $event)"
          @show="emit('show', $event)"
        />
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
.without {
  padding: 7px 0;
}
</style>
