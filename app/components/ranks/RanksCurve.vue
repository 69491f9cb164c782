<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed, defineAsyncComponent } from 'vue'
import { PAGE_SEATS } from '../../../core/rivals/difficulty'
import { dayName } from '../../../core/ranks/standing'
import { DAY } from '../../../core/time'
import type { RankLine } from '~/stores/ranks'

/** Ranks over time, rank 1 on top: a curve for each phrase, named by its letter; a gap where it was not found. */
const ApexChart = defineAsyncComponent(() => import('vue3-apexcharts'))
const props = defineProps<{ lines: readonly RankLine[]; shown: string }>()
const { base, colours } = useChart()
/** More curves than these are a tangle: those that bring most are drawn. */
const MOST = 5
const drawn = computed(() => {
  // What was never among the results has no curve: the table says so.
  const looked = props.lines.filter(({ days }) => days.some(({ rank }) => rank !== null))
  const alone = looked.filter(({ phrase }) => phrase === props.shown)
  return alone.length ? alone : [...looked].sort((a, b) => (b.brings?.now ?? -1) - (a.brings?.now ?? -1)).slice(0, MOST)
})
const series = computed(() =>
  drawn.value.map(({ phrase, mark, days }) => ({
    name: mark ? `${mark} ${phrase}` : phrase,
    data: days.map(({ day, rank }) => ({ x: day * DAY, y: rank })),
  })),
)
const deepest = computed(() =>
  Math.max(PAGE_SEATS, ...drawn.value.flatMap(({ days }) => days.map(({ rank }) => rank ?? 0))),
)
const top = computed(() => Math.ceil((deepest.value + 1) / 10) * 10)
const pageEnd = (rank: number, text: string) => ({
  y: rank + 0.5,
  borderColor: colours.value.muted,
  label: {
    text,
    position: 'left',
    textAnchor: 'start',
    borderColor: 'transparent',
    offsetY: -2,
    style: { background: 'transparent', color: colours.value.muted },
  },
})
const options = computed((): ApexOptions => ({
  ...base.value,
  colors: [colours.value.teal, colours.value.ochre, colours.value.plum, colours.value.blue, colours.value.muted],
  stroke: { width: 2, curve: 'straight' },
  markers: { size: 4, strokeWidth: 0 },
  legend: { show: drawn.value.length > 1, position: 'top', horizontalAlign: 'left' },
  xaxis: { type: 'datetime', labels: { datetimeUTC: true }, tooltip: { enabled: false } },
  yaxis: {
    reversed: true,
    min: 0,
    max: top.value,
    tickAmount: top.value / 10,
    title: { text: 'rank', style: { fontWeight: 400 } },
    labels: { formatter: value => (value < 1 ? '' : String(Math.round(value))) },
  },
  annotations: {
    yaxis: [
      pageEnd(PAGE_SEATS, 'end of page one'),
      ...(deepest.value > 2 * PAGE_SEATS ? [pageEnd(2 * PAGE_SEATS, 'end of page two')] : []),
    ],
  },
  tooltip: {
    custom: ({ seriesIndex, dataPointIndex }: { seriesIndex: number; dataPointIndex: number }) => {
      const line = drawn.value[seriesIndex]!
      const { day, rank, depth } = line.days[dataPointIndex]!
      const text = document.createElement('div')
      text.textContent = `${dayName(day)}, ${line.phrase}: ${rank === null ? `beyond ${depth}` : `rank ${rank}`}`
      text.className = 'charttip'
      return text.outerHTML
    },
  },
}))
/** In words, for whoever does not see the drawing. */
const said = computed(() =>
  drawn.value
    .map(({ phrase, days }) => {
      const [first, last] = [days[0]!, days.at(-1)!]
      const words = ({ rank, depth, day }: typeof first) =>
        `${rank === null ? `beyond ${depth}` : `rank ${rank}`} on ${dayName(day)}`
      return `${phrase}: ${days.length > 1 ? `${words(first)}, ` : ''}${words(last)}.`
    })
    .join(' '),
)
</script>

<template>
  <figure data-test="rank-curve">
    <ApexChart v-if="series.length" type="line" height="230" :options="options" :series="series" aria-hidden="true" />
    <p v-else class="muted none">
      {{
        lines.some(({ days }) => days.length)
          ? 'The video is not in the results for any of these phrases yet.'
          : 'No ranks yet. Look them up now, and again on other days, to draw the curve.'
      }}
    </p>
    <figcaption class="unseen">{{ said }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  padding: 10px 12px 4px;
  overflow: hidden;
}
.none {
  padding: 24px;
}
</style>
