<script setup lang="ts">
/**
 * State as a shape: filled disc met, half disc partly, ring missing, ring with a mark not answered yet, dash does not
 * apply or is not allowed.
 */
defineProps<{ state: 'met' | 'partly' | 'missing' | 'unanswered' | 'n/a'; label: string }>()
</script>

<template>
  <svg viewBox="0 0 16 16" width="14" height="14" role="img" :aria-label="label">
    <circle v-if="state !== 'n/a'" cx="8" cy="8" r="6" fill="none" stroke="currentColor" stroke-width="1.6" />
    <circle v-if="state === 'met'" cx="8" cy="8" r="6.4" fill="currentColor" />
    <path v-if="state === 'partly'" d="M8 2a6 6 0 0 1 0 12z" fill="currentColor" />
    <path v-if="state === 'unanswered'" d="M8 4.6v4.2M8 10.2v1.6" stroke="currentColor" stroke-width="1.6" />
    <path v-if="state === 'n/a'" d="M3 8h10" stroke="currentColor" stroke-width="1.6" />
  </svg>
</template>
