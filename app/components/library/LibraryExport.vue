<script setup lang="ts">
import { mdiDownloadOutline } from '@mdi/js'
import { counted } from '~/composables/figures'

/** A brief as a file, in each format there is. */
defineProps<{ id: string; topic: string; gaps: number }>()
const EXPORTS = [
  { format: 'text', title: 'Plain text, ready to paste' },
  { format: 'json', title: 'JSON, to send on and to open again' },
  { format: 'csv', title: 'CSV of its phrases' },
]
</script>

<template>
  <v-menu>
    <template #activator="{ props: menu }"
      ><v-btn v-bind="menu" size="small" :icon="mdiDownloadOutline" :aria-label="`Export ${topic}`" title="Export"
    /></template>
    <v-list role="menu" density="compact"
      ><v-list-item v-if="gaps" role="none" class="gaps" data-test="export-gaps"
        >{{ counted(gaps, 'gap') }} in the description left to fill, marked […]</v-list-item
      ><v-list-item
        v-for="each in EXPORTS"
        :key="each.format"
        role="menuitem"
        :title="each.title"
        :href="`/api/briefs/${id}/export?format=${each.format}`"
        download /><v-list-item
        role="menuitem"
        title="Package (ZIP), to hand over: texts, captions, chapters, a page to follow"
        :href="`/api/briefs/${id}/package`"
        download
    /></v-list>
  </v-menu>
</template>
