<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import { VIEW_SOURCES, type ViewSource } from '../../../core/formats/dayColumns'
import { everyDay, type SourcedDay } from '../../../core/ranks/span'
import { rankDay } from '../../../core/ranks/standing'
import { DAY } from '../../../core/time'
import { inDigits } from '../../../core/text/inWords'
import type { ViewsAnswer } from '../../../shared/views'
import { dayOnly } from '~/composables/figures'
import { SOURCE_NAMES } from '~/composables/viewSources'

/** Views a day by where they came from, one on the other; where that is not told, all of them. */
const props = defineProps<{ days: readonly SourcedDay[]; changes: ViewsAnswer['changes']; releasedAt: number | null }>()
const { base, colours, mark } = useChart()
const isBySource = computed(() => props.days.some(day => VIEW_SOURCES.some(source => day[source] !== null)))
const line = (name: string, key: 'views' | ViewSource) => ({
  name,
  data: everyDay(props.days).map(({ day, known }) => ({ x: day * DAY, y: known?.[key] ?? null })),
})
const series = computed(() =>
  isBySource.value
    ? VIEW_SOURCES.filter(source => props.days.some(day => day[source] !== null)).map(source =>
        line(SOURCE_NAMES[source], source),
      )
    : [line('Views', 'views')],
)
const happened = computed(() =>
  [
    ...(props.releasedAt !== null ? [{ at: props.releasedAt, text: 'Released' }] : []),
    ...props.changes.map(({ at, fields }) => ({ at, text: `${fields.join(', ')} changed` })),
  ]
    .filter(({ at }) => rankDay(at) >= (props.days[0]?.day ?? Infinity))
    .map(({ at, text }) => mark(at, text, colours.value.ink)),
)
const options = computed((): ApexOptions => ({
  ...base.value,
  chart: { ...base.value.chart, type: 'area', stacked: isBySource.value },
  colors: [colours.value.teal, colours.value.blue, colours.value.plum, colours.value.ochre, colours.value.muted],
  stroke: { width: 1, curve: 'straight' },
  fill: { type: 'solid', opacity: 0.45 },
  legend: { show: series.value.length > 1, position: 'top', horizontalAlign: 'left' },
  xaxis: { type: 'datetime', labels: { datetimeUTC: true }, tooltip: { enabled: false } },
  yaxis: {
    min: 0,
    forceNiceScale: true,
    title: { text: 'views a day', style: { fontWeight: 400 } },
    labels: { formatter: value => inDigits(Math.round(value)) },
  },
  annotations: { xaxis: happened.value },
  tooltip: {
    shared: true,
    intersect: false,
    x: { formatter: value => dayOnly(rankDay(value)) },
    y: { formatter: value => (value === null || value === undefined ? 'not known' : inDigits(value)) },
  },
}))
const said = computed(() => {
  const known = props.days.filter(({ views }) => views !== null)
  if (!known.length) return ''
  const sum = known.reduce((all, { views }) => all + views!, 0)
  return `${inDigits(sum)} views on ${known.length} days from ${dayOnly(known[0]!.day)} to ${dayOnly(known.at(-1)!.day)}.`
})
</script>

<template>
  <figure data-test="views-chart">
    <ShellChart type="area" :height="290" :options="options" :series="series" aria-hidden="true" />
    <figcaption class="unseen">{{ said }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  padding: 8px 12px 4px;
  overflow: hidden;
}
</style>
