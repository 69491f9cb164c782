<script setup lang="ts">
import { computed, ref } from 'vue'
import { clock, type Cue } from '../../../../core/captions/cue'
import type { ChapterMark } from '../../../../core/chapters/lines'

/** The video's length as a strip: where each chapter begins, dragged or moved with the arrow keys to another cue. */
const props = defineProps<{ marks: ChapterMark[]; cues: readonly Cue[]; duration: number }>()
const emit = defineEmits<{ move: [index: number, seconds: number]; show: [seconds: number] }>()
const strip = ref<HTMLElement | null>(null)
const left = (seconds: number) => `${Math.min(100, (seconds / props.duration) * 100)}%`
/** Moments at which a cue begins; whole seconds where nothing is spoken. */
const stops = computed(() => (props.cues.length ? props.cues.map(cue => Math.floor(cue.start)) : null))
const nearest = (seconds: number) =>
  stops.value
    ? stops.value.reduce((best, each) => (Math.abs(each - seconds) < Math.abs(best - seconds) ? each : best))
    : Math.round(seconds)

const held = ref<number | null>(null)
const at = ref(0)
/** No chapter is moved past its neighbours. */
function within(index: number, seconds: number) {
  const [low, high] = [props.marks[index - 1]?.seconds ?? 0, props.marks[index + 1]?.seconds ?? props.duration]
  return Math.min(high - 1, Math.max(low + 1, seconds))
}
function grab(index: number, event: PointerEvent) {
  if (index === 0) return emit('show', props.marks[0]!.seconds)
  held.value = index
  at.value = props.marks[index]!.seconds
  ;(event.target as HTMLElement).setPointerCapture(event.pointerId)
}
function drag(event: PointerEvent) {
  if (held.value === null) return
  const box = strip.value!.getBoundingClientRect()
  at.value = within(held.value, nearest(((event.clientX - box.left) / box.width) * props.duration))
}
function drop() {
  const index = held.value
  held.value = null
  if (index === null) return
  if (at.value !== props.marks[index]!.seconds) emit('move', index, at.value)
  emit('show', at.value)
}
function step(index: number, by: 1 | -1) {
  if (index === 0) return
  const now = props.marks[index]!.seconds
  const next = stops.value
    ? by > 0
      ? stops.value.find(each => each > now)
      : stops.value.findLast(each => each < now)
    : now + by
  if (next === undefined) return
  const to = within(index, next)
  emit('move', index, to)
  emit('show', to)
}
</script>

<template>
  <div ref="strip" class="strip" data-test="strip" @pointermove="drag" @pointerup="drop">
    <span
      v-for="(cue, i) in cues.length < 400 ? cues : []"
      :key="`c${i}`"
      class="cue"
      :style="{ left: left(cue.start) }"
    />
    <button
      v-for="(mark, i) in marks"
      :key="i"
      class="mark"
      role="slider"
      :style="{ left: left(held === i ? at : mark.seconds) }"
      :aria-label="`Chapter ${i + 1}, ${mark.title || 'no title'}`"
      :aria-valuemin="0"
      :aria-valuemax="Math.floor(duration)"
      :aria-valuenow="mark.seconds"
      :aria-valuetext="clock(mark.seconds)"
      :title="`${clock(held === i ? at : mark.seconds)} ${mark.title}`"
      data-test="strip-mark"
      @pointerdown="grab(i, $event)"
      @keydown.left.prevent="step(i, -1)"
      @keydown.right.prevent="step(i, 1)"
    />
    <span class="end figure">{{ clock(duration) }}</span>
  </div>
</template>

<style scoped>
.strip {
  position: relative;
  height: 34px;
  border-bottom: 1px solid var(--line);
  margin: 0 0 4px;
  touch-action: none;
  flex: none;
}
.strip::before {
  content: '';
  position: absolute;
  inset: 12px 0 10px;
  background: color-mix(in srgb, var(--teal) 22%, transparent);
}
.cue {
  position: absolute;
  top: 24px;
  height: 6px;
  border-left: 1px solid var(--line);
}
.mark {
  position: absolute;
  top: 2px;
  width: 24px;
  height: 28px;
  margin-left: -12px;
  background: none;
  border: 0;
  padding: 0;
  cursor: ew-resize;
}
.mark::before {
  content: '';
  position: absolute;
  left: 11px;
  top: 2px;
  bottom: 2px;
  border-left: 3px solid var(--teal);
}
.end {
  position: absolute;
  right: 0;
  bottom: -1px;
  font-size: 10px;
  color: var(--muted);
}
</style>
