<script setup lang="ts">
import { ref, watch } from 'vue'
import { guessColumns, LIST_COLUMNS, recogniseColumns, type ListColumn } from '../../../core/formats/phraseList'
import type { ImportAnswer } from '../../../shared/phrases'
import { inDigits } from '../../../core/text/inWords'
import { ApiProblem, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { columnsMatched, columnsRead } from '~/composables/importColumns'
import { useNotices } from '~/stores/notices'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{ region: string | null; language: string; dropped: File | null }>()
const emit = defineEmits<{ imported: [] }>()
const notices = useNotices()
const file = ref<File | null>(null)
const region = ref<string | null>(props.region)
const language = ref(props.language)
const { progress, left, busy, send: sendFile, stop } = useImporting()
const problem = ref('')
const answer = ref<ImportAnswer | null>(null)
const unknown = ref<{ headers: string[]; sample: string[][] } | null>(null)
const mapped = ref<Partial<Record<ListColumn, number>>>({})

watch(
  open,
  now => {
    if (!now) {
      if (busy.value) {
        notices.show('Stopped. The rows read so far are saved. Import the list again to add the rest.')
        emit('imported')
      }
      return stop()
    }
    file.value = props.dropped
    region.value = props.region
    language.value = props.language
    forget()
    if (file.value) void send()
  },
  { immediate: true },
)
watch(file, forget)

function forget() {
  problem.value = ''
  answer.value = null
  unknown.value = null
  mapped.value = {}
}

const NAMES: Record<ListColumn, string> = {
  phrase: 'Phrase',
  volume: 'Searches a month',
  region: 'Region',
  change: 'Change',
  competition: 'Competing videos',
  advertiser: 'Advertiser interest',
  months: 'Months',
}
async function send() {
  if (!file.value) {
    problem.value = 'Choose a file first, or drop one here.'
    return
  }
  if (unknown.value && mapped.value.phrase === undefined) {
    problem.value = 'Choose the column that contains the phrases.'
    return
  }
  const columns = unknown.value ? columnsMatched(mapped.value) : ''
  problem.value = ''
  try {
    const got = await sendFile('POST /api/import/phrases', file.value, {
      region: region.value,
      language: language.value,
      columns,
      ...(columns ? {} : { ask: '1' }),
      name: file.value.name.slice(0, 120),
    })
    if (!got) return
    answer.value = got
    unknown.value = null
    emit('imported')
  } catch (error) {
    if (error instanceof ApiProblem && error.code === 'unknown-columns') {
      unknown.value = error.details as { headers: string[]; sample: string[][] }
      const { headers, sample } = unknown.value
      mapped.value = { ...guessColumns(sample), ...recogniseColumns(headers) }
    } else problem.value = messageOf(error)
  }
}
</script>

<template>
  <ShellImportDialog
    v-model="open"
    v-model:file="file"
    title="Import a list of phrases"
    named="import"
    accept=".csv,.tsv,.txt,.json,.jsonl,text/csv,application/json"
    :problem="problem"
    :progress="progress"
    :left="left"
    :done="answer !== null"
    @send="send"
  >
    <template #intro
      >CSV, TSV or JSON with a header row: a column for the phrase and, if you have it, one for monthly searches.
      Figures from other sources are kept, each with its source and date.</template
    >
    <ShellRegion v-model="region" class="mt-4" />
    <ShellLanguage v-model="language" class="mt-4" />
    <div v-if="unknown" class="mt-4" data-test="import-mapping">
      <p class="mb-2">
        {{
          recogniseColumns(unknown.headers)
            ? 'No column is named as searches. Match the columns below, or leave them as they are.'
            : 'No column is named as the phrase. Match the columns below; a guess is filled in.'
        }}
      </p>
      <ShellColumns v-model="mapped" v-bind="unknown" :columns="LIST_COLUMNS" :names="NAMES" />
    </div>
    <template v-if="answer" #answer>
      <p>
        <strong>{{ counted(answer.accepted, 'phrase') }}</strong> new,
        <strong>{{ inDigits(answer.updated) }}</strong> updated,
        <strong>{{ counted(answer.rejected.length + answer.rejectedMore, 'line') }}</strong> skipped.
      </p>
      <p class="muted small">Read as: {{ columnsRead(answer.columns, NAMES) }}.</p>
      <ShellRefused :rejected="answer.rejected" :more="answer.rejectedMore" />
    </template>
  </ShellImportDialog>
</template>
