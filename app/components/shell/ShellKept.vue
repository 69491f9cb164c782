<script setup lang="ts">
import { ref, watch } from 'vue'

/**
 * A view that takes long to draw, and others in its place: while one of them is looked at it stays as it is drawn, out
 * of sight and out of reach of keys and screen readers, so that it is there at once when it is looked at again.
 */
const props = defineProps<{
  /** Whether the view itself is looked at, and not one of those in its place. */
  seen: boolean
}>()
defineSlots<{
  /** The view that is kept. */
  default: () => unknown
  /** What is looked at instead. */
  others: () => unknown
}>()
/** It is made when it is first looked at. */
const made = ref(props.seen)
watch(
  () => props.seen,
  now => {
    if (now) made.value = true
  },
)
</script>

<template>
  <div class="stack">
    <div class="kept" :class="{ away: !seen }" :inert="!seen"><slot v-if="made" /></div>
    <div v-if="!seen" class="others"><slot name="others" /></div>
  </div>
</template>

<style scoped>
/* One lies over the other, so that neither changes its size: what is kept is neither laid out nor styled anew. */
.stack {
  flex: 1;
  min-width: 0;
  min-height: 0;
  display: grid;
  grid-template: minmax(0, 1fr) / minmax(0, 1fr);
}
.kept,
.others {
  grid-area: 1 / 1;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.stack,
.kept,
.others {
  gap: inherit;
}
.away {
  content-visibility: hidden;
}
@media print {
  .stack {
    display: block;
  }
  .away {
    display: none;
  }
  /* As what stands on a screen itself. */
  .kept > :deep(*),
  .others > :deep(*) {
    height: auto !important;
    max-height: none !important;
    min-height: 0 !important;
    overflow: visible !important;
  }
}
/* There a screen is one column that scrolls: what is kept takes no room in it. */
@media (max-width: 700px) {
  .stack {
    flex: none;
    display: block;
  }
  .kept > :deep(*),
  .others > :deep(*) {
    flex: none;
    max-width: 100%;
  }
  .away {
    height: 0;
    overflow: hidden;
  }
}
</style>
