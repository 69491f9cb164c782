<script setup lang="ts">
import { mdiFilmstrip, mdiPause, mdiPlay } from '@mdi/js'
import { useDropZone, useFileDialog, useRafFn } from '@vueuse/core'
import { computed, onBeforeUnmount, ref } from 'vue'
import { clock, secondsOf } from '../../../../core/captions/cue'
import { chaptersOf } from '../../../../core/chapters/lines'
import { typing } from '~/composables/shellKeys'
import { useVideoLeads } from '~/composables/videoLeads'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { useSpoken } from '~/stores/spoken'

/** What leads on from the video: cards at their moments, the end screen, and both as viewers see them. */
const brief = useBrief()
const film = useFilm()
const spoken = useSpoken()
const leads = useVideoLeads()
const chapters = computed(() => chaptersOf(brief.fields!.description))
const chosen = ref<string | null>(null)

const TYPES = 'video/*'
const { open: choose, onChange } = useFileDialog({ accept: TYPES, multiple: false, reset: true })
onChange(files => {
  if (files?.[0]) film.open(files[0])
})
const place = ref<HTMLElement | null>(null)
useDropZone(place, {
  onDrop: files => {
    const file = files?.find(({ type }) => type.startsWith('video/'))
    if (file) film.open(file)
  },
})
const length = ref('')
const lengthFault = ref('')
function takeLength() {
  const seconds = secondsOf(length.value)
  lengthFault.value = seconds ? '' : 'Write it as 10:40, or 1:02:03.'
  if (seconds) film.known(seconds)
}

// Without a file the captions alone go by, in their own time.
const { pause, resume } = useRafFn(
  ({ delta }) => {
    if (film.address) return
    film.seek(film.at + delta / 1000)
    if (film.at >= (film.seconds ?? 0)) film.playing = false
    if (!film.playing) pause()
  },
  { immediate: false },
)
function play() {
  if (!film.playing && film.seconds !== null && film.at >= film.seconds) film.seek(0)
  film.playing = !film.playing
  if (film.playing) resume()
}
const STEP = 5
function onKey(event: KeyboardEvent) {
  const { key, target, ctrlKey, metaKey, altKey, defaultPrevented } = event
  if (ctrlKey || metaKey || altKey || defaultPrevented || typing(target)) return
  if (key === 'k') play()
  else if (key === 'j') film.seek(film.at - STEP)
  else if (key === 'l') film.seek(film.at + STEP)
  else if (key === 'a') chosen.value = leads.addCard()
  else return
  event.preventDefault()
}
window.addEventListener('keydown', onKey)
onBeforeUnmount(() => {
  window.removeEventListener('keydown', onKey)
  film.playing = false
})
</script>

<template>
  <div ref="place" class="video" data-test="video">
    <div v-if="film.seconds === null" class="sheet unknown">
      <h2>How long is the video?</h2>
      <p class="muted">
        Open it from this machine (it is sent nowhere), load its captions on the Desk, or type its length.
      </p>
      <div class="ways">
        <v-btn variant="flat" color="primary" :prepend-icon="mdiFilmstrip" @click="choose()">Open the video</v-btn>
        <v-text-field
          v-model="length"
          label="Length"
          placeholder="10:40"
          density="compact"
          :error-messages="lengthFault"
          data-test="video-length"
          @keydown.enter="takeLength"
          @blur="length && takeLength()"
        />
      </div>
    </div>
    <template v-else>
      <!-- Above, where what is said of each change does not cover it. -->
      <ReleaseVideoStrip
        v-model:chosen="chosen"
        class="sheet"
        :seconds="film.seconds"
        :cues="spoken.captions.cues"
        :chapters="chapters"
      />
      <div class="lower">
        <div class="left">
          <ReleaseVideoStage v-model:chosen="chosen" />
          <div class="bar">
            <v-btn
              size="small"
              variant="tonal"
              color="primary"
              :icon="film.playing ? mdiPause : mdiPlay"
              :aria-label="film.playing ? 'Pause' : 'Play'"
              title="Play or pause (k); five seconds back or on (j, l)"
              data-test="video-play"
              @click="play"
            />
            <span class="figure" data-test="video-at">{{ clock(film.at) }} / {{ clock(film.seconds) }}</span>
            <v-spacer />
            <template v-if="film.address"
              ><span class="small muted name" :title="film.name">{{ film.name }}</span
              ><button class="plain link small" @click="film.close()">Close</button></template
            >
            <button v-else class="plain link small" data-test="video-open" @click="choose()">
              Open the video from this machine
            </button>
          </div>
          <p v-if="film.problem" role="alert" class="small">{{ film.problem }}</p>
        </div>
        <div class="right sheet">
          <ReleaseVideoCards v-model:chosen="chosen" />
          <ReleaseVideoEnd v-model:chosen="chosen" />
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.video {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.unknown {
  padding: 36px;
  display: grid;
  gap: 12px;
  justify-items: start;
}
.ways {
  display: flex;
  gap: 20px;
  align-items: flex-start;
  flex-wrap: wrap;
}
.ways .v-text-field {
  width: 180px;
}
.lower {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 0.9fr);
  gap: 14px;
}
.left {
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-height: 0;
}
.right {
  overflow: auto;
  padding: 10px 14px;
}
.bar {
  display: flex;
  align-items: center;
  gap: 10px;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  max-width: 200px;
}
@media (max-width: 1000px) {
  /* One below the other, each as high as it is. */
  .video,
  .lower {
    display: block;
    overflow: auto;
  }
  .lower,
  .right {
    margin-top: 10px;
  }
  .right {
    overflow: visible;
  }
}
</style>
