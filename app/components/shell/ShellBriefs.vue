<script setup lang="ts">
import { mdiChevronDown, mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'
import { goTo } from '~/composables/address'

/** The open brief, and the way to another one of its workspace. */
const emit = defineEmits<{ create: [] }>()
const brief = useBrief()
const library = useLibrary()
const workspace = useWorkspace()
const route = useRoute()
/** So many are listed, the ones changed last; others are found by their words. */
const SHOWN = 12
const open = ref(false)
const sought = ref<string | null>('')
/** Briefs of the workspace at work; those of others are one switch away. */
const mine = computed(() => library.briefs.filter(line => !workspace.id || line.workspaceId === workspace.id))
const found = computed(() => {
  const words = (sought.value ?? '').trim().toLowerCase().split(/\s+/u)
  return mine.value
    .filter(line => {
      const text = `${line.topic} ${line.lead ?? ''} ${line.title}`.toLowerCase()
      return words.every(word => text.includes(word))
    })
    .slice(0, SHOWN)
})
const name = computed(() => (brief.fields ? brief.fields.topic || 'Untitled brief' : 'No brief open'))
function show(id: string) {
  open.value = false
  void goTo({ path: route.path, query: { brief: id } })
}
function create() {
  open.value = false
  emit('create')
}
</script>

<template>
  <v-menu v-model="open" :close-on-content-click="false" @update:model-value="sought = ''">
    <template #activator="{ props: menu }">
      <v-btn v-bind="menu" class="ml-3 pick" :append-icon="mdiChevronDown" :aria-label="`${name}: switch brief`">
        {{ name }}
      </v-btn>
    </template>
    <v-sheet width="420" max-width="96vw">
      <v-text-field
        v-if="mine.length > SHOWN"
        v-model="sought"
        label="Find a brief"
        autofocus
        hide-details
        clearable
        class="find"
        data-test="switch-find"
      />
      <v-list role="menu" aria-label="Briefs" density="compact">
        <v-list-item role="menuitem" :prepend-icon="mdiPlus" title="New brief" @click="create" />
        <v-divider />
        <v-list-item
          v-for="line in found"
          :key="line.id"
          role="menuitem"
          :active="line.id === brief.brief?.id"
          :aria-current="line.id === brief.brief?.id || undefined"
          :title="line.topic || 'Untitled brief'"
          :subtitle="line.lead ?? 'no lead yet'"
          @click="show(line.id)"
        />
        <v-list-item v-if="!found.length && mine.length" role="none" class="muted"
          >No brief contains these words.</v-list-item
        >
        <template v-if="mine.length > SHOWN">
          <v-divider />
          <v-list-item
            role="menuitem"
            :title="`All ${mine.length} in the Library`"
            :to="{ path: '/library', query: { brief: brief.brief?.id } }"
            @click="open = false"
          />
        </template>
      </v-list>
    </v-sheet>
  </v-menu>
</template>

<style scoped>
.pick {
  max-width: 420px;
  font-weight: 600;
}
/* A long topic is cut at its end. */
.pick :deep(.v-btn__content) {
  display: block;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
}
.find {
  padding: 12px 16px 4px;
}
</style>
