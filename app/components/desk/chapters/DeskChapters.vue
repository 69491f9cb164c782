<script setup lang="ts">
import { mdiFileUploadOutline } from '@mdi/js'
import { useFileDialog } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { secondsOf } from '../../../../core/captions/cue'
import { chapterFaults, mendedChapters, type ChapterFaultKind } from '../../../../core/chapters/faults'
import { CHAPTER_ENDINGS, CHAPTER_FORMATS, formatChapters, type ChapterFormat } from '../../../../core/chapters/formats'
import { chaptersOf, withChapters, type ChapterMark } from '../../../../core/chapters/lines'
import type { NamedChapter } from '../../../../core/chapters/titles'
import { underlines } from '../../../../core/draft/underlines'
import { messageOf } from '~/composables/api'
import { copyText } from '~/composables/copyText'
import { counted } from '~/composables/figures'
import { saveFile } from '~/composables/saveFile'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'
import { useTray } from '~/stores/tray'

/** Chapters as a table bound to the description, and cut from what is spoken. */
const brief = useBrief()
const limits = useLimits()
const spoken = useSpoken()
const tray = useTray()
const notices = useNotices()
const fields = computed(() => brief.fields!)
const phrases = computed(() => tray.phrases.map(each => each.phrase))
const written = computed<ChapterMark[]>(() =>
  chaptersOf(fields.value.description).map(({ seconds, title }) => ({ seconds, title })),
)
const cues = computed(() => spoken.captions.cues)
const duration = computed(() => fields.value.seconds ?? cues.value.at(-1)?.end ?? null)

/** Chapters as proposed, until they are taken. */
const proposed = shallowRef<NamedChapter[] | null>(null)
watch(
  () => brief.brief?.id,
  () => {
    proposed.value = null
  },
)
const busy = ref(false)
async function cut(count?: number) {
  busy.value = true
  const of = brief.brief!.id
  try {
    const found = await spoken.remote().cut(
      cues.value.map(cue => ({ ...cue })),
      {
        language: fields.value.language,
        phrases: [...phrases.value],
        minSeconds: limits.value.chapters.leastSeconds,
        ...(count ? { count } : {}),
      },
    )
    if (brief.brief?.id === of) proposed.value = found
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  } finally {
    busy.value = false
  }
}
async function again(by: number) {
  const before = proposed.value!.length
  await cut(Math.max(1, before + by))
  if (by > 0 && proposed.value?.length === before)
    notices.show(`No more chapters of at least ${limits.value.chapters.leastSeconds} seconds fit.`)
}
const marks = computed<ChapterMark[]>(() =>
  proposed.value ? proposed.value.map(({ start, title }) => ({ seconds: start, title })) : written.value,
)
/** Changes what is shown: the proposal, or the description itself. */
function change(next: ChapterMark[], said?: string) {
  if (proposed.value) {
    const sure = new Map(proposed.value.map(each => [each.start, each.sure]))
    proposed.value = next.map(({ seconds, title }) => ({ start: seconds, title, sure: sure.get(seconds) ?? 1 }))
    return
  }
  const description = withChapters(fields.value.description, next)
  if (said) brief.change(said, 'description', description)
  else brief.set('description', description)
}
function take() {
  const next = marks.value
  proposed.value = null
  change(next, `${counted(next.length, 'chapter')} put into the description.`)
}
const faults = computed(() => chapterFaults(marks.value, limits.value.chapters, duration.value ?? undefined))
function mend(kind: ChapterFaultKind) {
  change(
    mendedChapters(
      marks.value,
      kind,
      limits.value.chapters,
      duration.value === null ? {} : { durationSeconds: duration.value },
    ),
    'Chapters mended.',
  )
}
const rows = computed(() =>
  marks.value.map(({ seconds, title }, i) => {
    const end = marks.value[i + 1]?.seconds ?? duration.value
    return {
      seconds,
      title,
      length: end === null || end <= seconds ? null : end - seconds,
      sure: proposed.value?.[i]?.sure ?? null,
      marks: [
        ...new Set(
          underlines(title, phrases.value, fields.value.language).map(each => tray.phrases[each.phrase]!.mark),
        ),
      ],
    }
  }),
)
function setTime(i: number, typed: string) {
  const seconds = secondsOf(typed)
  if (seconds === null) return notices.show('Enter a time such as 1:05.', { serious: true })
  moveTo(i, seconds)
}
function moveTo(i: number, seconds: number) {
  const next = marks.value.map((each, at) => (at === i ? { ...each, seconds: Math.floor(seconds) } : each))
  change(proposed.value ? next.sort((a, b) => a.seconds - b.seconds) : next)
}
const setTitle = (i: number, title: string) =>
  change(marks.value.map((each, at) => (at === i ? { ...each, title: title.trim() } : each)))
const remove = (i: number) =>
  change(
    marks.value.filter((_, at) => at !== i),
    'Chapter removed.',
  )
function add() {
  const at = Math.floor(spoken.playhead ?? (marks.value.at(-1)?.seconds ?? -30) + 30)
  const next = [...marks.value, { seconds: Math.max(0, at), title: '' }].sort((a, b) => a.seconds - b.seconds)
  change(next)
}
/** The cue that is said then. */
function show(seconds: number) {
  const cue = cues.value.findLastIndex(each => each.start <= seconds + 0.5)
  if (cue >= 0) spoken.shown = { cue }
}

const FORMAT_NAMES: Record<ChapterFormat, string> = {
  text: 'Lines of text',
  webvtt: 'WebVTT chapters',
  ffmetadata: 'FFmetadata',
  json: 'JSON chapters',
}
function save(format: ChapterFormat) {
  const text = formatChapters(marks.value, format, duration.value ?? undefined)
  saveFile(`chapters.${CHAPTER_ENDINGS[format]}`, text, format === 'json' ? 'application/json' : 'text/plain')
}
async function copy() {
  await copyText(formatChapters(marks.value, 'text'))
  notices.show('Chapters copied.')
}
const { open: choose, onChange } = useFileDialog({ accept: '.txt,.vtt,.json,text/*', multiple: false, reset: true })
onChange(async files => {
  if (!files?.[0]) return
  try {
    const found = await spoken.remote().chapters(new Uint8Array(await files[0].arrayBuffer()), fields.value.language)
    proposed.value = found.map(({ seconds, title }) => ({ start: seconds, title, sure: 1 }))
  } catch (error) {
    notices.show(messageOf(error), { serious: true })
  }
})
</script>

<template>
  <section class="chapters sheet" aria-label="Chapters" data-test="chapters" @keydown.escape="proposed = null">
    <div class="bar">
      <v-btn
        size="small"
        variant="tonal"
        :disabled="!cues.length"
        :loading="busy"
        :title="cues.length ? 'Where the words change' : 'Captions or an outline are needed'"
        data-test="chapters-cut"
        @click="cut()"
        >Cut from {{ spoken.source === 'outline' ? 'the outline' : 'the captions' }}</v-btn
      >
      <v-btn size="small" data-test="chapter-add" @click="add">Add</v-btn>
      <v-spacer />
      <v-btn size="small" :icon="mdiFileUploadOutline" aria-label="Open a file of chapters" @click="choose()" />
      <v-menu>
        <template #activator="{ props: menu }"
          ><v-btn v-bind="menu" size="small" :disabled="!marks.length" data-test="chapters-save">Save</v-btn></template
        >
        <v-list role="menu" density="compact">
          <v-list-item role="menuitem" title="Copy" data-test="chapters-copy" @click="copy" />
          <v-list-item
            v-for="format in CHAPTER_FORMATS"
            :key="format"
            role="menuitem"
            :title="FORMAT_NAMES[format]"
            :data-test="`chapters-${format}`"
            @click="save(format)"
          />
        </v-list>
      </v-menu>
    </div>
    <div v-if="proposed" class="bar proposal small" data-test="chapters-proposed">
      <span>{{ counted(proposed.length, 'chapter') }} proposed</span>
      <v-btn size="x-small" :disabled="busy || proposed.length < 2" data-test="chapters-fewer" @click="again(-1)"
        >Fewer</v-btn
      ><v-btn size="x-small" :disabled="busy" data-test="chapters-more" @click="again(1)">More</v-btn>
      <v-spacer />
      <v-btn size="x-small" variant="flat" color="primary" data-test="chapters-take" @click="take">{{
        written.length ? 'Take instead of those there' : 'Take'
      }}</v-btn><v-btn size="x-small" @click="proposed = null">Discard</v-btn>
    </div>
    <DeskChaptersStrip v-if="marks.length && duration" :marks :cues :duration :phrases @move="moveTo" @show="show" />
    <p v-if="!marks.length" class="small muted" data-test="chapters-none">
      No chapters in the description.
      {{
        cues.length
          ? 'Cut them from what is spoken, or add the first one.'
          : 'Write them as lines that begin with a time, or load captions and cut them.'
      }}
    </p>
    <DeskChaptersTable
      v-else
      :rows
      :faults
      :proposed="proposed !== null"
      @time="setTime"
      @title="setTitle"
      @remove="remove"
      @mend="mend"
      @show="show"
    />
    <p v-for="fault in faults.filter(each => each.index === null)" :key="fault.kind" class="small">
      {{ fault.message }}
    </p>
  </section>
</template>

<style scoped>
.chapters {
  overflow-y: auto;
  min-height: 0;
  padding: 10px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
}
.proposal {
  border: 1px solid var(--teal);
  border-radius: 4px;
  padding: 4px 10px;
}
</style>
