<script setup lang="ts">
import { mdiStop } from '@mdi/js'
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { CHECKS } from '../../../core/draft/checks'
import { inDigits } from '../../../core/text/inWords'
import type { AuditRow } from '../../../shared/audit'
import { counted } from '~/composables/figures'
import { typing } from '~/composables/shellKeys'
import { useAudit } from '~/stores/audit'

/** Videos that are out, what better words would bring most first: a queue that is worked off. */
const audit = useAudit()
const route = useRoute()
const address = useAddress()
const titles = new Map(CHECKS.map(({ id, title }) => [id, title]))
const withOff = ref(false)
const contains = ref('')
let end: () => void
onMounted(() => {
  end = audit.follow()
})
onBeforeUnmount(() => {
  end()
})

const UNKNOWN_LAST = -1e15
const lines = computed(() => {
  const wanted = contains.value.trim().toLowerCase()
  return audit.rows
    .filter(({ off, title, lead }) => (withOff.value || !off) && `${title} ${lead}`.toLowerCase().includes(wanted))
    .map(row => ({
      row,
      id: row.videoId,
      title: row.title,
      searches: row.searches ?? UNKNOWN_LAST,
      rank: row.rank ? (row.rank.rank ?? 1e6) : 2e6,
      percent: row.percent ?? UNKNOWN_LAST,
      words: row.words?.expected ?? UNKNOWN_LAST,
    }))
})
/** No sum of views: two videos for one phrase do not both rise. */
const helped = computed(() => lines.value.filter(({ row }) => row.words && row.words.expected > 0).length)
const unknown = computed(() => lines.value.filter(({ row }) => row.words === null).length)
const sortBy = ref<{ key: string; order: 'asc' | 'desc' }[]>([{ key: 'words', order: 'desc' }])
/** In the order in which they stand. */
const ordered = computed(() => {
  const [by] = sortBy.value
  if (!by) return lines.value
  const key = by.key as 'title' | 'searches' | 'rank' | 'percent' | 'words'
  const way = by.order === 'asc' ? 1 : -1
  return [...lines.value].sort((a, b) => way * (a[key] < b[key] ? -1 : a[key] > b[key] ? 1 : 0))
})
const chosen = computed<AuditRow | null>(
  () =>
    (
      ordered.value.find(({ id }) => id === route.query.video) ??
      // The one in the address may still come.
      (audit.running && route.query.video ? undefined : ordered.value[0])
    )?.row ?? null,
)
const show = (id: string | undefined) => address({ video: id })

/** The next video, or the one before; at the end it stays. */
async function step(by: number) {
  const at = ordered.value.findIndex(({ id }) => id === chosen.value?.videoId)
  const to = ordered.value[Math.max(0, Math.min(ordered.value.length - 1, at + by))]
  if (!to) return
  await show(to.id)
  await nextTick()
  document.querySelector(`[data-mend="${CSS.escape(to.id)}"]`)?.scrollIntoView({ block: 'nearest' })
}
async function putOff(row: AuditRow) {
  const at = ordered.value.findIndex(({ id }) => id === row.videoId)
  const next = ordered.value[at + 1] ?? ordered.value[at - 1]
  await audit.putOff(row)
  if (!withOff.value) await show(next?.id)
}
const panel = ref<{ open: () => void } | null>(null)
function onKey(event: KeyboardEvent) {
  if (event.defaultPrevented || event.altKey || event.ctrlKey || event.metaKey || typing(event.target)) return
  const does = {
    j: () => step(1),
    k: () => step(-1),
    x: () => chosen.value && !chosen.value.off && putOff(chosen.value),
    e: () => panel.value?.open(),
  }[event.key]
  if (!does) return
  event.preventDefault()
  void does()
}
onMounted(() => {
  document.addEventListener('keydown', onKey)
})
onBeforeUnmount(() => {
  document.removeEventListener('keydown', onKey)
})
const LEADS = {
  brief: 'The lead of its brief',
  watch: 'What it is watched for',
  tag: 'A tag that stands in its title',
  title: 'A known phrase in its title',
} as const
</script>

<template>
  <div class="head">
    <v-text-field
      label="Find a video"
      density="compact"
      hide-details
      clearable
      maxlength="100"
      class="find"
      data-test="mend-find"
      :model-value="contains"
      @update:model-value="contains = $event ?? ''"
    />
    <ShellRuleSet v-model="audit.ruleSet" class="set" data-test="mend-set" />
    <label class="small"><input v-model="withOff" type="checkbox" data-test="mend-off-too" /> Show those put off</label>
    <p class="small muted told" role="status" data-test="mend-told">
      <template v-if="audit.running">
        <template v-if="audit.progress"
          >{{ inDigits(audit.progress.done) }} of {{ counted(audit.progress.of, 'video') }}
          {{ audit.progress.what }}.</template
        ><template v-else>Looking at your videos…</template>
      </template>
      <template v-else-if="audit.rows.length"
        >{{ counted(lines.length, 'video')
        }}<template v-if="audit.rows.length < audit.all"
          >, {{ inDigits(audit.rows.length) }} of {{ inDigits(audit.all) }} looked at</template
        >; better words would bring views to {{ inDigits(helped) }} of them<template v-if="unknown"
          >, not known for {{ inDigits(unknown) }}</template
        >.</template
      >
    </p>
    <v-btn
      v-if="audit.running"
      size="small"
      variant="outlined"
      :prepend-icon="mdiStop"
      data-test="mend-stop"
      @click="audit.stop()"
      >Stop</v-btn
    >
  </div>
  <ShellFailed v-if="audit.problem" :problem="audit.problem" @again="audit.load()" />
  <v-skeleton-loader v-if="audit.running && !audit.rows.length" type="table-row@6" class="sheet" />
  <div v-else-if="!audit.rows.length && !audit.problem" class="sheet state" data-test="mend-empty">
    <h2>No videos to mend</h2>
    <ShellChooseChannel />
  </div>
  <div v-else-if="audit.rows.length" class="both">
    <RanksMendTable v-model:sort-by="sortBy" :lines="lines" :chosen="chosen?.videoId ?? ''" @show="show" />
    <RanksMendPanel
      v-if="chosen"
      ref="panel"
      :key="chosen.videoId"
      class="sheet panel"
      :row="chosen"
      :lacks="chosen.lacks ? titles.get(chosen.lacks.check)! : ''"
      :lead-from="chosen.leadFrom ? LEADS[chosen.leadFrom] : ''"
      @off="putOff(chosen)"
      @step="step"
    />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 14px;
}
.find {
  flex: 0 1 200px;
}
.set {
  flex: 0 0 160px;
}
.told {
  flex: 1 1 200px;
}
.both {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 310px;
  gap: 10px;
}
.panel {
  min-height: 0;
  overflow: auto;
}
@media (max-width: 1100px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: minmax(180px, 1fr) auto;
  }
  .panel {
    max-height: 44vh;
  }
}
</style>
