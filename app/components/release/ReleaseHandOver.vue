<script setup lang="ts">
import { mdiCheck, mdiContentCopy, mdiDownloadOutline, mdiFolderZipOutline } from '@mdi/js'
import { onBeforeUnmount, onMounted, ref } from 'vue'
import { captionsEnding, handedState, thumbnailFile, type HandOverStep } from '../../../core/release/handOver'
import { fieldOf } from '../../../core/brief/brief'
import { copyText } from '~/composables/copyText'
import { saveAddress, saveFile } from '~/composables/saveFile'
import { typing } from '~/composables/shellKeys'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useRelease } from '~/stores/release'
import { pictureAddress } from '~/stores/thumbnails'

/** Handing over by hand: step after step in the order of use, each copied and ticked with one key. */
const brief = useBrief()
const release = useRelease()
const notices = useNotices()
const stateOf = (step: HandOverStep) => handedState(step, brief.fields!)
/** Texts are long; what is shown of one is enough to know it by. */
const SHOWN = 400
const shown = ({ text }: HandOverStep) => (text.length > SHOWN ? `${text.slice(0, SHOWN)}…` : text)
const list = ref<HTMLElement | null>(null)

/** Captions are uploaded beside the video, under its name. */
function saveCaptions({ text }: HandOverStep) {
  const name = brief.fields!.fileName.replace(/\.[a-z0-9]+$/iu, '') || 'captions'
  saveFile(`${name}.${captionsEnding(text)}`, text, 'text/plain')
}
/** What is uploaded beside the video is saved as a file first. */
function save(step: HandOverStep) {
  const { thumbnail } = brief.fields!
  if (step.id !== 'thumbnail') saveCaptions(step)
  else if (thumbnail) saveAddress(thumbnailFile(brief.fields!, thumbnail), pictureAddress(thumbnail))
}
async function give(step: HandOverStep) {
  if (step.how === 'file') save(step)
  else await copyText(step.text)
  release.hand(step.id, true)
  const next = release.toHand[0]
  const done = step.how === 'file' ? 'saved as a file' : 'copied'
  notices.show(`${step.title} ${done}.${next ? ` Next: ${next.title}.` : ' That was the last step.'}`)
  if (next) list.value?.querySelector(`[data-step="${next.id}"]`)?.scrollIntoView({ block: 'nearest' })
}
const VERBS = { paste: 'Copy', file: 'Save as a file', choose: 'Tick' } as const
const ICONS = { paste: mdiContentCopy, file: mdiDownloadOutline, choose: mdiCheck } as const
/** The next step: what is pasted is copied, what is uploaded is saved, what is chosen is ticked. */
function goOn() {
  const next = release.toHand[0]
  if (!next) return
  if (next.how !== 'choose') return void give(next)
  release.hand(next.id, true)
  const after = release.toHand[0]
  notices.show(`${next.title}: ${next.text}.${after ? ` Next: ${after.title}.` : ''}`)
}
function onKey(event: KeyboardEvent) {
  const other = event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented
  if (event.key !== 'c' || other || typing(event.target)) return
  event.preventDefault()
  goOn()
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))

const address = ref(brief.fields!.videoAddress)
const fault = ref('')
function takeAddress() {
  const text = address.value.trim()
  fault.value = fieldOf('videoAddress').schema.safeParse(text).error?.issues[0]?.message ?? ''
  if (!fault.value) brief.set('videoAddress', text, true)
}
</script>

<template>
  <div class="hand">
    <div class="sheet steps" tabindex="0" role="region" aria-label="Steps">
      <ol ref="list">
        <li
          v-for="step in release.steps"
          :key="step.id"
          :class="stateOf(step)"
          :data-step="step.id"
          :data-test="`step-${step.id}`"
          :data-state="stateOf(step)"
        >
          <label class="title"
            ><input
              type="checkbox"
              :checked="stateOf(step) === 'done'"
              :aria-label="`${step.title} is handed over`"
              @change="release.hand(step.id, ($event.target as HTMLInputElement).checked)"
            />{{ step.title }}</label
          >
          <div class="text">
            <p v-if="stateOf(step) === 'changed'" class="small changed">Changed since it was handed over.</p>
            <p dir="auto" class="what">{{ shown(step) }}</p>
          </div>
          <v-btn
            v-if="step.how !== 'choose'"
            size="x-small"
            variant="text"
            :icon="stateOf(step) === 'done' ? mdiCheck : ICONS[step.how]"
            :aria-label="`${VERBS[step.how]}: ${step.title}`"
            @click="give(step)"
          />
        </li>
      </ol>
      <p v-if="!release.steps.length" class="muted none">Nothing is written yet.</p>
    </div>
    <aside class="sheet aside">
      <h2>
        {{
          release.toHand.length ? `${release.toHand.length} of ${release.steps.length} steps to go` : 'All handed over'
        }}
      </h2>
      <p class="muted">
        Keep the upload form open beside this. The key <kbd>c</kbd> copies the next text and ticks it; for what is
        chosen there, it ticks it and says what to choose.
      </p>
      <v-btn
        v-if="release.toHand.length"
        variant="flat"
        color="primary"
        data-test="hand-next"
        :prepend-icon="ICONS[release.toHand[0]!.how]"
        @click="goOn"
        >{{ VERBS[release.toHand[0]!.how] }}: {{ release.toHand[0]!.title }}</v-btn
      >
      <v-btn
        variant="outlined"
        :prepend-icon="mdiFolderZipOutline"
        :href="`/api/briefs/${brief.brief!.id}/package`"
        download
        data-test="package"
        title="For somebody else: texts, captions, chapters, and a page to print and follow"
        >Save as a package</v-btn
      >
      <v-text-field
        v-model="address"
        label="Address of the video, once it is out"
        variant="underlined"
        density="compact"
        :error-messages="fault"
        data-test="video-address"
        @blur="takeAddress"
        @keydown.enter="takeAddress"
      />
    </aside>
  </div>
</template>

<style scoped>
.hand {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 14px;
  flex: 1;
  min-height: 0;
}
.steps {
  overflow: auto;
  padding: 4px 14px;
}
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr) 28px;
  gap: 10px;
  padding: 7px 0;
  min-height: 42px;
  border-bottom: 1px solid color-mix(in srgb, var(--line) 55%, transparent);
}
.title {
  display: flex;
  gap: 8px;
  font-weight: 600;
  cursor: pointer;
  align-self: start;
}
.title input {
  accent-color: var(--teal);
  flex: none;
}
.done .title {
  font-weight: 400;
  color: var(--muted);
}
.what {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-line-clamp: 4;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.done .what {
  color: var(--muted);
  -webkit-line-clamp: 1;
}
.changed {
  color: var(--plum);
}
.aside {
  padding: 14px;
  display: grid;
  gap: 12px;
  align-content: start;
}
.aside .v-btn {
  justify-self: start;
  max-width: 100%;
}
kbd {
  font-family: var(--mono);
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 0 4px;
}
.none {
  padding: 20px 0;
}
@media (max-width: 1000px) {
  .hand {
    display: flex;
    flex-direction: column-reverse;
    justify-content: flex-end;
  }
  .steps {
    overflow: visible;
  }
  li {
    grid-template-columns: minmax(0, 1fr) 28px;
  }
  .text {
    grid-row: 2;
    grid-column: 1 / -1;
  }
}
</style>
