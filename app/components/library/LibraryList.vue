<script setup lang="ts">
import { mdiArrowLeft, mdiDownloadOutline, mdiFileUploadOutline } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import type { ListLine, ListPhrase } from '../../../shared/lists'
import type { PhraseRow } from '../../../shared/phrases'
import { inDigits } from '../../../core/text/inWords'
import { api, EVERY_REGION, ApiProblem, messageOf } from '~/composables/api'
import { useAssessing } from '~/composables/assessing'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

type OneList = ListLine & { rows: (ListPhrase & { row: PhraseRow | null })[] }

/** Rows fetched in one go. */
const PAGE = 500
const props = defineProps<{ id: string }>()
const emit = defineEmits<{ back: [] }>()
const workspace = useWorkspace()
const brief = useBrief()
const tray = useTray()
const notices = useNotices()
const one = shallowRef<OneList | null>(null)
const problem = ref('')
const chosen = ref<string[]>([])
const region = computed(() => brief.fields?.region ?? workspace.current?.region ?? null)
const language = computed(() => workspace.language)
const file = ref<HTMLInputElement | null>(null)
const { progress, left, busy, send, stop } = useImporting()

const assessing = useAssessing()
const { done, total, running, left: assessLeft, problem: assessProblem } = assessing

/** Answers that come late are to a question nobody asks any more. */
let asked = 0
async function load(rows = PAGE) {
  problem.value = ''
  const mine = ++asked
  try {
    let got: OneList | null = null
    for (let offset = 0; offset < rows; offset += PAGE) {
      const next: OneList = await api('GET /api/lists/:id', {
        params: { id: props.id },
        query: {
          region: region.value ?? EVERY_REGION,
          language: language.value,
          workspace: workspace.id,
          limit: PAGE,
          offset,
        },
      })
      got = got ? { ...next, rows: [...got.rows, ...next.rows] } : next
      if (next.rows.length < PAGE || mine !== asked) break
    }
    if (mine === asked) one.value = got
  } catch (error) {
    if (mine === asked) problem.value = messageOf(error)
  }
}
const refresh = () => load(Math.max(PAGE, one.value?.rows.length ?? 0))
watch(
  () => [workspace.id, props.id, region.value],
  () => {
    chosen.value = []
    void load()
  },
  { immediate: true },
)

const attempt = useMutation(refresh)
/** One after the other: the second is made from what the first has saved. */
let saving = Promise.resolve()
const change = (body: Record<string, unknown>, revision?: number): Promise<void> =>
  (saving = saving.then(() =>
    attempt(async () => {
      try {
        await api('PATCH /api/lists/:id', {
          params: { id: props.id },
          body: { language: language.value, revision: revision ?? one.value?.revision, ...body },
        })
      } catch (error) {
        if (!(error instanceof ApiProblem) || error.status !== 409) throw error
        // What was typed is in the notice's way on; what the other window wrote is shown meanwhile.
        const { list } = error.details as { list: ListLine }
        notices.show(`${error.message} The other version is shown.`, {
          serious: true,
          undoLabel: 'Keep mine',
          undo: () => change(body, list.revision),
        })
      }
    }),
  ))
function takeOut() {
  const remove = [...chosen.value]
  const { id } = props
  saving = saving.then(() =>
    attempt(async () => {
      const { name, taken } = await api('PATCH /api/lists/:id', {
        params: { id },
        body: { language: language.value, remove },
      })
      chosen.value = []
      notices.show(`${counted(taken.length, 'phrase')} removed from “${name}”.`, {
        undo: async () => {
          // Into the list they were taken from, whichever is open by now.
          await api('PATCH /api/lists/:id', { params: { id }, body: { language: language.value, putBack: taken } })
          await refresh()
        },
      })
    }),
  )
}
/** Shown phrases whose page nobody has looked at. */
const unassessed = computed(
  () => one.value?.rows.filter(({ row }) => row?.difficulty == null).map(({ phrase }) => phrase) ?? [],
)
const shownText = computed(() => {
  const { rows, phrases } = one.value!
  const all = counted(phrases, 'phrase')
  return rows.length < phrases ? `The first ${inDigits(rows.length)} of ${all}, sorted within these. ` : `${all}. `
})
async function assess() {
  await assessing.start(unassessed.value, {
    region: region.value,
    language: language.value,
    title: `Phrases of “${one.value!.name}”`,
  })
  await refresh()
}
async function importInto(event: Event) {
  const given = (event.target as HTMLInputElement).files?.[0]
  if (!given) return
  await attempt(async () => {
    const answer = await send('POST /api/import/phrases', given, {
      region: region.value,
      language: language.value,
      name: given.name.slice(0, 120),
      list: props.id,
    })
    if (!answer) notices.show('Stopped. The rows read so far are in the list. Import the file again to add the rest.')
    else
      notices.show(
        `${counted(answer.accepted + answer.updated, 'phrase')} read from ${given.name}, ${counted(answer.rejected.length + answer.rejectedMore, 'line')} skipped.`,
      )
  })
  if (file.value) file.value.value = ''
}
function toTray() {
  tray.add(chosen.value)
  chosen.value = []
}
</script>

<template>
  <div v-if="problem && !one" class="sheet state" role="alert">
    <p>{{ problem }}</p>
    <div><v-btn variant="tonal" @click="refresh">Try again</v-btn> <v-btn @click="emit('back')">All lists</v-btn></div>
  </div>
  <v-skeleton-loader v-else-if="!one" type="table-row@4" class="sheet" />
  <template v-else>
    <div class="head">
      <v-btn size="small" :prepend-icon="mdiArrowLeft" @click="emit('back')">All lists</v-btn>
      <v-text-field
        :model-value="one.name"
        label="Name"
        maxlength="120"
        class="name"
        @change="change({ name: ($event.target as HTMLInputElement).value })"
      />
      <v-text-field
        :model-value="one.note"
        label="Note"
        maxlength="4000"
        class="grow"
        @change="change({ note: ($event.target as HTMLInputElement).value })"
      />
      <v-btn size="small" :prepend-icon="mdiFileUploadOutline" :disabled="busy" @click="file?.click()"
        >Import into list</v-btn
      ><input
        ref="file"
        type="file"
        accept=".csv,.tsv,.txt,.json,.jsonl"
        class="unseen"
        tabindex="-1"
        aria-label="File to import"
        @change="importInto"
      />
      <v-btn
        size="small"
        :prepend-icon="mdiDownloadOutline"
        :href="`/api/lists/${one.id}/export?format=csv&region=${region ?? ''}`"
        download
        >CSV</v-btn
      ><v-btn
        size="small"
        :prepend-icon="mdiDownloadOutline"
        :href="`/api/lists/${one.id}/export?format=json&region=${region ?? ''}`"
        download
        >JSON</v-btn
      >
    </div>
    <ShellImporting :progress="progress" :left="left"
      ><v-btn size="small" variant="tonal" @click="stop">Stop</v-btn></ShellImporting
    >
    <div class="status">
      <p class="small muted" data-test="list-shown">
        {{ shownText
        }}<button
          v-if="one.rows.length < one.phrases"
          class="plain link"
          data-test="list-more"
          @click="load(one.rows.length + PAGE)"
        >
          Show more
        </button>
      </p>
      <DemandProgress
        v-if="running || assessProblem"
        :done="done"
        :total="total"
        :left="assessLeft"
        :running="running"
        :problem="assessProblem"
        @stop="assessing.stop()"
      />
      <p v-else-if="unassessed.length" class="small muted">
        {{ counted(unassessed.length, 'phrase') }} without difficulty.
        <button class="plain link" data-test="list-assess" @click="assess">Load their figures</button>
      </p>
    </div>
    <LibraryListTable
      v-model="chosen"
      :rows="one.rows"
      @note="(phrase, note) => change({ notes: { [phrase]: note } })"
    />
    <div v-if="chosen.length" class="sheet actions">
      <strong class="figure">{{ chosen.length }}</strong> selected
      <v-btn variant="flat" color="primary" :disabled="!brief.brief" @click="toTray">Add to tray</v-btn
      ><v-btn @click="takeOut">Remove</v-btn>
    </div>
  </template>
</template>

<style scoped>
.head {
  display: flex;
  gap: 10px;
  align-items: center;
}
.name {
  flex: 0 0 240px;
}
.grow {
  flex: 1;
}
.status {
  display: flex;
  gap: 14px;
  align-items: center;
  min-height: 24px;
}
.actions {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 12px;
}
.state {
  padding: 28px;
  display: grid;
  gap: 10px;
  justify-items: start;
}
.link {
  color: var(--teal);
  text-decoration: underline;
}
</style>
