<script setup lang="ts">
import type { Swatch } from '../../../../core/thumbnail/palette'
import { percent } from '~/composables/figures'

/** Colours as one strip, each as wide as what it covers. */
defineProps<{ swatches: readonly Swatch[]; label: string }>()
</script>

<template>
  <span v-if="swatches.length" class="strip" role="img" :aria-label="label">
    <span
      v-for="(swatch, i) in swatches"
      :key="i"
      :style="{ flexGrow: swatch.share, backgroundColor: swatch.hex }"
      :title="`${swatch.hex}, ${percent(swatch.share)}`"
    />
  </span>
</template>

<style scoped>
.strip {
  display: flex;
  height: 18px;
  border: 1px solid var(--line);
  border-radius: 3px;
  overflow: hidden;
}
.strip > span {
  flex-basis: 0;
}
</style>
