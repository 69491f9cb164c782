<script setup lang="ts">
import { mdiRedo, mdiUndo } from '@mdi/js'
import { useElementSize, useManualRefHistory, watchDebounced } from '@vueuse/core'
import { Image as KImage, Layer, Stage, Text as KText } from 'vue-konva'
import { computed, onMounted, ref, shallowRef } from 'vue'
import {
  backgroundAt,
  backgroundBox,
  DESIGN,
  HEADLINE_ROOM,
  newDesign,
  type Design,
} from '../../../../core/thumbnail/design'
import { fittedHeadline, LINE_HEIGHT } from '../../../../core/thumbnail/headline'
import { messageOf } from '~/composables/api'
import { drawnBackground, useDrawnPictures } from '~/composables/designPicture'
import { typing } from '~/composables/shellKeys'
import { useThumbnails, type Candidate } from '~/stores/thumbnails'

/** A thumbnail made of a picture: what of it is seen and how, a headline, one or two pictures on top. */
const props = defineProps<{ candidate: Candidate }>()
const emit = defineEmits<{ close: []; kept: [id: string] }>()
const thumbnails = useThumbnails()
const { hash, format, width, height, bytes } = props.candidate.value
const first = props.candidate.value.design ?? newDesign({ hash, format, width, height, bytes }, '')
const design = ref<Design>(structuredClone(JSON.parse(JSON.stringify(first)) as Design))
/** What is done in one go is taken back in one go. */
const { commit, undo, redo, canUndo, canRedo } = useManualRefHistory(design, { clone: true, capacity: 200 })
const problem = ref('')

const images = useDrawnPictures(
  () => [design.value.background.picture, ...design.value.layers.map(layer => layer.picture)],
  message => (problem.value = message),
)
const background = computed(() => {
  const image = images.value.get(design.value.background.picture.hash)
  return image ? drawnBackground(image, design.value.background) : null
})

/** The frame as wide as there is room for, in whole sixteenths, so that its height is whole too. */
const room = ref<HTMLElement | null>(null)
const { width: roomWidth } = useElementSize(room)
const shown = computed(() => Math.max(16, Math.floor(Math.min(720, roomWidth.value) / 16) * 16))
const scale = computed(() => shown.value / DESIGN.width)
const stage = ref<{ getStage: () => { toCanvas: (given: { pixelRatio: number }) => HTMLCanvasElement } } | null>(null)

const headline = computed(() => {
  const fitted = fittedHeadline(design.value)
  const { layout, headline: of } = design.value
  if (!fitted || layout === 'none' || !lettered.value) return null
  const box = HEADLINE_ROOM[layout]
  const high = fitted.lines.length * fitted.size * LINE_HEIGHT
  return {
    x: box.x * DESIGN.width,
    y: (box.y + box.height / 2) * DESIGN.height - high / 2,
    text: fitted.lines.join('\n'),
    fontFamily: 'IBM Plex Sans',
    fontStyle: '600',
    fontSize: fitted.size,
    lineHeight: LINE_HEIGHT,
    fill: of.colour,
    listening: false,
    ...(of.outline
      ? { stroke: of.outline, strokeWidth: fitted.size * 0.12, fillAfterStrokeEnabled: true, lineJoin: 'round' }
      : {}),
    ...(of.shadow
      ? {
          shadowColor: '#000000',
          shadowBlur: fitted.size * 0.18,
          shadowOffsetY: fitted.size * 0.05,
          shadowOpacity: 0.6,
        }
      : {}),
  }
})
/** Whether the letters are there: a canvas draws with what it has. */
const lettered = ref(false)
onMounted(async () => {
  await document.fonts.load("600 80px 'IBM Plex Sans'")
  lettered.value = true
})
const layers = computed(() =>
  design.value.layers.map(({ picture, x, y, width: share }) => {
    const wide = share * DESIGN.width
    return {
      image: images.value.get(picture.hash),
      x: x * DESIGN.width,
      y: y * DESIGN.height,
      width: wide,
      height: (wide * picture.height) / picture.width,
      draggable: true,
    }
  }),
)

interface Dragged {
  target: { x: () => number; y: () => number; position: (at: { x: number; y: number }) => void }
}
let from = { x: 0, y: 0 }
function beginDrag() {
  const { picture, ...at } = design.value.background
  from = backgroundBox(picture, at)
}
/** The picture moves under the frame; the frame stays. */
function dragBackground({ target }: Dragged) {
  const { picture, zoom } = design.value.background
  const wished = backgroundAt(picture, zoom, from.x + target.x(), from.y + target.y())
  // Where there is nothing more of it, it stays.
  const box = backgroundBox(picture, { zoom, ...wished })
  Object.assign(design.value.background, backgroundAt(picture, zoom, box.x, box.y))
  target.position({ x: 0, y: 0 })
}
const within = (value: number) => Math.min(1, Math.max(0, value))
function dragLayer(i: number, { target }: Dragged) {
  Object.assign(design.value.layers[i]!, {
    x: within(target.x() / DESIGN.width),
    y: within(target.y() / DESIGN.height),
  })
}
function onKey(event: KeyboardEvent) {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z' || typing(event.target)) return
  event.preventDefault()
  if (event.shiftKey) redo()
  else undo()
}

/** The frame as pixels of its own size, whatever it is shown at. */
function drawn(wide: number): HTMLCanvasElement {
  const canvas = document.createElement('canvas')
  canvas.width = wide
  canvas.height = (wide * DESIGN.height) / DESIGN.width
  const whole = stage.value!.getStage().toCanvas({ pixelRatio: DESIGN.width / shown.value })
  canvas.getContext('2d')!.drawImage(whole, 0, 0, canvas.width, canvas.height)
  return canvas
}
/** As it is seen in a narrow list. */
const SMALL = 128
const small = ref('')
watchDebounced(
  [design, background, headline, shown],
  () => {
    if (background.value && stage.value) small.value = drawn(SMALL).toDataURL('image/png')
  },
  { debounce: 200, deep: true, flush: 'post' },
)

const keeping = ref(false)
async function keep() {
  keeping.value = true
  try {
    const blob = await new Promise<Blob | null>(resolve => {
      drawn(DESIGN.width).toBlob(resolve, 'image/jpeg', 0.92)
    })
    if (!blob) throw new Error('Could not draw the picture. Try again.')
    const name = design.value.layout === 'none' ? '' : design.value.headline.text.trim()
    const made = await thumbnails.keepMade(name || `Made of ${props.candidate.value.name}`, blob, design.value)
    if (made) emit('kept', made.id)
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    keeping.value = false
  }
}
const untouched = shallowRef(JSON.stringify(design.value))
const changed = computed(() => JSON.stringify(design.value) !== untouched.value)
const leaving = ref(false)
function close() {
  if (changed.value && !leaving.value) leaving.value = true
  else emit('close')
}
</script>

<template>
  <v-dialog :model-value="true" aria-label="Make a thumbnail" max-width="1120" persistent @keydown.esc="close">
    <v-card title="Make a thumbnail" @keydown="onKey">
      <v-card-text class="two">
        <div>
          <div ref="room" class="room">
            <Stage
              ref="stage"
              :config="{ width: shown, height: (shown * 9) / 16, scaleX: scale, scaleY: scale }"
              role="img"
              aria-label="The thumbnail as it will be"
              data-test="design-frame"
            >
              <Layer>
                <KImage
                  v-if="background"
                  :config="{ image: background, draggable: true }"
                  @dragstart="beginDrag"
                  @dragmove="dragBackground"
                  @dragend="commit"
                />
                <KImage
                  v-for="(layer, i) in layers"
                  :key="i"
                  :config="layer"
                  @dragmove="dragLayer(i, $event)"
                  @dragend="commit"
                />
                <KText v-if="headline" :config="headline" />
              </Layer>
            </Stage>
          </div>
          <div class="under">
            <figure>
              <img v-if="small" :src="small" alt="" width="128" height="72" data-test="design-small" />
              <figcaption class="small muted">in a narrow list</figcaption>
            </figure>
            <p class="small muted">
              Drag the picture to move it under the frame; drag pictures on top where they belong.
            </p>
            <v-spacer />
            <v-btn
              size="small"
              variant="text"
              :icon="mdiUndo"
              aria-label="Undo"
              :disabled="!canUndo"
              data-test="design-undo"
              @click="undo()"
            />
            <v-btn
              size="small"
              variant="text"
              :icon="mdiRedo"
              aria-label="Do it again"
              :disabled="!canRedo"
              @click="redo()"
            />
          </div>
        </div>
        <ReleaseThumbnailDesignForm v-model="design" @change="commit" @commit="commit" />
      </v-card-text>
      <p v-if="problem" role="alert" class="problem">{{ problem }}</p>
      <v-card-actions>
        <p v-if="leaving" role="alert" class="small">Your changes are not saved. Press Close again to discard them.</p>
        <v-spacer />
        <v-btn @click="close">Close</v-btn>
        <v-btn
          color="primary"
          variant="flat"
          :loading="keeping"
          :disabled="!background"
          data-test="design-keep"
          @click="keep"
          >Keep as a picture</v-btn
        >
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 20px;
}
.room {
  width: 100%;
}
.under {
  display: flex;
  align-items: center;
  gap: 14px;
  padding-top: 10px;
}
figure {
  margin: 0;
}
.problem {
  padding: 0 24px;
  color: var(--plum);
}
@media (max-width: 900px) {
  .two {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
