import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { useBrief } from './brief'
import { useSpoken } from './spoken'

/** The open brief's video as a file of this machine, which is sent nowhere, and where it stands while it plays. */
export const useFilm = defineStore('film', () => {
  const brief = useBrief()
  const spoken = useSpoken()
  /** Where this window finds the file; '' while none is open. */
  const address = ref('')
  /** The file itself; `null` while none is open. */
  const file = shallowRef<File | null>(null)
  const name = computed(() => file.value?.name ?? '')
  const problem = ref('')
  /** Seconds from the beginning. */
  const at = ref(0)
  const playing = ref(false)
  /** The length of the video, or of what is spoken where that is all there is; `null` while neither is known. */
  const seconds = computed(() => brief.fields?.seconds ?? (spoken.captions.cues.at(-1)?.end || null))

  function close() {
    if (address.value) URL.revokeObjectURL(address.value)
    address.value = ''
    file.value = null
    problem.value = ''
    playing.value = false
  }
  watch(
    () => brief.brief?.id,
    () => {
      close()
      at.value = 0
    },
  )

  return {
    address,
    file,
    name,
    problem,
    at,
    playing,
    seconds,
    close,
    open(given: File) {
      close()
      address.value = URL.createObjectURL(given)
      file.value = given
    },
    /** Saves the length of the file and the number of lines of its picture. */
    known(length: number, width = 0, height = 0) {
      const lines = Math.min(width, height)
      if (lines > 0) brief.set('lines', lines, true)
      if (Number.isFinite(length) && length > 0) brief.set('seconds', Math.round(length * 1000) / 1000, true)
    },
    seek(to: number) {
      at.value = Math.min(seconds.value ?? to, Math.max(0, to))
    },
  }
})
