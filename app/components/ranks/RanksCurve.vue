<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { PAGE_SEATS } from '../../../core/rivals/difficulty'
import { rankDay } from '../../../core/ranks/standing'
import { DAY } from '../../../core/time'
import type { RankSurroundings } from '../../../shared/ranks'
import { dayOnly } from '~/composables/figures'
import type { RankLine } from '~/stores/ranks'

/** Ranks over time, rank 1 on top: a curve for each phrase, named by its letter; a gap where it was not found. */
const props = defineProps<{ lines: readonly RankLine[]; shown: string; surroundings: RankSurroundings | null }>()
const emit = defineEmits<{ day: [phrase: string, day: number] }>()
const { base, colours, mark } = useChart()
/** Drawing takes long: it waits until the hand rests, so that the next click or key does not wait for it. */
const REST = 150
const asked = computed(() => ({ lines: props.lines, shown: props.shown, surroundings: props.surroundings }))
const at = refDebounced(asked, REST)
/** More curves than these are a tangle: those that bring most are drawn. */
const MOST = 5
const MOST_ARRIVALS = 6
/** More dots than these run into each other, and take long to draw: lines alone are drawn, and do not move. */
const MOST_DOTS = 300
const drawn = computed(() => {
  // What was never among the results has no curve: the table says so.
  const looked = at.value.lines.filter(({ days }) => days.some(({ rank }) => rank !== null))
  const alone = looked.filter(({ phrase }) => phrase === at.value.shown)
  return alone.length ? alone : [...looked].sort((a, b) => (b.brings?.now ?? -1) - (a.brings?.now ?? -1)).slice(0, MOST)
})
/** Mine, and last the rival to be passed. */
const curves = computed(() => [
  ...drawn.value.map(({ phrase, mark, days }) => ({ name: mark ? `${mark} ${phrase}` : phrase, days })),
  ...(rival.value ? [{ name: rival.value.title, days: rival.value.days }] : []),
])
const rival = computed(() => (drawn.value.length ? (at.value.surroundings?.rival ?? null) : null))
const series = computed(() =>
  curves.value.map(({ name, days }) => ({ name, data: days.map(({ day, rank }) => ({ x: day * DAY, y: rank })) })),
)
const few = computed(() => curves.value.reduce((sum, { days }) => sum + days.length, 0) <= MOST_DOTS)
const drawnDays = computed(() => drawn.value.flatMap(({ days }) => days.map(({ day }) => day)))
/** What happened while ranks are known, as lines across the curve; the list beside it tells all. */
const happened = computed(() => {
  const [from, to] = [Math.min(...drawnDays.value), Math.max(...drawnDays.value)]
  const within = ({ at }: { at: number }) => rankDay(at) >= from && rankDay(at) <= to
  const { marks = [], arrivals = [] } = at.value.surroundings ?? {}
  const colour = { released: colours.value.teal, changed: colours.value.teal, told: colours.value.ochre }
  return [
    ...marks.filter(within).map(({ at, text, kind }) => mark(at, text, colour[kind])),
    // The highest of them, so that lines do not make a fence.
    ...[...arrivals.filter(within)]
      .sort((a, b) => a.rank - b.rank)
      .slice(0, MOST_ARRIVALS)
      .map(({ at, rank }) => mark(at, `new at ${rank}`, colours.value.plum)),
  ]
})
const deepest = computed(() =>
  Math.max(PAGE_SEATS, ...curves.value.flatMap(({ days }) => days.map(({ rank }) => rank ?? 0))),
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
const PALETTE = computed(() => [colours.value.teal, colours.value.ochre, colours.value.plum, colours.value.blue])
const options = computed((): ApexOptions => ({
  ...base.value,
  chart: {
    ...base.value.chart,
    animations: { ...base.value.chart?.animations, enabled: few.value && base.value.chart?.animations?.enabled },
    events: {
      markerClick(_event: unknown, _chart: unknown, dot?: { seriesIndex: number; dataPointIndex: number }) {
        const day = dot && curves.value[dot.seriesIndex]?.days[dot.dataPointIndex]?.day
        if (day !== undefined) emit('day', drawn.value[dot!.seriesIndex]?.phrase ?? at.value.shown, day)
      },
    },
  },
  colors: rival.value
    ? [...PALETTE.value.slice(0, drawn.value.length), colours.value.muted]
    : [...PALETTE.value, colours.value.muted],
  stroke: { width: 2, curve: 'straight', dashArray: rival.value ? [...drawn.value.map(() => 0), 5] : 0 },
  markers: { size: few.value ? 4 : 0, strokeWidth: 0, hover: { size: 5 } },
  legend: { show: curves.value.length > 1, position: 'top', horizontalAlign: 'left' },
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
    xaxis: happened.value,
    yaxis: [
      pageEnd(PAGE_SEATS, 'end of page one'),
      ...(deepest.value > 2 * PAGE_SEATS ? [pageEnd(2 * PAGE_SEATS, 'end of page two')] : []),
    ],
  },
  tooltip: {
    custom: ({ seriesIndex, dataPointIndex }: { seriesIndex: number; dataPointIndex: number }) => {
      const line = curves.value[seriesIndex]!
      const { day, rank, depth } = line.days[dataPointIndex]!
      const text = document.createElement('div')
      text.textContent = `${dayOnly(day)}, ${line.name}: ${rank === null ? `beyond ${depth}` : `rank ${rank}`}`
      text.className = 'charttip'
      return text.outerHTML
    },
  },
}))
/** In words, for whoever does not see the drawing. */
const said = computed(() =>
  curves.value
    .map(({ name, days }) => {
      const [first, last] = [days[0]!, days.at(-1)!]
      const words = ({ rank, depth, day }: typeof first) =>
        `${rank === null ? `beyond ${depth}` : `rank ${rank}`} on ${dayOnly(day)}`
      return `${name}: ${days.length > 1 ? `${words(first)}, ` : ''}${words(last)}.`
    })
    .join(' '),
)
</script>

<template>
  <figure data-test="rank-curve">
    <ShellChart v-if="series.length" type="line" :height="230" :options="options" :series="series" aria-hidden="true" />
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
