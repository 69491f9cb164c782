<script setup lang="ts">
import { DAY } from '../../../core/time'
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import type { ResultsAnswer } from '../../../shared/rivals'
import { inDigits } from '../../../core/text/inWords'
import { ageWords, lengthWords, rounded } from '~/composables/figures'

const props = defineProps<{ page: ResultsAnswer }>()
const { base, colours } = useChart()
const rows = computed(() => props.page.rows.filter(row => !row.off))
const own = computed(() => props.page.reading.own?.strength ?? null)

const strength = computed((): ApexOptions => ({
  ...base.value,
  colors: [colours.value.teal],
  stroke: { width: 2, curve: 'straight' },
  markers: { size: 3, strokeWidth: 0 },
  xaxis: {
    type: 'numeric',
    min: 1,
    tickAmount: 11,
    title: { text: 'rank', style: { fontWeight: 400 } },
    labels: { formatter: value => String(Math.round(Number(value))) },
    tooltip: { enabled: false },
  },
  yaxis: {
    min: 0,
    max: 1,
    tickAmount: 5,
    labels: { formatter: value => value.toFixed(1) },
    title: { text: 'strength', style: { fontWeight: 400 } },
  },
  annotations: {
    ...(own.value === null
      ? {}
      : {
          yaxis: [
            {
              y: own.value,
              borderColor: colours.value.ochre,
              strokeDashArray: 4,
              label: {
                text: `my channel ${own.value.toFixed(2)}`,
                position: 'right',
                textAnchor: 'end',
                borderColor: 'transparent',
                offsetY: -3,
                style: { background: 'transparent', color: colours.value.ochre },
              },
            },
          ],
        }),
    xaxis: [
      {
        x: 20.5,
        borderColor: colours.value.muted,
        label: {
          text: 'end of page one',
          orientation: 'horizontal',
          borderColor: 'transparent',
          textAnchor: 'start',
          offsetX: 4,
          offsetY: -2,
          style: { background: 'transparent', color: colours.value.muted },
        },
      },
    ],
  },
  tooltip: {
    custom: ({ dataPointIndex }: { dataPointIndex: number }) => {
      const row = rows.value[dataPointIndex]!
      const text = document.createElement('div')
      text.textContent = `${row.rank}. ${row.title}: ${row.strength.toFixed(2)}`
      text.className = 'charttip'
      return text.outerHTML
    },
  },
}))
const strengthSeries = computed(() => [
  { name: 'Strength', data: rows.value.map(row => ({ x: row.rank, y: Number(row.strength.toFixed(3)) })) },
])

const topViews = computed(() =>
  Math.max(3, Math.ceil(Math.log10(1 + Math.max(1, ...rows.value.map(row => row.views ?? 0))))),
)

/**
 * Views against another figure: views span thousands, so their logarithm is drawn; `across` draws the other one so too.
 */
function against(
  name: string,
  format: (value: number) => string,
  across: { min: number; max?: number; ticks: number } = { min: 0, ticks: 6 },
): ApexOptions {
  return {
    ...base.value,
    colors: [colours.value.teal, colours.value.plum],
    markers: { size: 5, strokeWidth: 0 },
    xaxis: {
      type: 'numeric',
      min: across.min,
      max: across.max,
      tickAmount: across.ticks,
      title: { text: name, style: { fontWeight: 400 } },
      labels: { formatter: value => format(Number(value)) },
      tooltip: { enabled: false },
    },
    yaxis: {
      min: 0,
      max: topViews.value,
      tickAmount: topViews.value,
      title: { text: 'views', style: { fontWeight: 400 } },
      labels: { formatter: value => rounded(Math.round(10 ** value)) },
    },
    legend: { show: true, position: 'top', horizontalAlign: 'right', fontSize: '11px' },
    tooltip: {
      y: { formatter: value => `${inDigits(Math.round(10 ** value))} views` },
      x: { formatter: value => format(Number(value)) },
    },
  }
}
function pairs(of: (row: (typeof rows.value)[number]) => number | null) {
  const points = (upset: boolean) =>
    rows.value
      .filter(row => row.upset === upset && row.views !== null && of(row) !== null)
      .map(row => ({ x: Math.round(of(row)! * 1000) / 1000, y: Number(Math.log10(1 + row.views!).toFixed(3)) }))
  return [
    { name: 'results', data: points(false) },
    { name: 'upsets', data: points(true) },
  ]
}
const length = computed(() => pairs(row => row.durationSeconds))
const daysOld = (row: (typeof rows.value)[number]) =>
  row.publishedAt === null ? null : Math.max(1, (props.page.at - row.publishedAt) / DAY)
const age = computed(() =>
  pairs(row => {
    const days = daysOld(row)
    return days === null ? null : Math.log10(days)
  }),
)
/** Whole powers of ten of a day that hold every age. */
const ages = computed(() => {
  const max = Math.max(2, Math.ceil(Math.log10(Math.max(1, ...rows.value.map(row => daysOld(row) ?? 1)))))
  return { min: 0, max, ticks: max }
})
const ageOfPower = (power: number) => ageWords(10 ** power)
/** The length that does best: the median of the quarter of results with most views a day. */
const best = computed(() => {
  const known = rows.value
    .filter(row => row.viewsPerDay !== null && row.durationSeconds !== null)
    .sort((a, b) => b.viewsPerDay! - a.viewsPerDay!)
  const top = known
    .slice(0, Math.max(3, Math.ceil(known.length / 4)))
    .map(row => row.durationSeconds!)
    .sort((a, b) => a - b)
  return top.length ? { low: top[Math.floor(top.length / 4)]!, high: top[Math.floor((top.length * 3) / 4)]! } : null
})
const strengthLabel = computed(() => {
  const mine = own.value === null ? '' : `; my channel is at ${own.value.toFixed(2)}`
  return `Strength of ${rows.value.length} results by rank${mine}`
})
const charts = computed(() => [
  {
    ...{ title: 'Strength by rank', wide: true, note: '', label: strengthLabel.value },
    ...{ type: 'line' as const, options: strength.value, series: strengthSeries.value },
  },
  {
    ...{ title: 'Length against views', wide: false, label: 'Length of each result against its views' },
    note: best.value ? `those that do best run ${lengthWords(best.value.low)} to ${lengthWords(best.value.high)}` : '',
    ...{ type: 'scatter' as const, options: against('length', lengthWords), series: length.value },
  },
  {
    ...{ title: 'Age against views', wide: false, note: '', label: 'Age of each result against its views' },
    ...{ type: 'scatter' as const, options: against('age, log scale', ageOfPower, ages.value), series: age.value },
  },
])
</script>

<template>
  <div class="curves" tabindex="0" role="region" aria-label="Curves" data-test="curves">
    <section v-for="chart in charts" :key="chart.title" class="sheet" :class="{ wide: chart.wide }">
      <h2>
        {{ chart.title }}<small v-if="chart.note" class="muted"> {{ chart.note }}</small>
      </h2>
      <ShellChart
        :type="chart.type"
        :height="190"
        :options="chart.options"
        :series="chart.series"
        role="img"
        :aria-label="chart.label"
      />
    </section>
  </div>
</template>

<style scoped>
.curves {
  flex: 1;
  min-height: 0;
  overflow: auto;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  align-content: start;
}
.wide {
  grid-column: 1 / -1;
}
section {
  padding: 10px 12px;
  min-width: 0;
}
h2 {
  font-size: 13px;
}
h2 small {
  font-weight: 400;
  margin-left: 8px;
}
:deep(.charttip) {
  padding: 6px 10px;
  font-size: 12px;
}
</style>
