<script setup lang="ts">
import { inDigits } from '../../../core/text/inWords'
import { leftWords } from '~/composables/assessing'

defineProps<{ done: number; total: number; left: number | null; running: boolean; problem: string }>()
const emit = defineEmits<{ stop: [] }>()
</script>

<template>
  <div class="progress small" role="status" data-test="progress">
    <template v-if="running">
      <v-progress-linear
        :model-value="total ? (done / total) * 100 : 0"
        color="primary"
        height="4"
        aria-label="Assessed so far"
      />
      <span
        ><span class="figure">{{ inDigits(done) }}</span> of
        <span class="figure">{{ inDigits(total) }}</span> assessed<template v-if="left !== null"
          >, {{ leftWords(left) }}</template
        ></span
      >
      <v-btn size="small" variant="tonal" data-test="progress-stop" @click="emit('stop')">Stop</v-btn>
    </template>
    <span v-else-if="total">{{ inDigits(done) }} of {{ inDigits(total) }} assessed.</span>
    <span v-if="problem" class="problem">{{ problem }}</span>
  </div>
</template>

<style scoped>
.progress {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: 28px;
}
.progress :deep(.v-progress-linear) {
  max-width: 200px;
}
.progress > span {
  white-space: nowrap;
}
.problem {
  color: var(--plum);
  overflow: hidden;
  text-overflow: ellipsis;
}
</style>
