<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js'
import { useDropZone, useFileDialog } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { clock, secondsOf } from '../../../../core/captions/cue'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'

/** What is spoken: captions of the video, or the outline of what is to be said. */
const brief = useBrief()
const spoken = useSpoken()
const notices = useNotices()
const fields = computed(() => brief.fields!)

const view = ref<'captions' | 'outline'>(
  fields.value.outline.trim() && !fields.value.captions.trim() ? 'outline' : 'captions',
)
watch(
  () => brief.brief?.id,
  () => {
    view.value = fields.value.outline.trim() && !fields.value.captions.trim() ? 'outline' : 'captions'
  },
)

const zone = ref<HTMLElement | null>(null)
const { isOverDropZone } = useDropZone(zone, {
  onDrop: files => {
    if (files?.[0]) void load(files[0])
  },
})
const { open: choose, onChange } = useFileDialog({ accept: '.srt,.vtt,.txt,text/*', multiple: false, reset: true })
onChange(files => {
  if (files?.[0]) void load(files[0])
})
async function load(given: File | string) {
  view.value = 'captions'
  await spoken.load(given)
}
/** Captions pasted anywhere but into a text. */
function paste(event: ClipboardEvent) {
  const target = event.target as HTMLElement
  if (/^(?:INPUT|TEXTAREA)$/u.test(target.tagName) || target.isContentEditable) return
  const text = event.clipboardData?.getData('text/plain') ?? ''
  if (!text.trim()) return
  event.preventDefault()
  void load(text)
}

/** The length as it is typed: 4:10. */
const length = computed(() => (fields.value.seconds === null ? '' : clock(fields.value.seconds)))
function setLength(typed: string) {
  const seconds = typed.trim() ? secondsOf(typed) : null
  if (typed.trim() && !seconds)
    return notices.show('Enter the length as minutes and seconds, such as 4:10.', { serious: true })
  brief.set('seconds', seconds)
}
const last = computed(() => spoken.captions.cues.at(-1)?.end ?? 0)
</script>

<template>
  <section
    ref="zone"
    class="spoken"
    :class="{ over: isOverDropZone }"
    aria-label="What is spoken"
    tabindex="-1"
    data-test="spoken"
    @paste="paste"
  >
    <div class="head">
      <v-btn-toggle
        v-model="view"
        mandatory
        density="compact"
        variant="outlined"
        divided
        aria-label="Captions or outline"
      >
        <v-btn value="captions" :aria-pressed="view === 'captions'" size="small" data-test="view-captions"
          >Captions</v-btn
        ><v-btn value="outline" :aria-pressed="view === 'outline'" size="small" data-test="view-outline">Outline</v-btn>
      </v-btn-toggle>
      <label class="small length"
        >Length
        <ShellTyped
          class="figure"
          :value="length"
          size="7"
          :placeholder="last ? clock(last) : '0:00'"
          aria-label="Length of the video"
          data-test="length"
          @typed="setLength"
      /></label>
      <span class="small muted" data-test="spoken-state">
        <template v-if="spoken.source === 'captions' && view === 'captions'"
          >{{ counted(spoken.captions.cues.length, 'cue') }}, to {{ clock(last)
          }}<template v-if="!spoken.captions.timed">; times are estimated</template></template
        ><template v-else-if="spoken.source === 'outline' && view === 'outline'"
          >about {{ clock(last) }} to say; stands in for captions</template
        ><template v-else-if="view === 'outline' && spoken.source === 'captions'"
          >the captions count, not the outline</template
        ></span
      >
    </div>
    <div v-if="view === 'captions'" class="head">
      <v-btn
        size="small"
        :prepend-icon="mdiFileUploadOutline"
        :loading="spoken.busy"
        data-test="captions-open"
        @click="choose()"
        >Open</v-btn
      >
      <DeskSpokenVideos @load="load" />
      <DeskSpokenFilm v-if="spoken.source === 'captions'" />
    </div>
    <p v-if="spoken.problem" role="alert" class="small problem" data-test="captions-problem">{{ spoken.problem }}</p>
    <details v-if="view === 'captions' && spoken.faults.length" class="small" data-test="captions-faults">
      <summary>{{ counted(spoken.faults.length, 'cue') }} could not be read; the others are here</summary>
      <ul>
        <li v-for="fault in spoken.faults.slice(0, 200)" :key="fault.line">
          Line {{ fault.line }}: {{ fault.reason }}
        </li>
      </ul>
    </details>
    <DeskSpokenOutline v-if="view === 'outline'" />
    <DeskSpokenCues v-else-if="spoken.source === 'captions'" :key="brief.brief!.id" />
    <div v-else class="empty sheet" data-test="captions-empty">
      <h3>No captions yet</h3>
      <p class="muted">
        Drop an SRT, WebVTT or text file here, open one, or paste it. A script without times is spread over the length.
        Before filming, an outline does.
      </p>
      <v-btn size="small" variant="tonal" data-test="to-outline" @click="view = 'outline'">Write an outline</v-btn>
    </div>
  </section>
</template>

<style scoped>
.spoken {
  display: flex;
  flex-direction: column;
  gap: 8px;
  min-height: 0;
  flex: 1;
}
.spoken.over {
  outline: 2px dashed var(--teal);
  outline-offset: 2px;
}
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  flex-wrap: wrap;
}
/* The parts of the Desk stand at the right of the first line. */
.head:first-child {
  padding-right: 310px;
  min-height: 36px;
}
.length input {
  width: 62px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--ink);
  text-align: right;
}
.problem {
  color: var(--plum);
}
.empty {
  padding: 24px;
  display: grid;
  gap: 10px;
  justify-items: start;
  flex: 1;
  align-content: start;
}
details ul {
  max-height: 120px;
  overflow-y: auto;
  margin: 4px 0 0;
  padding-left: 18px;
}
</style>
