<script setup lang="ts">
import { mdiCallMerge, mdiCallSplit, mdiDeleteOutline, mdiDotsVertical, mdiTimerOutline } from '@mdi/js'
import { computed, nextTick, ref, watch } from 'vue'
import { clock, secondsOf, stamp, type Cue } from '../../../../core/captions/cue'
import { spread } from '../../../../core/captions/spread'
import { changed, joined, split } from '../../../../core/captions/timing'
import { CAPTION_ENDINGS, writeCaptions, type CaptionFormat } from '../../../../core/captions/write'
import { underlines } from '../../../../core/draft/underlines'
import { cutAtRanges } from '../../../../core/text/match'
import { counted } from '~/composables/figures'
import { saveFile } from '~/composables/saveFile'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'
import { useTray } from '~/stores/tray'

/** The cues one below another: read along, searched, edited, joined, split, shifted, saved. */
const brief = useBrief()
const spoken = useSpoken()
const tray = useTray()
const notices = useNotices()
const cues = computed(() => spoken.captions.cues)
const phrases = computed(() => tray.phrases.map(each => each.phrase))

const find = ref('')
const rows = computed(() => {
  const wanted = find.value.trim().toLowerCase()
  return cues.value.flatMap((cue, at) => (!wanted || cue.text.toLowerCase().includes(wanted) ? [{ cue, at }] : []))
})
/** Text of a cue cut where a phrase of the tray stands. */
const parts = (cue: Cue) =>
  cutAtRanges(
    cue.text,
    underlines(cue.text, phrases.value, brief.fields!.language).filter(each => each.exact),
  )

const list = ref<{ scrollToIndex: (index: number) => void } | null>(null)
watch(
  () => spoken.shown,
  async now => {
    if (!now) return
    find.value = ''
    await nextTick()
    list.value?.scrollToIndex(Math.max(0, now.cue - 2))
  },
)
/** The cue at which the video stands that plays beside. */
const heard = computed(() => {
  const at = spoken.playhead
  return at === null ? null : cues.value.findLastIndex(cue => cue.start <= at)
})
watch(heard, at => {
  if (at !== null && at >= 0 && !find.value && editing.value === null) list.value?.scrollToIndex(Math.max(0, at - 2))
})

const editing = ref<number | null>(null)
const text = ref('')
const area = ref<HTMLTextAreaElement[] | null>(null)
async function edit(at: number) {
  editing.value = at
  text.value = cues.value[at]!.text
  await nextTick()
  area.value?.[0]?.focus()
}
function finish() {
  const at = editing.value
  if (at === null) return
  editing.value = null
  if (cues.value[at] && text.value.trim() !== cues.value[at].text)
    spoken.setCues(changed(cues.value, at, { text: text.value.trim() }))
}
/** Cut where the cursor stands, else in the middle. */
function cut(at: number) {
  const whole = editing.value === at ? text.value : cues.value[at]!.text
  const cursor = editing.value === at ? (area.value?.[0]?.selectionStart ?? 0) : 0
  const middle = whole.lastIndexOf(' ', Math.ceil(whole.length / 2))
  const place = cursor > 0 && cursor < whole.length ? cursor : middle
  editing.value = null
  spoken.setCues(split(changed(cues.value, at, { text: whole }), at, place), 'Cue split.')
}
function join(at: number) {
  finish()
  spoken.setCues(joined(cues.value, at), 'Cues joined.')
}
function remove(at: number) {
  editing.value = null
  spoken.setCues(
    cues.value.filter((_, i) => i !== at),
    'Cue deleted.',
  )
}
function setTime(at: number, side: 'start' | 'end', typed: string) {
  const seconds = secondsOf(typed)
  if (seconds === null) return notices.show('Enter a time such as 1:05 or 1:05.250.', { serious: true })
  spoken.setCues(changed(cues.value, at, { [side]: seconds }))
}
const beginHere = (at: number) => {
  const start = spoken.playhead
  if (start !== null)
    spoken.setCues(changed(cues.value, at, { start, end: Math.max(start + 0.5, cues.value[at]!.end) }))
}
/** A text without times gets those of the video's length. */
function spreadOut() {
  const seconds = brief.fields!.seconds
  if (!seconds) return notices.show('Enter the length of the video first.', { serious: true })
  spoken.setCues(spread(brief.fields!.captions, seconds), 'Spread over the video’s length.')
}
function save(format: CaptionFormat) {
  const name = brief.fields!.fileName.replace(/\.[a-z0-9]{2,4}$/iu, '') || 'captions'
  saveFile(`${name}.${CAPTION_ENDINGS[format]}`, writeCaptions(cues.value, format), 'text/plain')
}
</script>

<template>
  <div class="cues" data-test="cues">
    <div class="bar">
      <v-text-field
        v-model="find"
        label="Find in the captions"
        hide-details
        clearable
        data-test="cues-find"
        class="find"
      />
      <span v-if="find?.trim()" class="small muted">{{ counted(rows.length, 'cue') }}</span>
      <v-spacer />
      <v-btn v-if="!spoken.captions.timed" size="small" variant="tonal" data-test="spread" @click="spreadOut"
        >Spread over the length</v-btn
      >
      <DeskSpokenTiming v-else />
      <v-menu>
        <template #activator="{ props: menu }"
          ><v-btn
            v-bind="menu"
            size="small"
            :icon="mdiDotsVertical"
            aria-label="Save or clear the captions"
            data-test="captions-more"
        /></template>
        <v-list role="menu" density="compact">
          <v-list-item role="menuitem" title="Save as SRT" data-test="save-srt" @click="save('srt')" />
          <v-list-item role="menuitem" title="Save as WebVTT" data-test="save-webvtt" @click="save('webvtt')" />
          <v-list-item role="menuitem" title="Save as text" @click="save('text')" />
          <v-list-item
            role="menuitem"
            title="Clear"
            data-test="captions-clear"
            @click="spoken.setCues([], 'Captions cleared.')"
          />
        </v-list>
      </v-menu>
    </div>
    <ShellRows ref="list" :items="rows" class="list sheet" :height="34" tabindex="0" aria-label="Cues" role="list">
      <template #default="{ item: { cue, at } }">
        <div
          class="cue"
          :class="{ heard: at === heard, shown: at === spoken.shown?.cue }"
          role="listitem"
          data-test="cue"
        >
          <ShellTyped
            class="figure time"
            :value="spoken.captions.timed ? clock(cue.start) : '–'"
            :title="spoken.captions.timed ? `${stamp(cue.start)} to ${stamp(cue.end)}` : 'estimated'"
            :disabled="!spoken.captions.timed"
            :aria-label="`Begins at, cue ${at + 1}`"
            @typed="setTime(at, 'start', $event)"
          />
          <textarea
            v-if="editing === at"
            ref="area"
            v-model="text"
            rows="2"
            maxlength="2000"
            :aria-label="`Words of cue ${at + 1}`"
            data-test="cue-text"
            @blur="finish"
            @keydown.enter.exact.prevent="finish"
            @keydown.escape.stop="editing = null"
          />
          <button v-else class="plain words" :title="'Edit'" @click="edit(at)">
            <template v-for="(part, i) in parts(cue)" :key="i"
              ><span v-if="part.marked" class="match-exact">{{ part.text }}</span
              ><template v-else>{{ part.text }}</template></template
            >
          </button>
          <span class="acts">
            <button
              v-if="spoken.playhead !== null"
              class="plain"
              :title="`Begins where the video stands, ${clock(spoken.playhead)}`"
              :aria-label="`Cue ${at + 1} begins where the video stands`"
              @click="beginHere(at)"
            >
              <v-icon :icon="mdiTimerOutline" size="16" /></button
            ><button
              class="plain"
              title="Split at the cursor"
              :aria-label="`Split cue ${at + 1}`"
              data-test="cue-split"
              @mousedown.prevent
              @click="cut(at)"
            >
              <v-icon :icon="mdiCallSplit" size="16" /></button
            ><button
              class="plain"
              title="Join with the next"
              :aria-label="`Join cue ${at + 1} with the next`"
              data-test="cue-join"
              @click="join(at)"
            >
              <v-icon :icon="mdiCallMerge" size="16" /></button
            ><button class="plain" title="Delete" :aria-label="`Delete cue ${at + 1}`" @click="remove(at)">
              <v-icon :icon="mdiDeleteOutline" size="16" />
            </button>
          </span>
        </div>
      </template>
    </ShellRows>
    <p v-if="find?.trim() && !rows.length" class="small muted">No cue says “{{ find.trim() }}”.</p>
  </div>
</template>

<style scoped>
.cues {
  display: flex;
  flex-direction: column;
  gap: 8px;
  flex: 1;
  min-height: 0;
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
}
.find {
  max-width: 240px;
}
.list {
  flex: 1;
  min-height: 120px;
}
.cue {
  display: grid;
  grid-template-columns: 58px minmax(0, 1fr) auto;
  gap: 8px;
  align-items: start;
  padding: 6px 8px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.heard,
.shown {
  background: color-mix(in srgb, var(--teal) 9%, transparent);
}
.time {
  width: 58px;
  border: 0;
  background: none;
  color: var(--muted);
  font-size: 12px;
  text-align: right;
  padding-top: 2px;
}
.words {
  white-space: pre-line;
  overflow-wrap: anywhere;
}
textarea {
  width: 100%;
  font: inherit;
  color: inherit;
  background: var(--surface);
  border: 1px solid var(--teal);
  border-radius: 3px;
  padding: 2px 6px;
}
.acts {
  display: flex;
  gap: 6px;
  color: var(--muted);
  opacity: 0;
}
.acts button {
  min-width: 24px;
  min-height: 24px;
}
.cue:is(:hover, :focus-within) .acts {
  opacity: 1;
}
@media (hover: none) {
  .acts {
    opacity: 1;
  }
}
</style>
