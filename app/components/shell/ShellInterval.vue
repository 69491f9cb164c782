<script setup lang="ts">
import { computed } from 'vue'

/** A value with its interval, drawn about 0: filled where it is clear of it. */
const props = defineProps<{
  value: number
  low: number
  high: number
  /** What lies at either end of the picture. */
  reach: number
  clear: boolean
}>()
const WIDTH = 84
const x = (value: number) =>
  WIDTH / 2 + (Math.max(-props.reach, Math.min(props.reach, value)) / props.reach) * (WIDTH / 2 - 4)
const drawn = computed(() => ({ from: x(props.low), to: x(props.high), at: x(props.value) }))
</script>

<template>
  <svg :width="WIDTH" height="12" aria-hidden="true">
    <line :x1="WIDTH / 2" :x2="WIDTH / 2" y1="0" y2="12" class="zero" />
    <line :x1="drawn.from" :x2="drawn.to" y1="6" y2="6" class="span" :class="{ unclear: !clear }" />
    <circle :cx="drawn.at" cy="6" r="3.5" :class="clear ? 'clear' : 'open'" />
  </svg>
</template>

<style scoped>
.zero {
  stroke: var(--line);
}
.span {
  stroke: var(--teal);
  stroke-width: 2;
}
.unclear {
  stroke: var(--muted);
}
.clear {
  fill: var(--teal);
}
.open {
  fill: var(--surface);
  stroke: var(--muted);
  stroke-width: 1.5;
}
</style>
