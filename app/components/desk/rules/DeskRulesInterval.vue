<script setup lang="ts">
import { computed } from 'vue'
import type { CheckEvidence } from '../../../../core/evidence/evidence'
import { counted } from '~/composables/figures'

/** Whether results that meet a check stand higher: drawn, and said. */
const props = defineProps<{ evidence: CheckEvidence }>()
/** Drawn from so many ranks lower to as many higher. */
const REACH = 5
const NAMES: Record<CheckEvidence['verdict'], string> = {
  higher: 'stands higher with it',
  none: 'no clear difference',
  lower: 'stands lower with it',
  few: 'too few pages',
  untold: 'not told by a page',
}
const signed = (n: number) => `${n > 0 ? '+' : n < 0 ? '−' : ''}${Math.abs(n).toFixed(1)}`
const told = computed(() => {
  const { difference, low, high, pages, families, pairs, q, share } = props.evidence
  const met = share === null ? '' : ` ${Math.round(100 * share)} % of the results it applies to meet it.`
  if (difference === null)
    return props.evidence.verdict === 'untold'
      ? 'A result page does not tell whether this is met.'
      : `Only ${counted(families, 'group')} of pages hold results that meet it beside others that do not.${met}`
  return `${signed(difference)} ranks (95 %: ${signed(low!)} to ${signed(high!)}), ${counted(pairs, 'pair')} on ${counted(pages, 'page')} in ${counted(families, 'group')}; q ${q! < 0.001 ? 'under .001' : q!.toFixed(3)}.${met}`
})
</script>

<template>
  <span class="evidence" role="img" :title="told" :aria-label="`${NAMES[evidence.verdict]}. ${told}`">
    <ShellInterval
      v-if="evidence.difference !== null && evidence.low !== null && evidence.high !== null"
      :value="evidence.difference"
      :low="evidence.low"
      :high="evidence.high"
      :reach="REACH"
      :clear="evidence.verdict !== 'none'"
    />
    <span class="small" :class="{ muted: evidence.verdict !== 'higher' && evidence.verdict !== 'lower' }">{{
      NAMES[evidence.verdict]
    }}</span>
  </span>
</template>

<style scoped>
.evidence {
  display: inline-grid;
  grid-template-columns: 84px 128px;
  gap: 8px;
  align-items: center;
  text-align: start;
}
.evidence > .small {
  grid-column: 2;
}
</style>
