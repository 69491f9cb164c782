<script setup lang="ts">
import { computed } from 'vue'
import { isFresh, rankDay } from '../../../core/ranks/standing'
import { now } from '~/composables/clock'
import { rankCell, type RankColumn, type RankedLine } from '~/composables/rankCells'

/** One figure of a line in a table of ranks; a rank that was seen long ago is pale. */
const props = defineProps<{ line: RankedLine; column: RankColumn }>()
const cell = computed(() => rankCell(props.line, props.column))
const isOld = computed(() => !!props.line.standing && !isFresh(props.line.standing.now, rankDay(now())))
</script>

<template>
  <span class="figure" :class="[column, { muted: isOld }]" :title="cell.said" :data-test="`rank-${column}`">{{
    cell.text
  }}</span>
</template>

<style scoped>
.now:not(.muted) {
  font-weight: 600;
}
</style>
