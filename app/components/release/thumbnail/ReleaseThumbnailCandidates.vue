<script setup lang="ts">
import {
  mdiFilmstrip,
  mdiAutoFix,
  mdiBrush,
  mdiCheck,
  mdiDeleteOutline,
  mdiDownloadOutline,
  mdiImagePlusOutline,
} from '@mdi/js'
import { useDropZone, useEventListener, useFileDialog } from '@vueuse/core'
import { ref } from 'vue'
import { faultInWords, formatName, thumbnailFaults } from '../../../../core/thumbnail/mend'
import { thumbnailFile } from '../../../../core/release/handOver'
import { fileSize } from '~/composables/figures'
import { typing } from '~/composables/shellKeys'
import { useBrief } from '~/stores/brief'
import { useFilm } from '~/stores/film'
import { pictureAddress, useThumbnails, type Candidate } from '~/stores/thumbnails'

/** The pictures there are, with what the site would say of each; new ones by drop, paste or file. */
defineProps<{ looked: string | null }>()
const emit = defineEmits<{ look: [id: string] }>()
const brief = useBrief()
const thumbnails = useThumbnails()
const limits = useLimits()
const film = useFilm()
const framing = ref(false)
const TYPES = ['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'image/avif']

async function add(files: readonly { name: string; file: Blob }[]) {
  const added = await thumbnails.add(files)
  if (added) emit('look', added.id)
}
const named = (files: Iterable<File>) => [...files].map(file => ({ name: file.name, file }))
const { open: choose, onChange: onFiles } = useFileDialog({ accept: TYPES.join(','), multiple: true, reset: true })
onFiles(files => {
  if (files?.length) void add(named(files))
})
// A frame needs the video, which stays on this machine.
const { open: chooseFilm, onChange: onFilm } = useFileDialog({ accept: 'video/*', multiple: false, reset: true })
onFilm(files => {
  if (!files?.[0]) return
  film.open(files[0])
  framing.value = true
})
const zone = ref<HTMLElement | null>(null)
const { isOverDropZone } = useDropZone(zone, {
  onDrop: files => files?.length && void add(named(files)),
  multiple: true,
})
useEventListener('paste', (event: ClipboardEvent) => {
  const files = [...(event.clipboardData?.files ?? [])].filter(({ type }) => type.startsWith('image/'))
  if (!files.length || typing(event.target)) return
  event.preventDefault()
  void add(named(files))
})

const isChosen = ({ value }: Candidate) => thumbnails.chosen?.hash === value.hash
const facts = ({ value }: Candidate) =>
  `${value.width}×${value.height}, ${formatName(value.format)}, ${fileSize(value.bytes)}`
const faultsOf = ({ value }: Candidate) =>
  thumbnailFaults(value, limits.value).map(fault => ({ fault, text: faultInWords(fault, value, limits.value) }))
/** A picture that is too small stays so: nothing but a larger one helps. */
const mendable = (candidate: Candidate) => faultsOf(candidate).some(({ fault }) => fault !== 'small')
const designing = ref<Candidate | null>(null)
function kept(id: string) {
  designing.value = null
  emit('look', id)
}
const mending = ref<Candidate | null>(null)
async function mend(focus: { x: number; y: number }) {
  const of = mending.value!
  mending.value = null
  const made = await thumbnails.mend(of, focus)
  if (made) emit('look', made.id)
}
</script>

<template>
  <aside
    ref="zone"
    class="sheet candidates"
    :class="{ over: isOverDropZone }"
    aria-label="Pictures"
    data-test="pictures"
  >
    <v-skeleton-loader v-if="!thumbnails.items && !thumbnails.problem" type="image, text" />
    <ul v-else>
      <li
        v-for="candidate in thumbnails.items"
        :key="candidate.id"
        :class="{ looked: candidate.id === looked }"
        data-test="picture"
      >
        <button
          class="plain show"
          :aria-pressed="candidate.id === looked"
          :aria-label="`Look at ${candidate.value.name}`"
          @click="emit('look', candidate.id)"
        >
          <img :src="pictureAddress(candidate.value, 640)" alt="" width="244" height="137" />
        </button>
        <p class="name" :title="candidate.value.name">
          {{ candidate.value.name }}<span v-if="isChosen(candidate)" class="small chosen">chosen</span>
        </p>
        <p class="small muted" :title="`${candidate.value.bytes.toLocaleString('en')} bytes`">
          {{ facts(candidate) }}<template v-if="candidate.value.original">, mended</template>
        </p>
        <p v-for="{ fault, text } in faultsOf(candidate)" :key="fault" class="small fault" data-test="picture-fault">
          {{ text }}
        </p>
        <div class="doing">
          <v-btn
            v-if="!isChosen(candidate)"
            size="small"
            variant="tonal"
            color="primary"
            :prepend-icon="mdiCheck"
            data-test="picture-choose"
            @click="thumbnails.choose(candidate)"
            >Choose</v-btn
          >
          <v-btn
            v-if="mendable(candidate)"
            size="small"
            variant="tonal"
            :prepend-icon="mdiAutoFix"
            data-test="picture-mend"
            @click="mending = candidate"
            >Mend</v-btn
          >
          <v-spacer />
          <v-btn
            size="x-small"
            variant="text"
            :icon="mdiBrush"
            :aria-label="`${candidate.value.design ? 'Change' : 'Make one of'} ${candidate.value.name}`"
            :title="candidate.value.design ? 'Change it' : 'Make one of it: words, light, crop'"
            data-test="picture-design"
            @click="designing = candidate"
          />
          <v-btn
            size="x-small"
            variant="text"
            :icon="mdiDownloadOutline"
            :aria-label="`Save ${candidate.value.name} as a file`"
            title="Save as a file, named like the video"
            :href="pictureAddress(candidate.value)"
            :download="thumbnailFile(brief.fields!, candidate.value)"
          />
          <v-btn
            size="x-small"
            variant="text"
            :icon="mdiDeleteOutline"
            :aria-label="`Remove ${candidate.value.name}`"
            title="Remove"
            data-test="picture-remove"
            @click="thumbnails.remove(candidate)"
          />
        </div>
      </li>
    </ul>
    <div class="add">
      <p v-if="thumbnails.busy" class="small" role="status">{{ thumbnails.busy }}</p>
      <v-btn
        variant="outlined"
        :prepend-icon="mdiImagePlusOutline"
        :disabled="!!thumbnails.busy"
        data-test="picture-add"
        @click="choose()"
        >Add pictures</v-btn
      >
      <v-btn
        size="small"
        variant="text"
        :prepend-icon="mdiFilmstrip"
        :disabled="!!thumbnails.busy"
        data-test="picture-frame"
        @click="film.address ? (framing = true) : chooseFilm()"
        >Take a frame of the video</v-btn
      >
      <p class="small muted">Or drop or paste them. PNG, JPEG, WebP, GIF and AVIF, up to 64 MB each.</p>
    </div>
    <LazyReleaseThumbnailFrames
      v-if="framing"
      v-model="framing"
      @take="(name, picture) => add([{ name, file: picture }])"
    />
    <LazyReleaseThumbnailDesign v-if="designing" :candidate="designing" @close="designing = null" @kept="kept" />
    <LazyReleaseThumbnailMend v-if="mending" :candidate="mending" @mend="mend" @close="mending = null" />
  </aside>
</template>

<style scoped>
.candidates {
  overflow: auto;
  padding: 12px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.over {
  outline: 2px dashed var(--teal);
  outline-offset: -4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 14px;
}
.show {
  display: block;
  width: 100%;
}
img {
  display: block;
  width: 100%;
  height: auto;
  aspect-ratio: 16 / 9;
  object-fit: contain;
  background: var(--line);
  border-radius: 3px;
  border: 2px solid transparent;
}
.looked img {
  border-color: var(--teal);
}
.name {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.chosen {
  font-weight: 400;
  color: var(--teal);
  margin-left: 8px;
}
.fault {
  color: var(--plum);
}
.doing {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
}
.add {
  display: grid;
  gap: 6px;
  justify-items: start;
}
@media (max-width: 1000px) {
  ul {
    grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  }
}
</style>
