<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed, defineAsyncComponent } from 'vue'
import { VIEW_SOURCES } from '../../../core/formats/dayColumns'
import { dayName, rankDay } from '../../../core/ranks/standing'
import { inDigits } from '../../../core/text/inWords'
import type { ViewsAnswer, ViewsDay } from '../../../shared/views'
import { SOURCE_NAMES } from '~/composables/viewSources'

/** Views a day by where they came from, one on the other; where that is not told, all of them. */
const ApexChart = defineAsyncComponent(() => import('vue3-apexcharts'))
const props = defineProps<{ days: readonly ViewsDay[]; changes: ViewsAnswer['changes']; releasedAt: number | null }>()
const { base, colours } = useChart()
const at = (day: string) => Date.parse(`${day}T00:00:00Z`)
const isBySource = computed(() => props.days.some(day => VIEW_SOURCES.some(source => day[source] !== null)))
const series = computed(() =>
  isBySource.value
    ? VIEW_SOURCES.filter(source => props.days.some(day => day[source] !== null)).map(source => ({
        name: SOURCE_NAMES[source],
        data: props.days.map(day => ({ x: at(day.day), y: day[source] })),
      }))
    : [{ name: 'Views', data: props.days.map(({ day, views }) => ({ x: at(day), y: views })) }],
)
const happened = computed(() => {
  const first = props.days[0] ? at(props.days[0].day) : Infinity
  const line = (time: number, text: string) => ({
    x: time,
    borderColor: colours.value.ink,
    strokeDashArray: 3,
    label: {
      text,
      orientation: 'vertical',
      textAnchor: 'start',
      position: 'top',
      borderColor: 'transparent',
      offsetY: 4,
      style: { background: 'transparent', color: colours.value.ink, fontSize: '11px' },
    },
  })
  return [
    ...(props.releasedAt !== null ? [{ time: props.releasedAt, text: 'Released' }] : []),
    ...props.changes.map(({ at: time, fields }) => ({ time, text: `${fields.join(', ')} changed` })),
  ]
    .map(({ time, text }) => ({ time: at(dayName(rankDay(time))), text }))
    .filter(({ time }) => time >= first)
    .map(({ time, text }) => line(time, text.length > 22 ? `${text.slice(0, 21)}…` : text))
})
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
    x: { formatter: value => dayName(rankDay(value)) },
    y: { formatter: value => (value === null || value === undefined ? 'not known' : inDigits(value)) },
  },
}))
const said = computed(() => {
  const known = props.days.filter(({ views }) => views !== null)
  if (!known.length) return ''
  const sum = known.reduce((all, { views }) => all + views!, 0)
  return `${inDigits(sum)} views on ${known.length} days from ${known[0]!.day} to ${known.at(-1)!.day}.`
})
</script>

<template>
  <figure data-test="views-chart">
    <ApexChart type="area" height="290" :options="options" :series="series" aria-hidden="true" />
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
