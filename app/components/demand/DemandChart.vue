<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { polygonContains } from 'd3-polygon'
import { scaleLinear, scaleLog } from 'd3-scale'
import { computed, ref } from 'vue'
import { SUREST } from '../../../core/rivals/forecast'
import { DIFFICULTY_BANDS } from '../../../core/demand/bands'
import type { PhraseRow } from '../../../shared/phrases'
import { chanceText, inFull, rounded } from '~/composables/figures'
import { useTray } from '~/stores/tray'
import type { Whom } from '~/stores/workspace'

const props = defineProps<{ rows: PhraseRow[]; whom: Whom; open: string | null }>()
const selected = defineModel<string[]>('selected', { required: true })
const emit = defineEmits<{ open: [phrase: string] }>()
const tray = useTray()
const frame = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(frame)
const MARGIN = { left: 52, right: 18, top: 14, bottom: 40 }
/** Above this many searches, and below this difficulty (or above this chance), lies the good corner. */
const GOOD_VOLUME = 500
const GOOD_CHANCE = 0.7
const middling = DIFFICULTY_BANDS.find(band => band.name === 'high')!.from

/** Chances crowd near certainty: they are drawn by their odds, within what can be told apart. */
const LEAST_CHANCE = 0.005
const odds = (chance: number) => {
  const within = Math.min(SUREST, Math.max(LEAST_CHANCE, chance))
  return Math.log(within / (1 - within))
}
const hold = (row: PhraseRow) =>
  props.whom === 'channel' ? (row.chance === null ? null : odds(row.chance)) : row.difficulty
const known = computed(() => props.rows.filter(row => row.volume !== null && row.volume > 0 && hold(row) !== null))
const unknown = computed(() => props.rows.length - known.value.length)
/** The round figure at or below the least asked for: 1, 2 or 5 times a power of ten. */
const leftEnd = computed(() => {
  const least = Math.max(1, Math.min(100, ...known.value.map(row => row.volume!)))
  const power = 10 ** Math.floor(Math.log10(least))
  return power * (least >= 5 * power ? 5 : least >= 2 * power ? 2 : 1)
})
const x = computed(() =>
  scaleLog()
    .domain([leftEnd.value, Math.max(1000, ...known.value.map(row => row.volume!)) * 1.2])
    .range([MARGIN.left, width.value - MARGIN.right]),
)
const y = computed(() =>
  scaleLinear()
    .domain(
      props.whom === 'channel'
        ? [Math.min(odds(0.3), ...known.value.map(row => hold(row)!)) - 0.4, odds(1) + 0.4]
        : [0, Math.max(60, ...known.value.map(row => hold(row)!)) + 5],
    )
    .range([height.value - MARGIN.bottom, MARGIN.top]),
)
const points = computed(() => known.value.map(row => ({ row, x: x.value(row.volume!), y: y.value(hold(row)!) })))
/** The good corner: at the top for a chance, at the bottom for difficulty. */
const good = computed(() => {
  const edge = y.value(props.whom === 'channel' ? odds(GOOD_CHANCE) : middling)
  const bottom = height.value - MARGIN.bottom
  return {
    x: x.value(GOOD_VOLUME),
    ...(props.whom === 'channel'
      ? { from: MARGIN.top, to: edge, text: MARGIN.top + 16 }
      : { from: edge, to: bottom, text: bottom - 8 }),
  }
})
const xTicks = computed(() =>
  [1, 10, 100, 1000, 10_000, 100_000, 1_000_000].filter(
    tick => tick >= x.value.domain()[0]! && tick <= x.value.domain()[1]!,
  ),
)
const yTicks = computed(() =>
  props.whom === 'channel'
    ? [0.01, 0.1, 0.3, 0.5, 0.7, 0.9, SUREST]
        .map(chance => ({ at: odds(chance), text: `${chance === SUREST ? '> ' : ''}${Math.round(chance * 100)}` }))
        .filter(tick => tick.at >= y.value.domain()[0]!)
    : y.value.ticks(6).map(tick => ({ at: tick, text: String(tick) })),
)

const hovered = ref<(typeof points.value)[number] | null>(null)
const lasso = ref<[number, number][]>([])
const at = (event: PointerEvent): [number, number] => {
  const box = frame.value!.getBoundingClientRect()
  return [event.clientX - box.left, event.clientY - box.top]
}
let adds = false

function nearest([px, py]: [number, number]) {
  let best = null as (typeof points.value)[number] | null
  let least = 14 ** 2
  for (const point of points.value) {
    const distance = (point.x - px) ** 2 + (point.y - py) ** 2
    if (distance < least) {
      least = distance
      best = point
    }
  }
  return best
}
function down(event: PointerEvent) {
  lasso.value = [at(event)]
  adds = event.shiftKey
  frame.value!.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent) {
  if (lasso.value.length) lasso.value = [...lasso.value, at(event)]
  else hovered.value = nearest(at(event))
}
function up(event: PointerEvent) {
  const path = lasso.value
  lasso.value = []
  if (path.length < 6) {
    const point = nearest(at(event))
    if (point && event.shiftKey)
      selected.value = selected.value.includes(point.row.phrase)
        ? selected.value.filter(each => each !== point.row.phrase)
        : [...selected.value, point.row.phrase]
    else if (point) emit('open', point.row.phrase)
    return
  }
  const inside = points.value.filter(point => polygonContains(path, [point.x, point.y])).map(point => point.row.phrase)
  selected.value = [...new Set([...(adds ? selected.value : []), ...inside])]
}
const markOf = (phrase: string) => tray.phrases.find(each => each.phrase === phrase)?.mark
const goodRows = computed(() =>
  points.value
    .filter(point => point.x >= good.value.x && point.y >= good.value.from && point.y <= good.value.to)
    .map(point => point.row.phrase),
)
</script>

<template>
  <div class="sheet chart" data-test="chart">
    <p class="small muted head">
      {{ known.length.toLocaleString('en') }} phrases<template v-if="unknown"
        >; {{ unknown.toLocaleString('en') }} not assessed or without searches are not drawn</template
      >. Draw round several to select them (Shift adds); click one for its sheet.
      <button class="plain link" data-test="select-good" @click="selected = goodRows">
        Select the {{ goodRows.length }} in the good corner
      </button>
    </p>
    <div
      ref="frame"
      class="frame"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointerleave="hovered = null"
    >
      <svg
        v-if="width && height"
        :width="width"
        :height="height"
        role="img"
        :aria-label="`Searches a month against ${whom === 'channel' ? 'the chance of page one' : 'difficulty'} of ${known.length} phrases; ${goodRows.length} lie in the good corner`"
      >
        <rect
          class="good"
          :x="good.x"
          :y="good.from"
          :width="Math.max(0, width - MARGIN.right - good.x)"
          :height="Math.max(0, good.to - good.from)"
        />
        <text class="goodname" :x="width - MARGIN.right - 6" :y="good.text" text-anchor="end">
          {{ whom === 'channel' ? 'much asked for, likely mine' : 'much asked for, weakly held' }}
        </text>
        <g class="axis">
          <line
            v-for="tick in yTicks"
            :key="`y${tick.text}`"
            :x1="MARGIN.left"
            :x2="width - MARGIN.right"
            :y1="y(tick.at)"
            :y2="y(tick.at)"
          />
          <text
            v-for="tick in yTicks"
            :key="`yt${tick.text}`"
            :x="MARGIN.left - 8"
            :y="y(tick.at) + 4"
            text-anchor="end"
          >
            {{ tick.text }}
          </text>
        </g>
        <g class="axis">
          <line
            v-for="tick in xTicks"
            :key="`x${tick}`"
            :y1="MARGIN.top"
            :y2="height - MARGIN.bottom"
            :x1="x(tick)"
            :x2="x(tick)"
          />
          <text
            v-for="tick in xTicks"
            :key="`xt${tick}`"
            :x="x(tick)"
            :y="height - MARGIN.bottom + 16"
            text-anchor="middle"
          >
            {{ rounded(tick) }}
          </text>
        </g>
        <text class="axisname" :x="(MARGIN.left + width - MARGIN.right) / 2" :y="height - 6" text-anchor="middle">
          searches a month, log scale
        </text>
        <text
          class="axisname"
          :transform="`translate(13 ${(MARGIN.top + height - MARGIN.bottom) / 2}) rotate(-90)`"
          text-anchor="middle"
        >
          {{ whom === 'channel' ? 'chance of page one, %, by odds' : 'difficulty' }}
        </text>
        <g v-for="point in points" :key="point.row.phrase">
          <circle
            :cx="point.x"
            :cy="point.y"
            :r="selected.includes(point.row.phrase) ? 5.5 : 4"
            :class="{ picked: selected.includes(point.row.phrase), opened: open === point.row.phrase }"
            data-test="point"
          />
          <text v-if="markOf(point.row.phrase)" class="mark" :x="point.x + 7" :y="point.y + 4">
            {{ markOf(point.row.phrase) }}
          </text>
        </g>
        <polygon v-if="lasso.length > 1" class="lasso" :points="lasso.map(each => each.join(',')).join(' ')" />
      </svg>
      <div
        v-if="hovered"
        class="tip small"
        :style="{ left: `${Math.min(hovered.x + 12, width - 250)}px`, top: `${Math.max(4, hovered.y - 52)}px` }"
      >
        <strong>{{ hovered.row.phrase }}</strong><br />{{ inFull(hovered.row.volume) }} searches · difficulty
        {{ inFull(hovered.row.difficulty)
        }}<template v-if="hovered.row.chance !== null"> · chance {{ chanceText(hovered.row.chance) }}</template>
      </div>
    </div>
  </div>
</template>

<style scoped>
.chart {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
.head {
  padding: 8px 12px 0;
}
.frame {
  flex: 1;
  min-height: 0;
  position: relative;
  touch-action: none;
  user-select: none;
  cursor: crosshair;
  overflow: hidden;
}
svg {
  display: block;
}
.axis line {
  stroke: var(--line);
  stroke-width: 0.6;
}
.axis text {
  font: 11px var(--mono);
  fill: var(--muted);
}
.axisname {
  font: 12px var(--sans);
  fill: var(--muted);
}
.good {
  fill: color-mix(in srgb, var(--teal) 9%, transparent);
}
.goodname {
  font: 12px var(--sans);
  fill: var(--teal);
}
circle {
  fill: color-mix(in srgb, var(--teal) 45%, transparent);
  stroke: var(--teal);
  stroke-width: 0.8;
}
circle.picked {
  fill: var(--ochre);
  stroke: var(--ink);
}
circle.opened {
  stroke: var(--ink);
  stroke-width: 2;
}
.mark {
  font: 600 11px var(--mono);
  fill: var(--ink);
}
.lasso {
  fill: color-mix(in srgb, var(--ochre) 15%, transparent);
  stroke: var(--ochre);
  stroke-dasharray: 4 3;
}
.tip {
  position: absolute;
  pointer-events: none;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 5px 8px;
  max-width: 250px;
  box-shadow: 0 2px 8px rgb(0 0 0 / 12%);
}
.link {
  color: var(--teal);
  text-decoration: underline;
  text-underline-offset: 3px;
}
</style>
