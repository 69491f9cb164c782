<script setup lang="ts">
import { mdiDownloadOutline } from '@mdi/js'
import { csvFile } from '../../../core/formats/csv'
import { saveFile } from '~/composables/saveFile'
import { useManyTexts } from '~/stores/manyTexts'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** Many texts as a file, each with its percent. */
const many = useManyTexts()
const items = useWorkspaceItems()
const COLUMNS = ['id', 'title', 'description', 'tags', 'lead', 'support', 'percent', 'rule set']
const save = (format: 'csv' | 'json') => {
  const name = `texts.${format === 'csv' ? 'csv' : 'jsonl'}`
  const rows = many.rows.map(({ texts: { guessed: _, ...texts }, points }) => ({
    ...texts,
    percent: points?.percent ?? null,
    ruleSet: items.ruleSetOf(many.ruleSet).name,
  }))
  const text =
    format === 'json'
      ? rows.map(row => `${JSON.stringify(row)}\n`).join('')
      : csvFile(
          COLUMNS,
          rows.map(row => [
            row.id,
            row.title,
            row.description,
            row.tags?.join(', ') ?? null,
            row.lead,
            row.support.join(', '),
            row.percent === null ? null : Math.round(row.percent * 10) / 10,
            row.ruleSet,
          ]),
        )
  saveFile(name, text, format === 'csv' ? 'text/csv' : 'application/x-ndjson')
}
</script>

<template>
  <v-menu>
    <template #activator="{ props: menu }">
      <v-btn v-bind="menu" size="small" :prepend-icon="mdiDownloadOutline" :disabled="!many.rows.length">Save</v-btn>
    </template>
    <v-list role="menu" density="compact">
      <v-list-item role="menuitem" title="CSV" data-test="texts-csv" @click="save('csv')" />
      <v-list-item role="menuitem" title="JSON Lines" @click="save('json')" />
    </v-list>
  </v-menu>
</template>
