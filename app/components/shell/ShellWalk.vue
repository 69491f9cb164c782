<script setup lang="ts">
import { computed } from 'vue'
import { WALK_STEPS } from '~/composables/walkSteps'
import { useWalk } from '~/stores/walk'

/** The walk's step at the foot of every screen: what is to be done, whether it is, and the next one. */
const walk = useWalk()
const { busy, act } = useBusyMutation()
const at = computed(() => walk.walk?.at ?? 0)
const done = computed(() => walk.walk?.done.includes(at.value) ?? false)
const last = computed(() => at.value === WALK_STEPS.length - 1)
</script>

<template>
  <div v-if="walk.step" class="walk" role="region" aria-label="Walk" data-test="walk">
    <ol class="steps">
      <li v-for="(step, i) in WALK_STEPS" :key="step.name">
        <button
          class="plain"
          :aria-current="i === at ? 'step' : undefined"
          :class="{ here: i === at, done: walk.walk!.done.includes(i) }"
          :disabled="busy"
          @click="act(() => walk.show(i))"
        >
          {{ step.name }}<span v-if="walk.walk!.done.includes(i)"> ✓<span class="unseen">, done</span></span>
        </button>
      </li>
    </ol>
    <p class="say" aria-live="polite" data-test="walk-say">
      {{ walk.own ? walk.step.say : 'Another brief is open. Choose a step to go on with the walk.' }}
    </p>
    <div class="acts">
      <v-btn
        v-if="!last"
        size="small"
        :variant="done ? 'flat' : 'tonal'"
        :color="done ? 'primary' : undefined"
        :disabled="busy"
        data-test="walk-next"
        @click="act(() => walk.show(at + 1))"
        >{{ done ? 'Next step' : 'Skip it' }}</v-btn><v-btn
        size="small"
        :variant="last && done ? 'flat' : 'text'"
        :color="last && done ? 'primary' : undefined"
        :disabled="busy"
        title="Deletes the brief of the walk; nothing else was changed"
        data-test="walk-end"
        @click="act(walk.end)"
        >End the walk</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.walk {
  grid-area: walk;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 16px;
  align-items: center;
  padding: 8px 16px;
  background: var(--surface);
  border-top: 1px solid var(--line);
}
.steps {
  grid-column: 1 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 0;
  padding: 0;
  list-style-position: inside;
  font-size: 12px;
  color: var(--muted);
}
.steps button {
  font-size: 12px;
  color: var(--muted);
}
.steps .here {
  color: var(--ink);
  font-weight: 600;
  text-decoration: underline 2px var(--teal);
  text-underline-offset: 4px;
}
.steps .done {
  color: var(--teal);
}
.say {
  margin: 0;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
@media print {
  .walk {
    display: none;
  }
}
@media (max-width: 700px) {
  .walk {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
