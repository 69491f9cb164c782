<script setup lang="ts">
/** Whether what is typed is saved. */
defineProps<{ state: 'saved' | 'saving' | 'failed' }>()
const emit = defineEmits<{ retry: [] }>()
</script>

<template>
  <button v-if="state === 'failed'" class="plain small failed" @click="emit('retry')">Not saved. Try again</button>
  <span v-else class="small muted">{{ state === 'saved' ? 'Saved' : 'Saving' }}</span>
</template>

<style scoped>
.failed {
  color: var(--plum);
  font-weight: 600;
}
</style>
