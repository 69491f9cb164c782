<script setup lang="ts">
import type { Tally } from '../../../core/draft/score'
import { inDigits } from '../../../core/text/inWords'

/** How much of a limit is used. */
defineProps<{ tally: Tally | undefined; unit?: boolean }>()
</script>

<template>
  <span v-if="tally" class="figure small" :class="{ over: tally.used > tally.limit }"
    >{{ inDigits(tally.used) }} / {{ inDigits(tally.limit)
    }}{{ unit ? (tally.unit === 'bytes' ? ' bytes' : ' characters') : '' }}</span
  >
</template>

<style scoped>
.over {
  color: var(--plum);
  font-weight: 600;
}
</style>
