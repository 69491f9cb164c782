<script setup lang="ts">
import { computed } from 'vue'
import type { CheckEvidence } from '../../../../core/evidence/evidence'
import { counted } from '~/composables/figures'

/** Whether results that meet a check stand higher: drawn from so many ranks lower to as many higher, and said. */
const props = defineProps<{ evidence: CheckEvidence }>()
const REACH = 5
const WIDTH = 84
const NAMES: Record<CheckEvidence['verdict'], string> = {
  higher: 'stands higher with it',
  none: 'no clear difference',
  lower: 'stands lower with it',
  few: 'too few pages',
  untold: 'not told by a page',
}
const x = (ranks: number) => WIDTH / 2 + (Math.max(-REACH, Math.min(REACH, ranks)) / REACH) * (WIDTH / 2 - 4)
const drawn = computed(() => {
  const { difference, low, high } = props.evidence
  return difference === null || low === null || high === null
    ? null
    : { from: x(low), to: x(high), at: x(difference), clear: props.evidence.verdict !== 'none' }
})
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
    <svg v-if="drawn" :width="WIDTH" height="12" aria-hidden="true">
      <line :x1="WIDTH / 2" :x2="WIDTH / 2" y1="0" y2="12" class="zero" />
      <line :x1="drawn.from" :x2="drawn.to" y1="6" y2="6" class="span" :class="{ unclear: !drawn.clear }" />
      <circle :cx="drawn.at" cy="6" r="3.5" :class="drawn.clear ? 'clear' : 'open'" />
    </svg>
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
.zero {
  stroke: var(--line);
}
.span {
  stroke: var(--teal);
  stroke-width: 2;
}
.unclear {
  stroke: var(--muted);
}
.clear {
  fill: var(--teal);
}
.open {
  fill: var(--surface);
  stroke: var(--muted);
  stroke-width: 1.5;
}
</style>
