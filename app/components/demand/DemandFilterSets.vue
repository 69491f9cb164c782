<script setup lang="ts">
import { mdiClose, mdiContentSaveOutline } from '@mdi/js'
import { ref, watch } from 'vue'
import type { FilterSet } from '../../../shared/lists'
import { api, messageOf } from '~/composables/api'
import type { DemandFilter } from '~/composables/demandQuery'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ filters: Record<DemandFilter, string>; filtered: boolean }>()
const emit = defineEmits<{ apply: [filters: Record<DemandFilter, string>] }>()
const workspace = useWorkspace()
const notices = useNotices()
const sets = ref<FilterSet[]>([])
const name = ref('')
const problem = ref('')

async function refresh() {
  try {
    sets.value = (await api('GET /api/filter-sets', { query: { workspace: workspace.id } })).sets
  } catch (error) {
    problem.value = messageOf(error)
  }
}
watch(
  () => workspace.id,
  () => void refresh(),
  { immediate: true },
)

async function save() {
  const title = name.value.trim()
  if (!title) {
    problem.value = 'Give the filters a name.'
    return
  }
  try {
    const query = Object.fromEntries(Object.entries(props.filters).filter(([, value]) => value))
    await api('POST /api/filter-sets', { body: { workspace: workspace.id, name: title, query } })
    name.value = problem.value = ''
    await refresh()
  } catch (error) {
    problem.value = messageOf(error)
  }
}

async function remove(set: FilterSet) {
  // They come back where they were, whichever workspace is open by then.
  const home = workspace.id
  try {
    await api('DELETE /api/filter-sets/:id', { params: { id: set.id } })
    notices.show(`Filters “${set.name}” deleted.`, {
      undo: async () => {
        await api('POST /api/filter-sets', { body: { workspace: home, name: set.name, query: set.query } })
        await refresh()
      },
    })
    await refresh()
  } catch (error) {
    problem.value = messageOf(error)
  }
}

const apply = (set: FilterSet) =>
  emit(
    'apply',
    Object.fromEntries(Object.keys(props.filters).map(key => [key, set.query[key] ?? ''])) as Record<
      DemandFilter,
      string
    >,
  )
</script>

<template>
  <div data-test="filter-sets">
    <p class="muted small">Saved filters</p>
    <ul v-if="sets.length">
      <li v-for="set in sets" :key="set.id">
        <button class="plain" @click="apply(set)">{{ set.name }}</button><v-btn
          size="x-small"
          :icon="mdiClose"
          :aria-label="`Delete ${set.name}`"
          @click="remove(set)"
        />
      </li>
    </ul>
    <p v-else class="small">None yet.</p>
    <v-text-field
      v-if="filtered"
      v-model="name"
      label="Save these as"
      maxlength="120"
      :error-messages="problem"
      :append-inner-icon="mdiContentSaveOutline"
      class="mt-2"
      data-test="filter-save"
      @keydown.enter="save()"
      @click:append-inner="save()"
    />
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
li button {
  color: var(--teal);
}
</style>
