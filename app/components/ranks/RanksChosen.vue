<script setup lang="ts">
import { useRanks } from '~/stores/ranks'

/** What is shown of the video chosen; where there is none, or it cannot be loaded, that is said instead. */
defineSlots<{ default: () => unknown }>()
const ranks = useRanks()
</script>

<template>
  <ShellFailed v-if="ranks.problem" :problem="ranks.problem" @again="ranks.load()" />
  <div v-else-if="ranks.videos && !ranks.video" class="sheet state" data-test="ranks-empty">
    <h2>No video to look up yet</h2>
    <ShellChooseChannel />
  </div>
  <slot v-else />
</template>
