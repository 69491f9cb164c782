<script setup lang="ts">
import { mdiDeleteOutline } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import type { ListLine } from '../../../shared/lists'
import { inDigits } from '../../../core/text/inWords'
import type { BodyOf } from '../../../shared/api'
import { api, messageOf } from '~/composables/api'
import { ago, counted, dateTime } from '~/composables/figures'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const route = useRoute()
const address = useAddress()
const workspace = useWorkspace()
const notices = useNotices()
const lists = ref<ListLine[] | null>(null)
const problem = ref('')
const name = ref('')
const picked = ref<string[]>([])
const id = computed(() => (typeof route.query.list === 'string' ? route.query.list : null))
const language = computed(() => workspace.language)

const HEADERS = [
  { key: 'pick', title: '', sortable: false, width: 44 },
  { key: 'name', title: 'List' },
  { key: 'note', title: 'Note', width: '28%' },
  { key: 'phrases', title: 'Phrases', align: 'end', width: 110 },
  { key: 'updatedAt', title: 'Changed', align: 'end', width: 140 },
  { key: 'do', title: '', sortable: false, width: 60 },
] as const

async function refresh() {
  problem.value = ''
  try {
    lists.value = (await api('GET /api/lists', { query: { workspace: workspace.id } })).lists
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(
  () => [workspace.id, id.value],
  () => void refresh(),
  { immediate: true },
)

const attempt = useMutation(refresh)
const make = (body: Pick<BodyOf<'POST /api/lists'>, 'name' | 'phrases' | 'from'>) =>
  attempt(async () => {
    const made = await api('POST /api/lists', {
      body: { workspace: workspace.id, language: language.value, ...body },
    })
    notices.show(`“${made.name}” made, with ${counted(made.phrases, 'phrase')}.`, {
      undo: () =>
        attempt(() =>
          api('DELETE /api/lists/:id', { params: { id: made.id }, query: { unchangedSince: made.updatedAt } }),
        ),
    })
    picked.value = []
  })
function makeNew() {
  if (!name.value.trim()) {
    problem.value = 'Give the list a name.'
    return
  }
  void make({ name: name.value.trim() })
  name.value = ''
}
const nameOf = (list: string) => lists.value?.find(each => each.id === list)?.name ?? ''
const remove = (list: ListLine) =>
  attempt(async () => {
    await api('DELETE /api/lists/:id', { params: { id: list.id } })
    notices.show(`“${list.name}” deleted.`, {
      undo: () => attempt(() => api('POST /api/lists/:id/restore', { params: { id: list.id } })),
    })
  })
</script>

<template>
  <div class="lists">
    <LibraryList v-if="id" :id="id" :key="id" @back="address({ list: undefined }, true)" />
    <div v-else-if="problem && !lists" class="sheet state" role="alert">
      <p>{{ problem }}</p>
      <v-btn variant="tonal" @click="refresh">Try again</v-btn>
    </div>
    <v-skeleton-loader v-else-if="!lists" type="table-row@4" class="sheet" />
    <template v-else>
      <div class="head">
        <v-text-field
          v-model="name"
          label="New list"
          maxlength="120"
          class="name"
          :error-messages="problem"
          data-test="list-name"
          @keydown.enter="makeNew"
        /><v-btn variant="flat" color="primary" @click="makeNew">Create</v-btn><v-spacer />
        <template v-if="picked.length === 2"
          ><v-btn
            variant="tonal"
            data-test="merge"
            @click="
              make({
                name: `${nameOf(picked[0]!)} + ${nameOf(picked[1]!)}`.slice(0, 120),
                from: { how: 'merge', first: picked[0]!, second: picked[1]! },
              })
            "
            >Merge</v-btn
          ><v-btn
            variant="tonal"
            data-test="subtract"
            @click="
              make({
                name: `${nameOf(picked[0]!)} without ${nameOf(picked[1]!)}`.slice(0, 120),
                from: { how: 'subtract', first: picked[0]!, second: picked[1]! },
              })
            "
            >Subtract second from first</v-btn
          ></template
        >
        <span v-else class="small muted">Select two lists to merge or subtract.</span>
      </div>
      <ShellTable
        :headers="HEADERS"
        :items="lists"
        item-value="id"
        density="compact"
        fixed-header
        class="sheet table"
        aria-label="Phrase lists"
        data-test="lists"
      >
        <template #[`item.pick`]="{ item }"
          ><input
            v-model="picked"
            type="checkbox"
            :value="item.id"
            :disabled="picked.length === 2 && !picked.includes(item.id)"
            :aria-label="`Pick ${item.name}`"
        /></template>
        <template #[`item.name`]="{ item }"
          ><NuxtLink :to="{ query: { ...route.query, list: item.id } }" data-test="open-list">{{
            item.name
          }}</NuxtLink></template
        >
        <template #[`item.note`]="{ item }"
          ><span class="muted">{{ item.note }}</span></template
        >
        <template #[`item.phrases`]="{ item }"
          ><span class="figure">{{ inDigits(item.phrases) }}</span></template
        >
        <template #[`item.updatedAt`]="{ item }"
          ><span :title="dateTime(item.updatedAt)">{{ ago(item.updatedAt) }}</span></template
        >
        <template #[`item.do`]="{ item }"
          ><v-btn size="small" :icon="mdiDeleteOutline" :aria-label="`Delete ${item.name}`" @click="remove(item)"
        /></template>
        <template #no-data
          ><p class="muted empty">
            No lists yet. Use lists to keep phrases across briefs: ideas for later, a client’s phrases, purchased data.
            Name one above, or select phrases on the Demand screen.
          </p></template
        >
      </ShellTable>
    </template>
  </div>
</template>

<style scoped>
.lists {
  flex: 1;
  min-height: 0;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.head {
  display: flex;
  gap: 10px;
  align-items: center;
}
.name {
  flex: 0 0 240px;
}
.table {
  flex: 1;
  min-height: 0;
  overflow: auto;
}
a {
  font-weight: 600;
  color: var(--ink);
  text-underline-offset: 3px;
}
.empty,
.state {
  padding: 28px;
  display: grid;
  gap: 10px;
  justify-items: start;
}
input[type='checkbox'] {
  accent-color: var(--teal);
}
</style>
