<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue'
import { inDigits } from '../../../core/text/inWords'
import type { QueryOf } from '../../../shared/api'
import type { DaysImported } from '../../../shared/imports'
import { ApiProblem, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { columnsMatched, columnsRead } from '~/composables/importColumns'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

type Columns = Partial<Record<string, number>>
type Call = 'POST /api/import/analytics' | 'POST /api/import/earned'

/** A table with a line for each day, of one video or of several. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  call: Call
  title: string
  named: string
  columns: readonly string[]
  names: Record<string, string>
  /** What a line of it is called. */
  line: string
  recognise: (headers: readonly string[]) => Columns | null
  /** Said where columns are not recognised. */
  unnamed: string
  /** What is still missing where columns are matched by hand; '' where nothing is. */
  missing: (map: Columns) => string
  /** The video of lines that name none. */
  video?: string | undefined
}>()
const emit = defineEmits<{ imported: [] }>()
const notices = useNotices()
const workspace = useWorkspace()
const file = ref<File | null>(null)
const { progress, left, busy, send: sendFile, stop } = useImporting()
const problem = ref('')
const answer = shallowRef<DaysImported | null>(null)
const unknown = shallowRef<{ headers: string[]; sample: string[][] } | null>(null)
const mapped = shallowRef<Columns>({})
const dates = ref<'dmy' | 'mdy' | null>(null)
/** A day that can be read in two ways, where the file leaves it open. */
const unclear = ref('')
const decimal = ref<'.' | ',' | null>(null)
watch(file, () => {
  problem.value = ''
  answer.value = null
  unknown.value = null
  mapped.value = {}
  dates.value = null
  unclear.value = ''
})
watch(open, now => {
  if (now || !busy.value) return
  stop()
  notices.show('Stopped. What was read so far is saved. Import the file again to add the rest.')
  emit('imported')
})
const DECIMALS = [
  { value: null, title: 'As the file shows' },
  { value: '.', title: 'Point: 1.5' },
  { value: ',', title: 'Comma: 1,5' },
]
const ORDERS = [
  { value: 'dmy', title: 'Day first' },
  { value: 'mdy', title: 'Month first' },
]

async function send() {
  if (!file.value) {
    problem.value = 'Choose a file first.'
    return
  }
  if (unknown.value && props.missing(mapped.value)) {
    problem.value = props.missing(mapped.value)
    return
  }
  if (unclear.value && !dates.value) {
    problem.value = 'Say which comes first, the day or the month.'
    return
  }
  problem.value = ''
  try {
    const got = await sendFile(props.call, file.value, {
      workspace: workspace.id,
      videoId: props.video,
      columns: columnsMatched(mapped.value),
      dates: dates.value ?? undefined,
      decimal: decimal.value ?? undefined,
      zone: workspace.current?.timeZone,
      name: file.value.name.slice(0, 120),
    } as QueryOf<Call>)
    if (!got) return
    answer.value = got
    emit('imported')
  } catch (error) {
    if (error instanceof ApiProblem && error.code === 'unknown-columns') {
      unknown.value = error.details as { headers: string[]; sample: string[][] }
      mapped.value = props.recognise(unknown.value.headers) ?? {}
    } else {
      if (error instanceof ApiProblem && error.code === 'unknown-order')
        unclear.value = (error.details as { example: string }).example
      problem.value = messageOf(error)
    }
  }
}
</script>

<template>
  <ShellImportDialog
    v-model="open"
    v-model:file="file"
    :title="title"
    :named="named"
    accept=".csv,.tsv,.txt,text/csv"
    :problem="problem"
    :progress="progress"
    :left="left"
    :done="answer !== null"
    @send="send"
  >
    <template #intro><slot /></template>
    <div v-if="unknown" class="mt-4" :data-test="`${named}-mapping`">
      <p class="mb-2">{{ unnamed }} Match the columns.</p>
      <ShellColumns v-model="mapped" v-bind="unknown" :columns="columns" :names="names" />
    </div>
    <div v-if="unclear || unknown" class="ways mt-4">
      <v-select v-if="unclear" v-model="dates" :items="ORDERS" :label="`In ${unclear}`" :data-test="`${named}-order`" />
      <v-select v-model="decimal" :items="DECIMALS" label="Decimals" :data-test="`${named}-decimal`" />
    </div>
    <template v-if="answer" #answer>
      <p>
        <strong>{{ counted(answer.accepted, line) }}</strong> new,
        <strong>{{ inDigits(answer.updated) }}</strong> updated, of {{ counted(answer.videos.length, 'video') }};
        <strong>{{ counted(answer.rejected.length + answer.rejectedMore, 'line') }}</strong> skipped.
        <template v-if="answer.totals">Totals are left out: {{ counted(answer.totals, 'line') }}.</template>
      </p>
      <p class="muted small">Read as: {{ columnsRead(answer.columns, names) }}.</p>
      <ShellRefused :rejected="answer.rejected" :more="answer.rejectedMore" />
    </template>
  </ShellImportDialog>
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 10px;
}
</style>
