<script setup lang="ts">
import { watchDebounced } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { CLEAN_KINDS, CLEAN_NAMES, type CleanKind, type CleanText } from '../../../../core/captions/clean'
import { chaptersOf } from '../../../../core/chapters/lines'
import { copyText } from '~/composables/copyText'
import { counted } from '~/composables/figures'
import { saveFile } from '~/composables/saveFile'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useSpoken } from '~/stores/spoken'

/** What is spoken as a text to read, with headings from the chapters: an article's first draft. */
const brief = useBrief()
const spoken = useSpoken()
const notices = useNotices()
const fields = computed(() => brief.fields!)
const remove = ref<CleanKind[]>([...CLEAN_KINDS])
const headings = ref(true)
const clean = shallowRef<CleanText | null>(null)
const chapters = computed(() =>
  headings.value ? chaptersOf(fields.value.description).map(({ seconds, title }) => ({ start: seconds, title })) : [],
)
watchDebounced(
  [() => spoken.captions, remove, chapters],
  async () => {
    const { cues, timed } = spoken.captions
    clean.value = cues.length
      ? await spoken
          .remote()
          .clean(
            { cues: cues.map(cue => ({ ...cue })), timed },
            { language: fields.value.language, remove: [...remove.value], chapters: chapters.value },
          )
      : null
  },
  { debounce: 150, immediate: true, deep: true },
)
const removed = (kind: CleanKind) => clean.value?.removed.find(each => each.kind === kind)
const markdown = computed(() =>
  [fields.value.title.trim() && `# ${fields.value.title.trim()}`, clean.value?.text].filter(Boolean).join('\n\n'),
)
async function copy() {
  await copyText(markdown.value)
  notices.show('Text copied.')
}
const save = () =>
  saveFile(
    `${fields.value.fileName.replace(/\.[a-z0-9]{2,4}$/iu, '') || 'article'}.md`,
    `${markdown.value}\n`,
    'text/markdown',
  )
</script>

<template>
  <section class="clean sheet" aria-label="Clean text" data-test="clean">
    <p v-if="!spoken.captions.cues.length" class="small muted">
      Nothing is spoken yet: load captions or write an outline.
    </p>
    <template v-else>
      <div class="kinds">
        <div v-for="kind in CLEAN_KINDS" :key="kind">
          <v-checkbox
            v-model="remove"
            :value="kind"
            :label="`${CLEAN_NAMES[kind]} out${removed(kind) ? `, ${removed(kind)!.count}` : ''}`"
            hide-details
            density="compact"
            :data-test="`clean-${kind}`"
          />
          <details v-if="removed(kind)" class="small muted">
            <summary>What was taken out</summary>
            <p class="pieces">{{ removed(kind)!.pieces.slice(0, 300).join(' · ') }}</p>
          </details>
        </div>
      </div>
      <v-checkbox v-model="headings" label="Headings from the chapters" hide-details density="compact" />
      <div class="bar">
        <v-btn size="small" variant="tonal" :disabled="!clean?.text" data-test="clean-copy" @click="copy">Copy</v-btn
        ><v-btn size="small" :disabled="!clean?.text" @click="save">Save as Markdown</v-btn
        ><span v-if="clean" class="small muted">{{
          counted(clean.text.split(/\s+/u).filter(Boolean).length, 'word')
        }}</span>
      </div>
      <p class="text" data-test="clean-text">{{ clean?.text }}</p>
    </template>
  </section>
</template>

<style scoped>
.clean {
  overflow-y: auto;
  min-height: 0;
  padding: 10px 14px 14px;
}
.kinds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
}
.bar {
  display: flex;
  gap: 8px;
  align-items: center;
  margin: 8px 0;
}
.text {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.pieces {
  overflow-wrap: anywhere;
  max-height: 90px;
  overflow-y: auto;
}
</style>
