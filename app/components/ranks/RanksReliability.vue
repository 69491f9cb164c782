<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import type { ReliabilityBin } from '../../../core/ranks/reliability'
import { counted, percent } from '~/composables/figures'

/** Of what was told so many percent, how much came: a dot a tenth with its interval, on the line where both agree. */
const props = defineProps<{ bins: readonly ReliabilityBin[] }>()
const { base, colours } = useChart()
const known = computed(() => props.bins.filter(({ n }) => n > 0))
const series = computed(() => [
  {
    name: 'interval',
    type: 'rangeBar',
    data: known.value.map(bin => ({ x: middle(bin), y: [100 * bin.low!, 100 * bin.high!] })),
  },
])
const middle = ({ from, to }: ReliabilityBin) => `${Math.round(from * 100)}–${Math.round(to * 100)} %`
const options = computed((): ApexOptions => ({
  ...base.value,
  chart: { ...base.value.chart, type: 'rangeBar' },
  plotOptions: { bar: { horizontal: false, columnWidth: '14%' } },
  colors: [colours.value.muted],
  xaxis: { labels: { rotate: 0, hideOverlappingLabels: false }, tooltip: { enabled: false } },
  yaxis: {
    min: 0,
    max: 100,
    tickAmount: 4,
    title: { text: 'reached page one', style: { fontWeight: 400 } },
    labels: { formatter: value => `${Math.round(value)} %` },
  },
  annotations: {
    points: known.value.flatMap(bin => [
      {
        x: middle(bin),
        y: (100 * bin.came) / bin.n,
        marker: { size: 6, fillColor: colours.value.teal, strokeColor: colours.value.teal },
      },
      {
        x: middle(bin),
        y: 100 * bin.told!,
        marker: { size: 5, fillColor: colours.value.surface, strokeColor: colours.value.ink, strokeWidth: 2 },
      },
    ]),
  },
  tooltip: {
    custom: ({ dataPointIndex }: { dataPointIndex: number }) => {
      const text = document.createElement('div')
      text.textContent = said(known.value[dataPointIndex]!)
      text.className = 'charttip'
      return text.outerHTML
    },
  },
}))
function said({ from, to, n, came, low, high }: ReliabilityBin): string {
  const given = `Of ${counted(n, 'phrase')} given ${Math.round(from * 100)} to ${Math.round(to * 100)} %, ${came} reached page one`
  return `${given}: in the long run ${percent(low!)} to ${percent(high!)}.`
}
</script>

<template>
  <figure data-test="reliability">
    <ShellChart type="rangeBar" :height="210" :options="options" :series="series" aria-hidden="true" />
    <figcaption class="small muted legend">
      By the chance given: <i class="came" /> how many reached page one <i class="told" /> the chance given
      <i class="line" /> range in the long run, 90 %
    </figcaption>
    <ul class="unseen">
      <li v-for="bin in known" :key="bin.from">{{ said(bin) }}</li>
    </ul>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  padding: 10px 12px;
}
.legend {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 8px;
}
.legend i {
  width: 11px;
  height: 11px;
  border-radius: 50%;
  border: 2px solid var(--teal);
  background: var(--teal);
  margin-inline-start: 6px;
}
.legend .told {
  background: var(--surface);
  border-color: var(--ink);
}
.legend .line {
  border-radius: 0;
  border: 0;
  width: 4px;
  background: var(--muted);
}
</style>
