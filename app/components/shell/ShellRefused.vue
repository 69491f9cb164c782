<script setup lang="ts">
import { inDigits } from '../../../core/text/inWords'

/** Lines of a file that were not taken, and why. */
defineProps<{ rejected: readonly { line: number; reason: string }[]; more: number }>()
</script>

<template>
  <ul v-if="rejected.length" class="rejected small sheet">
    <li v-for="each in rejected" :key="each.line">
      <span class="figure">line {{ each.line }}</span> {{ each.reason }}
    </li>
    <li v-if="more">and {{ inDigits(more) }} more</li>
  </ul>
</template>

<style scoped>
.rejected {
  list-style: none;
  padding: 8px 10px;
  margin: 8px 0 0;
  max-height: 180px;
  overflow: auto;
}
.rejected span {
  color: var(--muted);
  margin-right: 6px;
}
</style>
