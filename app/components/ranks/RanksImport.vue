<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { DAY_COLUMNS, recogniseDayColumns, type DayColumn, type DayColumnMap } from '../../../core/formats/dayColumns'
import { inDigits } from '../../../core/text/inWords'
import type { DaysImported } from '../../../shared/imports'
import { ApiProblem, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { columnsMatched, columnsRead } from '~/composables/importColumns'
import { useNotices } from '~/stores/notices'
import { useRanks } from '~/stores/ranks'
import { useWorkspace } from '~/stores/workspace'

/** A table with a line for each day, of this video or of several. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ video: string }>()
const emit = defineEmits<{ imported: [] }>()
const ranks = useRanks()
const notices = useNotices()
const workspace = useWorkspace()
const file = ref<File | null>(null)
const { progress, left, busy, send: sendFile, stop } = useImporting()
const problem = ref('')
const answer = shallowRef<DaysImported | null>(null)
const unknown = shallowRef<{ headers: string[]; sample: string[][] } | null>(null)
const mapped = ref<DayColumnMap>({})
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
  notices.show('Stopped. The days read so far are saved. Import the file again to add the rest.')
  emit('imported')
})
const title = computed(() => ranks.videos?.find(({ id }) => id === props.video)?.title ?? props.video)
const NAMES: Record<DayColumn, string> = {
  day: 'Day',
  video: 'Video (id or title)',
  impressions: 'Impressions',
  clicks: 'Clicks',
  clickRate: 'Click rate',
  views: 'Views',
  watchedHours: 'Hours watched',
  watchedMinutes: 'Minutes watched',
  watchedSeconds: 'Seconds watched',
  averageView: 'Average time of a view',
  search: 'Views from search',
  suggested: 'Views beside another video',
  subscribers: 'Views from home and feeds',
  web: 'Views from other sites',
  elsewhere: 'Views from elsewhere',
  source: 'Source of the views in a line',
  referrer: 'Name of the other site',
}
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
  if (unknown.value && mapped.value.day === undefined) {
    problem.value = 'Choose the column that contains the days.'
    return
  }
  if (unclear.value && !dates.value) {
    problem.value = 'Say which comes first, the day or the month.'
    return
  }
  problem.value = ''
  try {
    const got = await sendFile('POST /api/import/analytics', file.value, {
      workspace: workspace.id,
      videoId: props.video,
      columns: columnsMatched(mapped.value),
      dates: dates.value ?? undefined,
      decimal: decimal.value ?? undefined,
      zone: workspace.current?.timeZone,
      name: file.value.name.slice(0, 120),
    })
    if (!got) return
    answer.value = got
    emit('imported')
  } catch (error) {
    if (error instanceof ApiProblem && error.code === 'unknown-columns') {
      unknown.value = error.details as { headers: string[]; sample: string[][] }
      mapped.value = recogniseDayColumns(unknown.value.headers) ?? {}
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
    title="Import figures"
    named="figures"
    accept=".csv,.tsv,.txt,text/csv"
    :problem="problem"
    :progress="progress"
    :left="left"
    :done="answer !== null"
    @send="send"
  >
    <template #intro
      >CSV or TSV with a line for each day: views, impressions, clicks, time watched, and where views came from, as far
      as you have them. Lines that name no video are about “{{ title }}”.</template
    >
    <div v-if="unknown" class="mt-4" data-test="figures-mapping">
      <p class="mb-2">No column is named as the day. Match the columns.</p>
      <ShellColumns v-model="mapped" v-bind="unknown" :columns="DAY_COLUMNS" :names="NAMES" />
    </div>
    <div v-if="unclear || unknown" class="ways mt-4">
      <v-select v-if="unclear" v-model="dates" :items="ORDERS" :label="`In ${unclear}`" data-test="figures-order" />
      <v-select v-model="decimal" :items="DECIMALS" label="Decimals" data-test="figures-decimal" />
    </div>
    <template v-if="answer" #answer>
      <p>
        <strong>{{ counted(answer.accepted, 'day') }}</strong> new,
        <strong>{{ inDigits(answer.updated) }}</strong> updated, of {{ counted(answer.videos.length, 'video') }};
        <strong>{{ counted(answer.rejected.length + answer.rejectedMore, 'line') }}</strong> skipped.
        <template v-if="answer.totals">Totals are left out: {{ counted(answer.totals, 'line') }}.</template>
      </p>
      <p class="muted small">Read as: {{ columnsRead(answer.columns, NAMES) }}.</p>
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
