<script setup lang="ts">
import type { PagesImported } from '../../../shared/imports'
import { mdiFileUploadOutline } from '@mdi/js'
import { ref } from 'vue'
import { inDigits } from '../../../core/text/inWords'
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
  <v-dialog :model-value="true" aria-label="Import pages, videos or a feed" max-width="600" @update:model-value="close">
    <v-card title="Import pages, videos or a feed" data-test="pages">
      <v-card-text>
        <p class="muted mb-3">
          CSV, JSON or JSON Lines with a title and an id or link per line; with <em>phrase</em> and <em>rank</em> it is
          read as result pages. JSON-LD with VideoObject and a channel’s Atom or RSS feed also work. Images are not
          downloaded.
        </p>
        <v-file-input
          v-model="file"
          label="File"
          variant="outlined"
          density="compact"
          :prepend-icon="mdiFileUploadOutline"
          accept=".csv,.tsv,.json,.jsonl,.jsonld,.xml,.atom,.rss"
          :error-messages="problem"
          hide-details="auto"
          data-test="pages-file"
          @update:model-value="answer = null"
        />
        <ShellRegion v-model="region" class="mt-4" />
        <ShellLanguage v-model="language" class="mt-4" />
        <ShellImporting :progress="progress" :left="left" class="mt-4" />
        <div v-if="answer" class="mt-4" role="status" data-test="pages-answer">
          <p>
            <strong>{{ counted(answer.videos, 'video') }}</strong> of {{ counted(answer.channels, 'channel') }},
            <strong>{{ counted(answer.pages, 'result page') }}</strong>;
            {{ counted(answer.rejected.length + answer.rejectedMore, 'line') }} skipped.
          </p>
          <ul v-if="answer.rejected.length" class="rejected small sheet">
            <li v-for="each in answer.rejected" :key="each.line">
              <span class="figure">line {{ each.line }}</span> {{ each.reason }}
            </li>
            <li v-if="answer.rejectedMore">and {{ inDigits(answer.rejectedMore) }} more</li>
          </ul>
        </div>
      </v-card-text>
      <v-card-actions
        ><v-spacer /><v-btn @click="close">{{ busy ? 'Stop' : 'Close' }}</v-btn
        ><v-btn v-if="!answer" variant="flat" color="primary" :loading="busy" data-test="pages-send" @click="send"
          >Import</v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.rejected {
  list-style: none;
  padding: 8px 10px;
  margin: 8px 0 0;
  max-height: 180px;
  overflow: auto;
}
.rejected span {
  color: var(--muted);
  margin-right: 6px;
}
</style>
