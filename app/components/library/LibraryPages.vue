<script setup lang="ts">
import type { PagesImported } from '../../../shared/imports'
import { ref } from 'vue'
import { messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const emit = defineEmits<{ close: [] }>()
useFocusBack()
const notices = useNotices()
const workspace = useWorkspace()
const file = ref<File | null>(null)
const region = ref<string | null>(workspace.current?.region ?? null)
const language = ref(workspace.language)
const { progress, left, busy, send: sendFile, stop } = useImporting()
const problem = ref('')
const answer = ref<PagesImported | null>(null)

async function send() {
  if (!file.value) {
    problem.value = 'Choose a file first.'
    return
  }
  problem.value = ''
  try {
    answer.value = await sendFile('POST /api/import/pages', file.value, {
      region: region.value,
      language: language.value,
      name: file.value.name.slice(0, 120),
    })
  } catch (error) {
    problem.value = messageOf(error)
  }
}
function close() {
  if (busy.value) notices.show('Stopped. The rows read so far are saved. Import the file again to add the rest.')
  stop()
  emit('close')
}
</script>

<template>
  <ShellImportDialog
    v-model:file="file"
    :model-value="true"
    title="Import pages, videos or a feed"
    named="pages"
    accept=".csv,.tsv,.json,.jsonl,.jsonld,.xml,.atom,.rss"
    :problem="problem"
    :progress="progress"
    :left="left"
    :done="answer !== null"
    @update:model-value="close"
    @update:file="answer = null"
    @send="send"
  >
    <template #intro
      >CSV, JSON or JSON Lines with a title and an id or link per line; with <em>phrase</em> and <em>rank</em> it is
      read as result pages. JSON-LD with VideoObject and a channel’s Atom or RSS feed also work. Images are not
      downloaded.</template
    >
    <ShellRegion v-model="region" class="mt-4" />
    <ShellLanguage v-model="language" class="mt-4" />
    <template v-if="answer" #answer>
      <p>
        <strong>{{ counted(answer.videos, 'video') }}</strong> of {{ counted(answer.channels, 'channel') }},
        <strong>{{ counted(answer.pages, 'result page') }}</strong>;
        {{ counted(answer.rejected.length + answer.rejectedMore, 'line') }} skipped.
      </p>
      <ShellRefused :rejected="answer.rejected" :more="answer.rejectedMore" />
    </template>
  </ShellImportDialog>
</template>
