<script setup lang="ts">
import type { FieldRange, Fix } from '../../../core/draft/draft'
import type { Score } from '../../../core/draft/score'

/** A score on a sheet of its own: the sum, then the checks. */
defineProps<{ score: Score | null; problem: string; label: string }>()
const emit = defineEmits<{ fix: [fix: Fix]; show: [range: FieldRange] }>()
</script>

<template>
  <section class="points sheet" :aria-label="label">
    <header>
      <DeskPoints :score="score" />
      <slot />
      <p v-if="problem" class="small" role="alert">{{ problem }}</p>
    </header>
    <div class="scroll" tabindex="0" aria-label="Checks">
      <DeskChecks :score="score" @fix="emit('fix', $event)" @show="emit('show', $event)" />
    </div>
  </section>
</template>

<style scoped>
.points {
  display: flex;
  flex-direction: column;
  min-height: 0;
}
header {
  padding: 10px 14px;
  border-bottom: 1px solid var(--line);
  display: grid;
  gap: 6px;
}
.scroll {
  overflow: auto;
  min-height: 0;
  flex: 1;
  padding: 2px 14px 14px;
}
</style>
