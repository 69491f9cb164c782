<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { goTo } from '~/composables/address'
import { counted } from '~/composables/figures'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

const workspace = useWorkspace()
const library = useLibrary()
const brief = useBrief()

/** Goes to another workspace: to its newest brief, or to the Library where it has none. */
async function go(id: string) {
  await brief.flush()
  workspace.choose(id)
  await library.refresh()
  const next = library.briefs.find(line => line.workspaceId === id)
  if (next) await goTo({ path: useRoute().path, query: { brief: next.id } })
  else {
    brief.close()
    await goTo({ path: '/library', query: { workspace: id } })
  }
}
</script>

<template>
  <v-menu v-if="workspace.workspaces.length > 1">
    <template #activator="{ props }"
      ><v-btn v-bind="props" size="small" :append-icon="mdiChevronDown" class="workspace" data-test="workspace">{{
        workspace.current?.name
      }}</v-btn></template
    >
    <v-list role="menu" density="compact" min-width="260"
      ><v-list-item
        v-for="each in workspace.workspaces"
        :key="each.id"
        role="menuitem"
        :active="each.id === workspace.id"
        :title="each.name"
        :subtitle="`${each.channelTitle ?? 'no channel yet'} · ${counted(each.briefs, 'brief')}`"
        @click="go(each.id)"
    /></v-list>
  </v-menu>
</template>

<style scoped>
.workspace {
  max-width: 180px;
  color: var(--muted);
}
</style>
