<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { polygonContains } from 'd3-polygon'
import { computed, ref } from 'vue'
import type { PhraseRow } from '../../../shared/phrases'
import { inDigits } from '../../../core/text/inWords'
import { chanceText, inFull, rounded } from '~/composables/figures'
import { useTray } from '~/stores/tray'
import type { Perspective } from '~/stores/workspace'

const props = defineProps<{ rows: PhraseRow[]; perspective: Perspective; open: string | null }>()
const selected = defineModel<string[]>('selected', { required: true })
const emit = defineEmits<{ open: [phrase: string] }>()
const tray = useTray()
const frame = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(frame)
const { margin, known, x, y, xTicks, yTicks, points, promising } = useDemandScales(props, width, height)
const unknown = computed(() => props.rows.length - known.value.length)

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
const promisingRows = computed(() =>
  points.value
    .filter(point => point.x >= promising.value.x && point.y >= promising.value.from && point.y <= promising.value.to)
    .map(point => point.row.phrase),
)
const label = computed(() => {
  const against = props.perspective === 'channel' ? 'the chance of page one' : 'difficulty'
  const promisingCount = `${promisingRows.value.length} are promising`
  return `Searches a month against ${against} of ${known.value.length} phrases; ${promisingCount}`
})
</script>

<template>
  <div class="sheet chart" data-test="chart">
    <p class="small muted head">
      {{ inDigits(known.length) }} phrases<template v-if="unknown"
        >; {{ inDigits(unknown) }} not shown: not assessed, or no search figures</template
      >. Draw around several to select them (Shift adds to the selection). Click one to open its sheet.
      <button class="plain link" data-test="select-good" @click="selected = promisingRows">
        Select the {{ promisingRows.length }} most promising
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
      <svg v-if="width && height" :width="width" :height="height" role="img" :aria-label="label">
        <rect
          class="good"
          :x="promising.x"
          :y="promising.from"
          :width="Math.max(0, width - margin.right - promising.x)"
          :height="Math.max(0, promising.to - promising.from)"
        />
        <text class="goodname" :x="width - margin.right - 6" :y="promising.text" text-anchor="end">
          {{ perspective === 'channel' ? 'many searches, good chance' : 'many searches, low difficulty' }}
        </text>
        <g class="axis">
          <line
            v-for="tick in yTicks"
            :key="`y${tick.text}`"
            :x1="margin.left"
            :x2="width - margin.right"
            :y1="y(tick.at)"
            :y2="y(tick.at)"
          />
          <text
            v-for="tick in yTicks"
            :key="`yt${tick.text}`"
            :x="margin.left - 8"
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
            :y1="margin.top"
            :y2="height - margin.bottom"
            :x1="x(tick)"
            :x2="x(tick)"
          />
          <text
            v-for="tick in xTicks"
            :key="`xt${tick}`"
            :x="x(tick)"
            :y="height - margin.bottom + 16"
            text-anchor="middle"
          >
            {{ rounded(tick) }}
          </text>
        </g>
        <text class="axisname" :x="(margin.left + width - margin.right) / 2" :y="height - 6" text-anchor="middle">
          searches a month, log scale
        </text>
        <text
          class="axisname"
          :transform="`translate(13 ${(margin.top + height - margin.bottom) / 2}) rotate(-90)`"
          text-anchor="middle"
        >
          {{ perspective === 'channel' ? 'chance of page one, %, stretched at both ends' : 'difficulty' }}
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
