<script setup lang="ts">
import { mdiRefresh } from '@mdi/js'
import { computed, ref, watchEffect } from 'vue'
import { listed } from '../../../core/text/inWords'
import { useAccess } from '~/stores/access'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

/** Says which of what every screen begins with could not be loaded, for as long as it is missing. */
const access = useAccess()
const library = useLibrary()
const workspace = useWorkspace()
const route = useRoute()
const busy = ref(false)
/** The Library's own list says so itself. */
const inList = computed(() => route.path === '/library' && !route.query.tab)

const missing = computed(() =>
  [
    { what: 'who is signed in', problem: access.problem, again: access.refresh },
    { what: 'workspaces', problem: workspace.problem, again: workspace.refresh },
    {
      what: 'briefs',
      problem: library.state === 'failed' && !inList.value ? library.problem : '',
      again: library.refresh,
    },
  ].filter(each => each.problem),
)
/** What is said stays while it is tried again. */
const told = ref('')
watchEffect(() => {
  if (busy.value) return
  const problems = new Set(missing.value.map(each => each.problem))
  told.value = missing.value.length
    ? `Could not load ${listed(missing.value.map(each => each.what))}. ${[...problems].join(' ')}`
    : ''
})

async function again() {
  busy.value = true
  await Promise.all(missing.value.map(each => each.again()))
  busy.value = false
}
</script>

<template>
  <div v-if="told" class="missing" role="alert" data-test="not-loaded">
    <span>{{ told }}</span>
    <v-btn size="small" variant="tonal" :prepend-icon="mdiRefresh" :loading="busy" @click="again">Try again</v-btn>
  </div>
</template>

<style scoped>
.missing {
  grid-area: missing;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  padding: 6px 16px;
  background: var(--paper);
  border-bottom: 1px solid var(--line);
}
@media print {
  .missing {
    display: none;
  }
}
</style>
