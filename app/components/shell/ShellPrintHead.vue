<script setup lang="ts">
import { computed } from 'vue'
import { dateOnly } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useWorkspace } from '~/stores/workspace'

/** What a printed page is headed with: whose it is, of what, and of which day. */
const brief = useBrief()
const workspace = useWorkspace()
const { path } = useRoute()
/** Screens of one brief; the others are of the whole workspace. */
const OF_BRIEF = ['/desk', '/release', '/demand', '/rivals']
const topic = computed(() => (OF_BRIEF.includes(path) ? brief.fields?.title || brief.fields?.topic || '' : ''))
const day = dateOnly(Date.now())
</script>

<template>
  <div class="print-head" aria-hidden="true">
    <strong>{{ workspace.current?.channelTitle ?? workspace.current?.name }}</strong><span v-if="topic">{{
      topic
    }}</span
    ><span class="day">{{ day }}</span>
  </div>
</template>

<style scoped>
.print-head {
  display: none;
}
@media print {
  .print-head {
    display: flex;
    gap: 16px;
    align-items: baseline;
    padding: 0 16px 6px;
    margin-bottom: 10px;
    border-bottom: 1px solid currentColor;
    font-size: 12px;
  }
  .day {
    margin-left: auto;
  }
}
</style>
