<script setup lang="ts">
import { mdiPlaylistPlus } from '@mdi/js'
import { ref } from 'vue'
import type { ListLine } from '../../../shared/lists'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

const props = defineProps<{ phrases: string[]; language: string; disabled?: boolean }>()
const emit = defineEmits<{ added: [] }>()
const workspace = useWorkspace()
const notices = useNotices()
const lists = ref<ListLine[]>([])
const name = ref('')
const problem = ref('')
const open = ref(false)

async function refresh() {
  problem.value = ''
  try {
    lists.value = (await api('GET /api/lists', { query: { workspace: workspace.id } })).lists
  } catch (error) {
    problem.value = messageOf(error)
  }
}
async function add(list: ListLine) {
  const phrases = [...props.phrases]
  try {
    const { language } = props
    const { added } = await api('PATCH /api/lists/:id', { params: { id: list.id }, body: { add: phrases, language } })
    notices.show(
      `${counted(added.length, 'phrase')} added to “${list.name}”.`,
      added.length
        ? {
            undo: async () => {
              await api('PATCH /api/lists/:id', { params: { id: list.id }, body: { remove: added, language } })
            },
          }
        : {},
    )
    open.value = false
    emit('added')
  } catch (error) {
    problem.value = messageOf(error)
  }
}
async function make() {
  if (!name.value.trim()) {
    problem.value = 'Give the list a name.'
    return
  }
  try {
    const made = await api('POST /api/lists', {
      body: { workspace: workspace.id, name: name.value.trim(), phrases: props.phrases, language: props.language },
    })
    notices.show(`List “${made.name}” made, with ${counted(made.phrases, 'phrase')}.`, {
      undo: async () => {
        await api('DELETE /api/lists/:id', { params: { id: made.id }, query: { unchangedSince: made.updatedAt } })
      },
    })
    name.value = ''
    open.value = false
    emit('added')
  } catch (error) {
    problem.value = messageOf(error)
  }
}
</script>

<template>
  <v-menu v-model="open" :close-on-content-click="false" @update:model-value="$event && refresh()">
    <template #activator="{ props: menu }"
      ><v-btn v-bind="menu" :prepend-icon="mdiPlaylistPlus" :disabled="disabled" data-test="to-list"
        >To a list</v-btn
      ></template
    >
    <v-sheet class="pa-3" width="280" data-test="list-menu">
      <v-list v-if="lists.length" role="menu" aria-label="Lists" density="compact" class="mb-2"
        ><v-list-item
          v-for="list in lists"
          :key="list.id"
          role="menuitem"
          :title="list.name"
          :subtitle="counted(list.phrases, 'phrase')"
          @click="add(list)"
      /></v-list>
      <v-text-field
        v-model="name"
        label="New list"
        maxlength="120"
        :error-messages="problem"
        data-test="new-list"
        @keydown.enter="make"
      />
      <v-btn class="mt-2" size="small" variant="tonal" @click="make">Create</v-btn>
    </v-sheet>
  </v-menu>
</template>
