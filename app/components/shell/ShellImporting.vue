<script setup lang="ts">
import type { ImportProgress } from '../../../shared/imports'
import { leftWords } from '~/composables/assessing'

defineProps<{ progress: ImportProgress | null; left: number | null }>()
</script>

<template>
  <div v-if="progress" class="importing small" data-test="importing">
    <v-progress-linear
      :indeterminate="progress.part === null"
      :model-value="(progress.part ?? 0) * 100"
      color="primary"
      height="4"
      aria-label="Imported so far"
    />
    <span class="figure"
      >{{ progress.said }}<template v-if="left !== null">, {{ leftWords(left) }}</template></span
    >
    <slot />
  </div>
</template>

<style scoped>
.importing {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 28px;
}
.importing :deep(.v-progress-linear) {
  flex: 1 1 80px;
  max-width: 260px;
}
.importing > span {
  white-space: nowrap;
}
</style>
