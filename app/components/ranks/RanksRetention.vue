<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { decodeText } from '../../../core/formats/encoding'
import {
  readRetention,
  RETENTION_COLUMNS,
  type RetentionColumn,
  type RetentionColumnMap,
} from '../../../core/formats/retentionTable'
import { messageOf } from '~/composables/api'
import { counted, percent } from '~/composables/figures'
import { useViews } from '~/stores/views'
import { useWorkspace } from '~/stores/workspace'

/** How far the video is watched, from a table. It is small: it is read here. */
const open = defineModel<boolean>({ required: true })
/** How long the video is; `null` where that is not known. */
const props = defineProps<{ seconds: number | null }>()
const MOST_BYTES = 4_000_000
const NAMES: Record<RetentionColumn, string> = { position: 'Point in the video', stays: 'Viewers still there' }
const views = useViews()
const workspace = useWorkspace()
const file = ref<File | null>(null)
const problem = ref('')
const unknown = shallowRef<{ headers: string[]; sample: string[][] } | null>(null)
const mapped = shallowRef<RetentionColumnMap>({})
const answer = shallowRef<{ tenths: number[]; lines: number } | null>(null)
watch(file, () => {
  problem.value = ''
  unknown.value = null
  mapped.value = {}
  answer.value = null
})

async function send() {
  if (!file.value) return void (problem.value = 'Choose a file first.')
  if (file.value.size > MOST_BYTES) return void (problem.value = 'The file is too large for a table of one video.')
  problem.value = ''
  try {
    const { text } = decodeText(new Uint8Array(await file.value.arrayBuffer()), workspace.current?.language ?? 'en')
    const { position, stays } = mapped.value
    if (unknown.value && (position === undefined || stays === undefined))
      return void (problem.value = 'Choose both columns.')
    const read = readRetention(text, unknown.value && mapped.value, props.seconds)
    if ('headers' in read) {
      unknown.value = read
      return
    }
    if ('problem' in read) problem.value = read.line ? `Line ${read.line}: ${read.problem}` : read.problem
    else if (await views.saveRetention(read.tenths, file.value.name.slice(0, 120))) answer.value = read
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <ShellImportDialog
    v-model="open"
    v-model:file="file"
    title="Import audience retention"
    named="retention"
    accept=".csv,.tsv,.txt,text/csv"
    :problem="problem"
    :progress="null"
    :left="null"
    :done="answer !== null"
    @send="send"
  >
    <template #intro
      >CSV or TSV with a line for each point in the video, as a part, in percent, in seconds or as 1:30, and the part of
      viewers still there.</template
    >
    <div v-if="unknown" class="mt-4" data-test="retention-mapping">
      <p class="mb-2">The columns are not recognised. Match them.</p>
      <ShellColumns v-model="mapped" v-bind="unknown" :columns="RETENTION_COLUMNS" :names="NAMES" />
    </div>
    <template v-if="answer" #answer>
      <p>
        Read from {{ counted(answer.lines, 'line') }}: {{ percent(answer.tenths[5]!) }} of viewers are still there at
        half of the video, {{ percent(answer.tenths[10]!) }} at its end.
      </p>
    </template>
  </ShellImportDialog>
</template>
