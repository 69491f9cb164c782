<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { onBeforeUnmount, ref, watch } from 'vue'
import { useBrief } from '~/stores/brief'
import { useSpoken } from '~/stores/spoken'

/** The video from this machine, played beside its captions; it is sent nowhere. */
const brief = useBrief()
const spoken = useSpoken()
const film = ref<HTMLVideoElement | null>(null)
const address = ref('')
const problem = ref('')
const { open, onChange } = useFileDialog({ accept: 'video/*,audio/*', multiple: false, reset: true })
function close() {
  if (address.value) URL.revokeObjectURL(address.value)
  address.value = ''
  spoken.playhead = null
}
onChange(files => {
  if (!files?.[0]) return
  close()
  problem.value = ''
  address.value = URL.createObjectURL(files[0])
})
onBeforeUnmount(close)
function known() {
  const seconds = film.value?.duration
  if (seconds && Number.isFinite(seconds)) brief.set('seconds', Math.round(seconds * 1000) / 1000)
}
const moved = () => {
  spoken.playhead = film.value?.currentTime ?? null
}
// A cue that is chosen is where the video goes.
watch(
  () => spoken.shown,
  now => {
    const cue = now && spoken.captions.cues[now.cue]
    if (cue && film.value) film.value.currentTime = cue.start
  },
)
</script>

<template>
  <div class="film small">
    <video
      v-if="address"
      ref="film"
      :src="address"
      controls
      preload="metadata"
      @loadedmetadata="known"
      @timeupdate="moved"
      @error="problem = 'This browser cannot play the file.'"
    />
    <button v-else class="plain link" data-test="film-open" @click="open()">Play the video beside its captions</button>
    <span v-if="problem" role="alert">{{ problem }}</span>
    <button v-if="address" class="plain link" @click="close">Close the video</button>
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
.link {
  color: var(--teal);
}
</style>
