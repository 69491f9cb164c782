<script setup lang="ts">
import interact from 'interactjs'
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue'
import { aligned, boxOf, ELEMENT_SIZES, fitted, leadsTo, type EndElement } from '../../../../core/release/endScreen'
import { useVideoLeads } from '~/composables/videoLeads'
import { useFilm } from '~/stores/film'
import { useSpoken } from '~/stores/spoken'

/** The video as a viewer sees it: the picture, what is said, the card of the moment, the end screen. */
const chosen = defineModel<string | null>('chosen', { required: true })
const film = useFilm()
const spoken = useSpoken()
const leads = useVideoLeads()
const stage = ref<HTMLElement | null>(null)
const player = ref<HTMLVideoElement | null>(null)

/** Viewers see the teaser of a card for so long, in seconds. */
const TEASED = 5
const said = computed(() => {
  const { cues } = spoken.captions
  return cues.find(({ start, end }) => start <= film.at && film.at < end)?.text ?? ''
})
const card = computed(() => leads.cards.value.find(({ at }) => at <= film.at && film.at < at + TEASED) ?? null)
const ending = computed(() => (leads.end.value && film.at >= leads.end.value.from ? leads.end.value : null))

// The file follows the place that was chosen, and tells its own while it plays.
watch(
  () => film.playing,
  playing => {
    if (!player.value) return
    if (playing) void player.value.play().catch(() => (film.playing = false))
    else player.value.pause()
  },
)
const NEAR = 0.3
watch(
  () => film.at,
  at => {
    if (player.value && Math.abs(player.value.currentTime - at) > NEAR) player.value.currentTime = at
  },
)
const told = () => film.seek(player.value?.currentTime ?? film.at)

/** The element that is being dragged or sized, as it would become, and the lines it lies on. */
const held = shallowRef<{ element: EndElement; x: number[]; y: number[] } | null>(null)
const shown = computed(() =>
  (ending.value?.elements ?? []).map(element => (held.value?.element.id === element.id ? held.value.element : element)),
)
const styleOf = (element: EndElement) => {
  const { x, y, width, height } = boxOf(element)
  return { left: `${100 * x}%`, top: `${100 * y}%`, width: `${100 * width}%`, height: `${100 * height}%` }
}
const othersOf = (id: string) => (ending.value?.elements ?? []).filter(each => each.id !== id)
const elementOf = (target: Element) => ending.value?.elements.find(({ id }) => id === target.getAttribute('data-id'))
/** Where it was taken hold of, in pixels moved since. */
let moved = { x: 0, y: 0, width: 0 }
const frame = () => stage.value!.getBoundingClientRect()
function place(target: Element) {
  const element = elementOf(target)
  if (!element) return
  const { width, height } = frame()
  const to = fitted({
    ...element,
    x: element.x + moved.x / width,
    y: element.y + moved.y / height,
    width: element.width + moved.width / width,
  })
  held.value = aligned(to, othersOf(element.id))
}
function letGo() {
  const now = held.value?.element
  held.value = null
  if (now) leads.setElement(now.id, { x: now.x, y: now.y, width: now.width }, 'Element moved.')
}
let interaction: ReturnType<typeof interact> | undefined
onMounted(() => {
  interaction = interact('.ends', { context: stage.value! })
    .draggable({
      listeners: {
        start: ({ target }: { target: Element }) => {
          moved = { x: 0, y: 0, width: 0 }
          chosen.value = target.getAttribute('data-id')
        },
        move({ target, dx, dy }: { target: Element; dx: number; dy: number }) {
          moved = { ...moved, x: moved.x + dx, y: moved.y + dy }
          place(target)
        },
        end: letGo,
      },
    })
    .resizable({
      edges: { right: '.size', bottom: '.size' },
      listeners: {
        start: () => {
          moved = { x: 0, y: 0, width: 0 }
        },
        move({ target, deltaRect }: { target: Element; deltaRect: { width: number } }) {
          moved = { ...moved, width: moved.width + deltaRect.width }
          place(target)
        },
        end: letGo,
      },
    })
})
onBeforeUnmount(() => interaction?.unset())

const STEP = 0.01
function onKey(event: KeyboardEvent, element: EndElement) {
  const size = event.shiftKey
  const by = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }[event.key]
  if (event.key === 'Delete') leads.removeElement(element.id)
  else if (!by) return
  else if (size) leads.setElement(element.id, { width: element.width + by[0]! - by[1]! }, 'Element sized.')
  else leads.setElement(element.id, { x: element.x + by[0]!, y: element.y + by[1]! }, 'Element moved.')
  event.preventDefault()
}
</script>

<template>
  <div class="room">
    <div ref="stage" class="stage" data-test="stage">
      <video
        v-if="film.address"
        ref="player"
        :src="film.address"
        preload="metadata"
        muted
        @loadedmetadata="film.known(player!.duration, player!.videoWidth, player!.videoHeight)"
        @timeupdate="told"
        @ended="film.playing = false"
        @error="film.problem = 'This browser cannot play the file.'"
      />
      <p v-if="said && !ending" class="said" dir="auto">{{ said }}</p>
      <p v-if="card && !ending" class="teaser" data-test="teaser" dir="auto">{{ card.teaser || 'No teaser yet' }}</p>
      <template v-if="ending">
        <div
          v-for="element in shown"
          :key="element.id"
          class="ends"
          :class="[element.kind, { chosen: chosen === element.id, round: ELEMENT_SIZES[element.kind].ratio === 1 }]"
          :style="styleOf(element)"
          :data-id="element.id"
          tabindex="0"
          role="button"
          :aria-label="`${leadsTo(element)}; arrow keys move it, with Shift they size it`"
          data-test="end-element"
          @focus="chosen = element.id"
          @keydown="onKey($event, element)"
        >
          <span class="label">{{ leadsTo(element) }}</span><span class="size" aria-hidden="true" />
        </div>
        <i v-for="x in held?.x" :key="`x${x}`" class="line down" :style="{ left: `${100 * x}%` }" />
        <i v-for="y in held?.y" :key="`y${y}`" class="line across" :style="{ top: `${100 * y}%` }" />
      </template>
    </div>
  </div>
</template>

<style scoped>
/* As large as fits the room in both directions. */
.room {
  flex: 0 1 auto;
  width: 100%;
  aspect-ratio: 16 / 9;
  min-height: 0;
  container-type: size;
  display: grid;
  justify-items: center;
  align-items: start;
}
.stage {
  position: relative;
  width: min(100cqw, 100cqh * 16 / 9);
  aspect-ratio: 16 / 9;
  background: #161b20;
  color: #eceae4;
  border-radius: 3px;
  overflow: hidden;
}
video {
  width: 100%;
  height: 100%;
  object-fit: contain;
}
.said {
  position: absolute;
  left: 8%;
  right: 8%;
  bottom: 6%;
  text-align: center;
  text-shadow: 0 0 4px #000;
}
.teaser {
  position: absolute;
  right: 0;
  top: 8%;
  max-width: 60%;
  padding: 4px 12px;
  background: #eceae4;
  color: #1d2733;
  border-radius: 3px 0 0 3px;
  font-weight: 600;
}
.ends {
  position: absolute;
  display: grid;
  place-items: center;
  padding: 4px;
  background: rgb(92 103 115 / 85%);
  border: 2px solid #eceae4;
  cursor: move;
  touch-action: none;
  overflow: hidden;
  user-select: none;
}
.ends.round {
  border-radius: 50%;
}
.ends.chosen {
  border-color: #7fd1c7;
  box-shadow: 0 0 0 2px #7fd1c7;
}
.label {
  font-size: 12px;
  text-align: center;
  overflow: hidden;
  max-height: 100%;
}
.size {
  position: absolute;
  right: 0;
  bottom: 0;
  width: 16px;
  height: 16px;
  cursor: nwse-resize;
  background: linear-gradient(135deg, transparent 50%, #eceae4 50%);
}
.round .size {
  right: 14%;
  bottom: 14%;
}
.line {
  position: absolute;
  pointer-events: none;
  background: #e9b949;
}
.line.down {
  top: 0;
  bottom: 0;
  width: 1px;
}
.line.across {
  left: 0;
  right: 0;
  height: 1px;
}
@media (max-width: 1000px) {
  .room {
    flex: none;
    container-type: inline-size;
    min-height: 0;
  }
  .stage {
    width: 100%;
  }
}
</style>
