<script setup lang="ts">
import type { ApexOptions } from 'apexcharts'
import { computed } from 'vue'
import type { PhraseSheet } from '../../../shared/phrases'
import { inDigits } from '../../../core/text/inWords'
import { monthName, rounded } from '~/composables/figures'

const props = defineProps<{ sheet: PhraseSheet }>()
const { base, colours } = useChart()

const last = computed(() => props.sheet.detail.monthsEnd!)
/** `yyyy-mm` of each month told. */
const names = computed(() => {
  const [year, month] = last.value.split('-').map(Number) as [number, number]
  const count = props.sheet.detail.months.length
  return Array.from({ length: count }, (_, i) => {
    const n = year * 12 + month - 1 - (count - 1 - i)
    return `${Math.floor(n / 12)}-${String((n % 12) + 1).padStart(2, '0')}`
  })
})
const calendar = (name: string) => Number(name.slice(5)) - 1

/** The trend as a line: its slope a year through the middle of what is known. */
const trendLine = computed(() => {
  const { trend, detail } = props.sheet
  const known = detail.months.filter(month => month !== null)
  if (!trend || trend.direction === 'steady' || !known.length) return null
  const middle = [...known].sort((a, b) => a - b)[known.length >> 1]!
  return detail.months.map((_, i) =>
    Math.max(0, Math.round(middle * (1 + (trend.yearly * (i - (detail.months.length - 1) / 2)) / 12))),
  )
})
/** The season around the level of each year. */
const seasonLine = computed(() => {
  const { season, detail } = props.sheet
  if (!season) return null
  const mean = (from: number, to: number) => {
    const part = detail.months.slice(Math.max(0, from), to).filter(month => month !== null)
    return part.reduce((a, b) => a + b, 0) / Math.max(1, part.length)
  }
  return names.value.map((name, i) =>
    Math.round(mean(Math.min(i - 6, detail.months.length - 12), Math.max(i + 6, 12)) * season.shape[calendar(name)]!),
  )
})

const series = computed(() => [
  { name: 'Searches', data: props.sheet.detail.months },
  ...(seasonLine.value ? [{ name: 'Season', data: seasonLine.value }] : []),
  ...(trendLine.value ? [{ name: 'Trend', data: trendLine.value }] : []),
])
const options = computed((): ApexOptions => {
  const { spike } = props.sheet
  const kinds = ['Searches', ...(seasonLine.value ? ['Season'] : []), ...(trendLine.value ? ['Trend'] : [])]
  return {
    ...base.value,
    colors: kinds.map(kind =>
      kind === 'Searches' ? colours.value.teal : kind === 'Season' ? colours.value.ochre : colours.value.plum,
    ),
    stroke: {
      width: kinds.map(kind => (kind === 'Searches' ? 2 : 1.5)),
      dashArray: kinds.map(kind => (kind === 'Searches' ? 0 : kind === 'Season' ? 3 : 6)),
      curve: 'straight',
    },
    xaxis: {
      categories: names.value.map(monthName),
      labels: {
        rotate: 0,
        hideOverlappingLabels: false,
        trim: false,
        style: { fontSize: '11px' },
        formatter: value => (String(value).startsWith('Jan') || String(value).startsWith('Jul') ? String(value) : ''),
      },
      axisTicks: { show: false },
      tooltip: { enabled: false },
    },
    yaxis: { min: 0, tickAmount: 3, labels: { formatter: value => rounded(value), style: { fontSize: '11px' } } },
    tooltip: {
      y: { formatter: value => (value === null ? 'unknown' : `${inDigits(Math.round(value))} searches`) },
    },
    annotations: spike
      ? {
          xaxis: [
            {
              x: monthName(names.value[spike.from]!),
              x2: monthName(names.value[spike.to]!),
              fillColor: colours.value.plum,
              opacity: 0.15,
              label: { text: 'spike', style: { background: 'transparent', color: colours.value.plum } },
            },
          ],
        }
      : {},
  }
})
</script>

<template>
  <div>
    <ShellChart
      type="line"
      :height="150"
      :options="options"
      :series="series"
      role="img"
      :aria-label="`Searches a month over ${sheet.detail.months.length} months. ${sheet.story}`"
    />
    <p class="key small muted">
      <span class="solid">searches</span><span v-if="seasonLine" class="dots">season</span
      ><span v-if="trendLine" class="dashes">trend</span
      ><span v-if="sheet.season">peak {{ sheet.season.peaks.length > 1 ? 'months' : 'month' }} shaded below</span>
    </p>
    <ol v-if="sheet.season" class="year" :aria-label="'Season by calendar month'">
      <li
        v-for="(factor, month) in sheet.season.shape"
        :key="month"
        :class="{ peak: sheet.season.peaks.includes(month) }"
        :title="`${factor.toFixed(2)} times the year’s level`"
        :style="{ '--part': Math.min(1, factor / Math.max(...sheet.season.shape)) }"
      >
        {{ 'JFMAMJJASOND'[month] }}
      </li>
    </ol>
  </div>
</template>

<style scoped>
.key {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
}
.key :is(.solid, .dots, .dashes)::before {
  content: '';
  display: inline-block;
  width: 18px;
  border-top: 2px solid var(--teal);
  vertical-align: middle;
  margin-right: 5px;
}
.key span.dots::before {
  border-top: 2px dotted var(--ochre);
}
.key span.dashes::before {
  border-top: 2px dashed var(--plum);
}
.year {
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  gap: 2px;
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
.year li {
  text-align: center;
  font: 11px var(--mono);
  padding: 2px 0;
  color: var(--ink);
  background: color-mix(in srgb, var(--teal) calc(var(--part) * 45%), var(--surface));
  border-bottom: 2px solid transparent;
}
.year .peak {
  border-color: var(--teal);
  font-weight: 600;
}
</style>
