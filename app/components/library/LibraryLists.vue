<script setup lang="ts">
import { mdiArrowLeft, mdiDeleteOutline, mdiDownloadOutline, mdiFileUploadOutline } from '@mdi/js'
import { computed, ref, shallowRef, watch } from 'vue'
import type { ListLine, ListPhrase } from '../../../shared/lists'
import type { ImportAnswer, PhraseRow } from '../../../shared/phrases'
import { api, messageOf } from '~/composables/api'
import { ago, counted, inFull, rounded, UNKNOWN } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { EVERY_REGION } from '~/stores/demand'
import { useNotices } from '~/stores/notices'
import { useTray } from '~/stores/tray'
import { useWorkspace } from '~/stores/workspace'

type OneList = ListLine & { rows: (ListPhrase & { row: PhraseRow | null })[] }

const route = useRoute()
const address = useAddress()
const workspace = useWorkspace()
const brief = useBrief()
const tray = useTray()
const notices = useNotices()
const lists = ref<ListLine[] | null>(null)
const problem = ref('')
const name = ref('')
const picked = ref<string[]>([])
const id = computed(() => typeof route.query.list === 'string' ? route.query.list : null)
const one = shallowRef<OneList | null>(null)
const chosen = ref<string[]>([])
const region = computed(() => brief.fields?.region ?? workspace.current?.region ?? null)
const language = computed(() => brief.fields?.language ?? 'en')
const file = ref<HTMLInputElement | null>(null)
const { progress, left, busy, send: sendFile, stop } = useImporting()

async function refresh() {
  problem.value = ''
  try {
    lists.value = (await api<{ lists: ListLine[] }>('/api/lists', { query: { workspace: workspace.id } })).lists
    if (id.value) one.value = await api<OneList>(`/api/lists/${id.value}`, { query: { region: region.value ?? EVERY_REGION, language: language.value, workspace: workspace.id } })
    else one.value = null
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(() => [workspace.id, id.value, region.value], () => { chosen.value = []; void refresh() }, { immediate: true })

async function attempt(work: () => Promise<unknown>) {
  try {
    await work()
    await refresh()
  } catch (error) {
    notices.tell(messageOf(error), { serious: true })
  }
}
const make = (body: Record<string, unknown>) => attempt(async () => {
  const made = await api<ListLine>('/api/lists', { method: 'POST', body: { workspace: workspace.id, language: language.value, ...body } })
  notices.tell(`“${made.name}” made, with ${counted(made.phrases, 'phrase')}.`, { undo: () => attempt(() => api(`/api/lists/${made.id}`, { method: 'DELETE' })) })
  picked.value = []
})
function makeNew() {
  if (!name.value.trim()) { problem.value = 'Give the list a name.'; return }
  void make({ name: name.value.trim() })
  name.value = ''
}
const nameOf = (list: string) => lists.value?.find(each => each.id === list)?.name ?? ''
const remove = (list: ListLine) => attempt(async () => {
  await api(`/api/lists/${list.id}`, { method: 'DELETE' })
  notices.tell(`“${list.name}” deleted.`, { undo: () => attempt(() => api(`/api/lists/${list.id}/restore`, { method: 'POST' })) })
})
const change = (body: Record<string, unknown>) => attempt(() => api(`/api/lists/${id.value}`, { method: 'PATCH', body: { language: language.value, ...body } }))
function takeOut() {
  const phrases = [...chosen.value]
  void change({ remove: phrases })
  chosen.value = []
  notices.tell(`${counted(phrases.length, 'phrase')} taken out.`, { undo: () => change({ add: phrases }) })
}
async function importInto(event: Event) {
  const given = (event.target as HTMLInputElement).files?.[0]
  if (!given) return
  await attempt(async () => {
    const answer = await sendFile<ImportAnswer>('/api/import/phrases', given, { region: region.value, language: language.value, name: given.name.slice(0, 120), list: id.value! })
    if (!answer) notices.tell('Stopped. What was read by then is in the list; importing the file again takes the rest.')
    else notices.tell(`${counted(answer.accepted + answer.updated, 'phrase')} read from ${given.name}, ${counted(answer.rejected.length + answer.rejectedMore, 'line')} left out.`)
  })
  file.value!.value = ''
}
</script>

<template>
  <div class="lists">
    <div v-if="problem && !lists" class="sheet state" role="alert"><p>{{ problem }}</p><v-btn variant="tonal" @click="refresh">Try again</v-btn></div>
    <v-skeleton-loader v-else-if="!lists" type="table-row@4" class="sheet" />
    <template v-else-if="id && one">
      <div class="head">
        <v-btn size="small" :prepend-icon="mdiArrowLeft" @click="address({ list: undefined }, true)">All lists</v-btn>
        <v-text-field :model-value="one.name" label="Name" maxlength="120" class="name" @change="change({ name: ($event.target as HTMLInputElement).value })" />
        <v-text-field :model-value="one.note" label="Note" maxlength="4000" class="grow" @change="change({ note: ($event.target as HTMLInputElement).value })" />
        <v-btn size="small" :prepend-icon="mdiFileUploadOutline" :disabled="busy" @click="file?.click()">Import into it</v-btn><input ref="file" type="file" accept=".csv,.tsv,.txt,.json,.jsonl" class="unseen" tabindex="-1" aria-label="File to import" @change="importInto">
        <v-btn size="small" :prepend-icon="mdiDownloadOutline" :href="`/api/lists/${one.id}/export?format=csv&region=${region ?? ''}`" download>CSV</v-btn><v-btn size="small" :prepend-icon="mdiDownloadOutline" :href="`/api/lists/${one.id}/export?format=json&region=${region ?? ''}`" download>JSON</v-btn>
      </div>
      <ShellImporting :progress="progress" :left="left"><v-btn size="small" variant="tonal" @click="stop">Stop</v-btn></ShellImporting>
      <div class="sheet frame"><table data-test="list-phrases" aria-label="Phrases of the list">
        <thead><tr><th scope="col"><span class="unseen">Pick</span></th><th scope="col">Phrase</th><th scope="col" class="end">Searches</th><th scope="col" class="end">Difficulty</th><th scope="col" class="end">Worth</th><th scope="col">Note</th></tr></thead>
        <tbody><tr v-for="each in one.rows" :key="each.phrase"><td><input v-model="chosen" type="checkbox" :value="each.phrase" :aria-label="`Pick ${each.phrase}`"></td><td>{{ each.phrase }}</td><td class="end figure" :title="inFull(each.row?.volume ?? null)">{{ rounded(each.row?.volume) }}</td><td class="end figure">{{ each.row?.difficulty == null ? UNKNOWN : Math.round(each.row.difficulty) }}</td><td class="end figure">{{ each.row?.worth[workspace.whom] == null ? UNKNOWN : Math.round(each.row.worth[workspace.whom]!) }}</td><td><input class="note" :value="each.note" maxlength="4000" :aria-label="`Note on ${each.phrase}`" placeholder="note" @change="change({ notes: { [each.phrase]: ($event.target as HTMLInputElement).value } })"></td></tr></tbody>
      </table><p v-if="!one.rows.length" class="muted empty">No phrases yet. Select some on the Demand screen and press <em>To a list</em>, or import a file.</p></div>
      <div v-if="chosen.length" class="sheet actions"><strong class="figure">{{ chosen.length }}</strong> picked <v-btn variant="flat" color="primary" :disabled="!brief.brief" @click="tray.add(chosen); chosen = []">To the tray</v-btn><v-btn @click="takeOut">Take out</v-btn></div>
    </template>
    <template v-else>
      <div class="head"><v-text-field v-model="name" label="New list" maxlength="120" class="name" :error-messages="problem" data-test="list-name" @keydown.enter="makeNew" /><v-btn variant="flat" color="primary" @click="makeNew">Make it</v-btn><v-spacer />
        <template v-if="picked.length === 2"><v-btn variant="tonal" data-test="merge" @click="make({ name: `${nameOf(picked[0]!)} + ${nameOf(picked[1]!)}`.slice(0, 120), from: { how: 'merge', first: picked[0], second: picked[1] } })">Merge the two</v-btn><v-btn variant="tonal" data-test="subtract" @click="make({ name: `${nameOf(picked[0]!)} without ${nameOf(picked[1]!)}`.slice(0, 120), from: { how: 'subtract', first: picked[0], second: picked[1] } })">First without second</v-btn></template>
        <span v-else class="small muted">Pick two to merge or subtract them.</span></div>
      <div class="sheet frame"><table v-if="lists.length" data-test="lists" aria-label="Phrase lists"><thead><tr><th scope="col"><span class="unseen">Pick</span></th><th scope="col">List</th><th scope="col">Note</th><th scope="col" class="end">Phrases</th><th scope="col" class="end">Changed</th><th scope="col"><span class="unseen">Do</span></th></tr></thead>
                                 <tbody><tr v-for="list in lists" :key="list.id"><td><input v-model="picked" type="checkbox" :value="list.id" :disabled="picked.length === 2 && !picked.includes(list.id)" :aria-label="`Pick ${list.name}`"></td><td><NuxtLink :to="{ query: { ...route.query, list: list.id } }" data-test="open-list">{{ list.name }}</NuxtLink></td><td class="muted">{{ list.note }}</td><td class="end figure">{{ list.phrases }}</td><td class="end">{{ ago(list.updatedAt) }}</td><td class="end"><v-btn size="small" :icon="mdiDeleteOutline" :aria-label="`Delete ${list.name}`" @click="remove(list)" /></td></tr></tbody></table>
        <p v-else class="muted empty">No lists yet. A list keeps phrases across briefs: ideas for later, a client’s words, what was bought in. Name one above, or select phrases on the Demand screen.</p></div>
    </template>
  </div>
</template>

<style scoped>
.lists { flex: 1; min-height: 0; display: flex; flex-direction: column; gap: 10px; }
.head { display: flex; gap: 10px; align-items: center; }
.name { flex: 0 0 240px; }
.grow { flex: 1; }
.frame { flex: 1; min-height: 0; overflow: auto; }
table { width: 100%; border-collapse: collapse; }
th, td { text-align: start; padding: 5px 10px; border-bottom: 1px solid var(--line); }
th { position: sticky; top: 0; background: var(--paper); color: var(--muted); font-size: 12px; z-index: 1; }
th:first-child { width: 36px; }
.end { text-align: end; }
a { font-weight: 600; color: var(--ink); text-underline-offset: 3px; }
.note { width: 100%; border: 0; border-bottom: 1px dotted var(--line); background: transparent; color: inherit; font: inherit; }
.actions { display: flex; gap: 8px; align-items: center; padding: 6px 12px; }
.empty, .state { padding: 28px; display: grid; gap: 10px; justify-items: start; }
input[type=checkbox] { accent-color: var(--teal); }
</style>
