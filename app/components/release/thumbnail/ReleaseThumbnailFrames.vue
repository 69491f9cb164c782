<script setup lang="ts">
import { onBeforeUnmount, ref, shallowRef } from 'vue'
import { clock } from '../../../../core/captions/cue'
import { framesWorth } from '../../../../core/thumbnail/frames'
import { messageOf } from '~/composables/api'
import { frameAt, openedFilm, pictureAt, type ShownFrame } from '~/composables/filmFrames'
import { useFilm } from '~/stores/film'

/** Pictures out of the video: the nine most worth looking at, or the one where it stands. */
const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ take: [name: string, picture: Blob] }>()
const film = useFilm()
/** Frames looked at, spread over the video without its very beginning and end. */
const LOOKED_AT = 36
const OFFERED = 9
const frames = shallowRef<ShownFrame[]>([])
const done = ref(0)
const problem = ref('')
let opened: HTMLVideoElement | null = null
let stopped = false
const forget = (list: readonly ShownFrame[]) => {
  for (const { address } of list) URL.revokeObjectURL(address)
}

async function look() {
  const all: ShownFrame[] = []
  try {
    opened = await openedFilm(film.address)
    const { duration } = opened
    for (let i = 0; i < LOOKED_AT && !stopped; i++) {
      all.push(await frameAt(opened, (duration * (i + 0.5)) / LOOKED_AT))
      done.value = i + 1
    }
    frames.value = framesWorth(all, OFFERED)
  } catch (error) {
    problem.value = messageOf(error)
  } finally {
    forget(all.filter(frame => !frames.value.includes(frame)))
  }
}
void look()
onBeforeUnmount(() => {
  stopped = true
  forget(frames.value)
  opened?.removeAttribute('src')
})
async function take(at: number) {
  try {
    emit('take', `Frame at ${clock(at)}`, await pictureAt(opened!, at))
    open.value = false
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <v-dialog v-model="open" max-width="700">
    <v-card title="A picture out of the video" data-test="frames">
      <v-card-text class="body">
        <p v-if="problem" role="alert">{{ problem }}</p>
        <template v-else-if="!frames.length">
          <p role="status">
            {{
              done < LOOKED_AT
                ? `Looking at frame ${done + 1} of ${LOOKED_AT} …`
                : 'No frame is sharp and light enough.'
            }}
          </p>
          <v-progress-linear
            v-if="done < LOOKED_AT"
            :model-value="(100 * done) / LOOKED_AT"
            aria-label="Frames looked at"
          />
        </template>
        <template v-else>
          <p class="small muted">The sharpest and most different ones of {{ LOOKED_AT }}.</p>
          <div class="frames">
            <button
              v-for="frame in frames"
              :key="frame.at"
              class="plain"
              :aria-label="`Take the frame at ${clock(frame.at)}`"
              data-test="frame"
              @click="take(frame.at)"
            >
              <img :src="frame.address" alt="" width="192" height="108" /><span class="small figure">{{
                clock(frame.at)
              }}</span>
            </button>
          </div>
        </template>
      </v-card-text>
      <v-card-actions>
        <v-btn v-if="frames.length" variant="text" data-test="frame-here" @click="take(film.at)"
          >The one at {{ clock(film.at) }}, where it stands</v-btn
        >
        <v-spacer />
        <v-btn variant="text" @click="open = false">{{ done < LOOKED_AT ? 'Stop' : 'Close' }}</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.body {
  display: grid;
  gap: 10px;
}
.frames {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
  gap: 10px;
}
.frames button {
  display: grid;
  justify-items: start;
}
img {
  width: 100%;
  height: auto;
  border-radius: 3px;
}
</style>
