<script setup lang="ts">
import { computed } from 'vue'
import type { MeasuredTitle } from '../../../../core/titles/measure'
import { percent } from '~/composables/figures'

/** A title beside others: what of it is seen where, what it holds, and what it is close to. */
const props = defineProps<{
  title: string
  measured: MeasuredTitle | undefined
  /** What it adds to the phrase, in words. */
  pattern?: string
}>()

const SURFACES = [
  ['phone', 'on a phone'],
  ['desktopList', 'in a list'],
  ['suggestion', 'beside a video'],
] as const

/** The part that a phone shows, and the rest. */
const parts = computed(() => {
  const at = props.measured?.shown.phone ?? props.title.length
  return { seen: props.title.slice(0, at), cut: props.title.slice(at) }
})
const cuts = computed(() => {
  if (!props.measured) return ''
  const { shown } = props.measured
  const cut = SURFACES.filter(([surface]) => shown[surface] < props.title.length)
  return cut.length
    ? `cut at ${cut.map(([surface, where]) => `${[...props.title.slice(0, shown[surface])].length} ${where}`).join(', ')}`
    : 'shown whole everywhere'
})
const lead = computed(() => {
  const found = props.measured?.lead
  if (!found) return 'no lead'
  const where = found.start === 0 ? 'at the front' : `from ${[...props.title.slice(0, found.start)].length + 1}`
  return found.grade === 'exact' ? `lead ${where}` : found.grade === 'fragment' ? 'part of the lead' : `lead loosely`
})
const figure = (points: number) => points.toFixed(1).replace(/\.0$/u, '')
</script>

<template>
  <div class="title-row">
    <p class="text">
      <span>{{ parts.seen }}</span><span v-if="parts.cut" class="cut" title="A phone does not show this">{{
        parts.cut
      }}</span>
    </p>
    <p class="facts small muted">
      <template v-if="measured">
        <strong class="figure" :title="`${measured.points} of ${measured.outOf} points for the title`"
          >{{ figure(measured.points) }} / {{ figure(measured.outOf) }}</strong
        >
        <span class="figure" :class="{ over: measured.used > measured.limit }"
          >{{ measured.used }} / {{ measured.limit }}</span
        >
        <span>{{ cuts }}</span>
        <span>{{ lead }}</span>
        <span v-if="measured.phrases > 1">holds {{ measured.holds }} of {{ measured.phrases }} phrases</span>
        <span v-if="pattern">{{ pattern }}</span>
        <span v-if="measured.closest" class="closest" :title="measured.closest.title"
          >{{ percent(measured.closest.closeness) }} like “{{ measured.closest.title }}”</span
        >
      </template>
      <template v-else>–</template>
    </p>
    <div class="actions"><slot /></div>
  </div>
</template>

<style scoped>
.title-row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 2px 10px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.text {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.cut {
  color: var(--muted);
  font-weight: 400;
  border-left: 2px solid var(--ochre);
  padding-left: 2px;
}
.facts {
  grid-column: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}
.facts strong {
  color: var(--ink);
}
.over {
  color: var(--plum);
  font-weight: 600;
}
.closest {
  max-width: 100%;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.actions {
  grid-column: 2;
  grid-row: 1 / span 2;
  display: flex;
  align-items: start;
  gap: 2px;
}
</style>
