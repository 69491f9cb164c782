<script setup lang="ts">
import { ref, watch } from 'vue'
import { fieldOf, shownValue, type BriefField } from '../../../core/brief/brief'
import type { HistoryEntry } from '../../../shared/brief'
import { api, messageOf } from '~/composables/api'
import { dateTime } from '~/composables/figures'

const field = defineModel<BriefField | null>({ required: true })
const props = defineProps<{ briefId: string }>()
const emit = defineEmits<{ restore: [field: BriefField, value: unknown] }>()
const entries = ref<HistoryEntry[]>([])
/** Whether each version is shown as what it changed of the one before. */
const changes = ref(false)
const problem = ref('')

watch(
  field,
  async name => {
    entries.value = []
    problem.value = ''
    if (!name) return
    try {
      entries.value = (
        await api('GET /api/briefs/:id/history', { params: { id: props.briefId }, query: { field: name } })
      ).entries
    } catch (error) {
      problem.value = messageOf(error)
    }
  },
  { immediate: true },
)

function restore(entry: HistoryEntry) {
  emit('restore', entry.field, entry.value)
  field.value = null
}
</script>

<template>
  <v-dialog
    :model-value="field !== null"
    aria-label="Earlier versions"
    max-width="680"
    scrollable
    @update:model-value="field = null"
  >
    <v-card :title="`Earlier versions: ${field ? fieldOf(field).label.toLowerCase() : ''}`" data-test="history">
      <v-card-text>
        <p v-if="problem" role="alert">{{ problem }}</p>
        <p v-else-if="!entries.length" class="muted">No earlier versions yet.</p>
        <v-switch
          v-if="entries.length > 1"
          v-model="changes"
          label="Show what each changed"
          hide-details
          density="compact"
          data-test="history-changes"
        />
        <article v-for="(entry, i) in entries" :key="entry.id">
          <header>
            <span class="muted small"
              >{{ dateTime(entry.savedAt) }}{{ entry.writer ? `, by ${entry.writer}` : ''
              }}{{ i === 0 ? ' (now)' : '' }}</span
            ><v-btn v-if="i > 0" size="small" variant="outlined" @click="restore(entry)">Restore</v-btn>
          </header>
          <DeskDifference
            v-if="changes && entries[i + 1]"
            :before="shownValue(entry.field, entries[i + 1]!.value)"
            :after="shownValue(entry.field, entry.value)"
          />
          <pre v-else>{{ shownValue(entry.field, entry.value) }}</pre>
        </article>
      </v-card-text>
      <v-card-actions><v-spacer /><v-btn @click="field = null">Close</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
article {
  border-bottom: 1px solid var(--line);
  padding: 8px 0;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
pre {
  white-space: pre-wrap;
  font: inherit;
  margin: 4px 0 0;
  max-height: 160px;
  overflow: auto;
}
</style>
