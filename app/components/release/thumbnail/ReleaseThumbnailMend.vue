<script setup lang="ts">
import { computed, ref } from 'vue'
import { formatName, megabytes, mendPlan } from '../../../../core/thumbnail/mend'
import { pictureAddress, type Candidate } from '~/stores/thumbnails'

/** What is cut off, scaled and packed anew so that the site takes a picture; what has to stay in is pointed at. */
const props = defineProps<{ candidate: Candidate }>()
const emit = defineEmits<{ mend: [focus: { x: number; y: number }]; close: [] }>()
const limits = useLimits()
const from = computed(() => props.candidate.value.original ?? props.candidate.value)
const focus = ref({ x: 0.5, y: 0.5 })
const plan = computed(() => mendPlan(from.value, limits.value, focus.value))
const cuts = computed(() => plan.value.crop.width < from.value.width || plan.value.crop.height < from.value.height)
const part = (value: number, all: number) => `${(100 * value) / all}%`
const frame = computed(() => {
  const { crop } = plan.value
  const { width, height } = from.value
  return {
    left: part(crop.left, width),
    top: part(crop.top, height),
    width: part(crop.width, width),
    height: part(crop.height, height),
  }
})
function point(event: MouseEvent) {
  // Pressed by a key, it has no place.
  if (!event.detail) return
  const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
  focus.value = { x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height }
}
const STEP = 0.02
const move = (x: number, y: number) => {
  const within = (value: number) => Math.min(1, Math.max(0, value))
  focus.value = { x: within(focus.value.x + x), y: within(focus.value.y + y) }
}
const becomes = computed(() => {
  const { width, height, format } = plan.value
  return `${width}×${height}, ${formatName(format)}, up to ${megabytes(limits.value.thumbnail.bytes)}`
})
</script>

<template>
  <v-dialog :model-value="true" max-width="720" @update:model-value="emit('close')">
    <v-card title="Mend the picture" data-test="mend">
      <v-card-text class="body">
        <p>It becomes {{ becomes }}. The original stays as it is.</p>
        <p v-if="cuts" class="small muted">
          What is outside the frame is cut off. Press on what has to stay in, or move the frame by the arrow keys.
        </p>
        <button
          class="plain whole"
          :disabled="!cuts"
          aria-label="What has to stay in; arrow keys move the frame"
          data-test="mend-frame"
          @click="point"
          @keydown.left.prevent="move(-STEP, 0)"
          @keydown.right.prevent="move(STEP, 0)"
          @keydown.up.prevent="move(0, -STEP)"
          @keydown.down.prevent="move(0, STEP)"
        >
          <img :src="pictureAddress(from, 1280)" alt="" :width="from.width" :height="from.height" />
          <span v-if="cuts" class="frame" :style="frame" />
        </button>
      </v-card-text>
      <v-card-actions>
        <v-spacer />
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn variant="flat" color="primary" data-test="mend-do" @click="emit('mend', focus)">Mend</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.body {
  display: grid;
  gap: 10px;
  justify-items: center;
}
.body p {
  justify-self: start;
}
.whole {
  position: relative;
  display: block;
  overflow: hidden;
}
.whole:disabled {
  cursor: default;
}
.whole img {
  display: block;
  max-width: 100%;
  max-height: 50vh;
  width: auto;
  height: auto;
}
.frame {
  position: absolute;
  border: 2px solid #fff;
  box-shadow: 0 0 0 4000px rgb(22 27 32 / 65%);
}
</style>
