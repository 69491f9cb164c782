<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { Cue } from '../../../../core/captions/cue'
import { beginsAt } from '../../../../core/captions/timing'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'

/** The video from this machine, played beside its captions; it is sent nowhere. */
const brief = useBrief()
const spoken = useSpoken()
const notices = useNotices()
const film = useFilm()
const player = ref<HTMLVideoElement | null>(null)
const problem = ref('')
const { open, onChange } = useFileDialog({ accept: 'video/*,audio/*', multiple: false, reset: true })
onChange(files => {
  problem.value = ''
  if (files?.[0]) film.open(files[0])
})
function close() {
  film.close()
  spoken.playhead = null
}
// The file stays open for other screens of the same brief.
onBeforeUnmount(() => {
  spoken.playhead = null
})
const moved = () => {
  spoken.playhead = player.value?.currentTime ?? null
}
/** The line that begins next, while times are set by hand; `null` where they are not. */
const next = ref<number | null>(null)
/** The cues before each line that was set, for the way back. */
const before = shallowRef<(readonly Cue[])[]>([])
const cues = computed(() => spoken.captions.cues)
watch(
  () => brief.brief?.id,
  () => {
    next.value = null
    before.value = []
  },
)
function begin() {
  const at = next.value
  if (at === null || !player.value) return
  const timed = beginsAt(cues.value, at, player.value.currentTime)
  if (!timed) {
    problem.value = 'This is before the line above begins. Play on first.'
    return
  }
  problem.value = ''
  before.value = [...before.value, cues.value]
  spoken.setCues(timed)
  if (at + 1 < timed.length) next.value = at + 1
  else {
    next.value = null
    notices.show('Every line has its time.')
  }
}
function back() {
  const last = before.value.at(-1)
  if (!last || next.value === null) return
  before.value = before.value.slice(0, -1)
  next.value--
  spoken.setCues(last)
}
// A cue that is chosen is where the video goes.
watch(
  () => spoken.shown,
  now => {
    const cue = now && spoken.captions.cues[now.cue]
    if (cue && player.value) player.value.currentTime = cue.start
    if (cue && next.value !== null) next.value = now.cue
  },
)
</script>

<template>
  <div class="film small">
    <video
      v-if="film.address"
      ref="player"
      :src="film.address"
      controls
      preload="metadata"
      @loadedmetadata="film.known(player!.duration, player!.videoWidth, player!.videoHeight)"
      @timeupdate="moved"
      @error="problem = 'This browser cannot play the file.'"
    />
    <button v-else class="plain link" data-test="film-open" @click="open()">Play the video beside its captions</button>
    <span v-if="problem" role="alert">{{ problem }}</span>
    <div v-if="film.address" class="ways">
      <template v-if="next !== null">
        <p class="line" data-test="film-line">{{ cues[next]?.text }}</p>
        <v-btn size="small" variant="flat" color="primary" data-test="film-begin" @click="begin"
          >Line {{ next + 1 }} begins now</v-btn
        >
        <button class="plain link" :disabled="!before.length" @click="back">One back</button>
        <button class="plain link" @click="next = null">Done</button>
      </template>
      <button v-else class="plain link" data-test="film-time" @click="next = 0">Set times while it plays</button>
      <button class="plain link" @click="close">Close the video</button>
    </div>
  </div>
</template>

<style scoped>
.film {
  display: flex;
  gap: 12px;
  align-items: flex-end;
}
video {
  width: 240px;
  max-height: 136px;
  background: #161b20;
}
.ways {
  display: grid;
  gap: 4px;
  justify-items: start;
}
.line {
  max-width: 240px;
  overflow-wrap: anywhere;
}
.link {
  color: var(--teal);
}
</style>
