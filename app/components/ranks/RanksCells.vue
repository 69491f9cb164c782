<script setup lang="ts">
import { computed } from 'vue'
import { isFresh, rankDay } from '../../../core/ranks/standing'
import { now } from '~/composables/clock'
import { RANK_COLUMNS, rankCell, type RankedLine } from '~/composables/rankCells'

/** The figures of a line in a table of ranks, all in one: rows are made anew as it scrolls and sorts. */
const props = defineProps<{ line: RankedLine }>()
const cells = computed(() => RANK_COLUMNS.map(({ key }) => ({ key, ...rankCell(props.line, key) })))
/** A rank that was seen long ago is pale. */
const isOld = computed(() => !!props.line.standing && !isFresh(props.line.standing.now, rankDay(now())))
</script>

<template>
  <td
    v-for="{ key, text, said } in cells"
    :key="key"
    class="figure cell"
    :class="[key, { muted: isOld }]"
    :title="said"
    :data-test="`rank-${key}`"
  >
    {{ text }}
  </td>
</template>

<style scoped>
.cell {
  text-align: end;
}
.now:not(.muted) {
  font-weight: 600;
}
</style>
