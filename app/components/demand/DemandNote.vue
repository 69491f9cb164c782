<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { onBeforeUnmount, ref, watch } from 'vue'
import type { PhraseSheet } from '../../../shared/phrases'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'
import { useWorkspace } from '~/stores/workspace'

/** A person's own note on a phrase, saved as it is typed. */
const props = defineProps<{ sheet: PhraseSheet; phrase: string; language: string }>()
const notices = useNotices()
const workspace = useWorkspace()
const note = ref('')
const noteState = ref('')
/** The note as it is saved, by its revision. */
let saved = { revision: 0 }

interface Unsaved {
  phrase: string
  language: string
  workspace: string | undefined
  text: string
  saved: { revision: number }
}
/** A note belongs to the phrase it was typed at, also when the sheet has turned to another before it is saved. */
let unsaved: Unsaved | null = null
/** One after the other: the second is made from what the first has saved. */
let saving = Promise.resolve()
function saveTyped() {
  if (!unsaved) return
  const due = unsaved
  unsaved = null
  saving = saving.then(() => saveNote(due))
}
async function saveNote({ saved: state, ...body }: Unsaved) {
  const here = () => body.phrase === props.phrase
  try {
    state.revision = (
      await api('PUT /api/phrases/note', {
        body: { ...body, revision: state.revision },
      })
    ).revision
    if (here()) noteState.value = 'saved'
  } catch (error) {
    if (error instanceof ApiProblem && error.status === 409) {
      const theirs = error.details as { text: string; revision: number }
      notices.show(`The note on “${body.phrase}” was changed in another window to “${theirs.text.slice(0, 80)}”.`, {
        serious: true,
        undoLabel: 'Keep mine',
        undo: () => {
          state.revision = theirs.revision
          return saveNote({ saved: state, ...body })
        },
      })
    } else if (here()) noteState.value = messageOf(error)
    else notices.show(`The note on “${body.phrase}” was not saved: ${messageOf(error)}`, { serious: true })
  }
}
const saveSoon = useDebounceFn(saveTyped, 500)
function typeNote(text: string) {
  note.value = text ?? ''
  unsaved = { phrase: props.phrase, language: props.language, workspace: workspace.id, text: note.value, saved }
  void saveSoon()
}
watch(
  () => props.sheet,
  sheet => {
    saveTyped()
    note.value = sheet.note
    saved = { revision: sheet.noteRevision }
    noteState.value = ''
  },
  { immediate: true },
)
onBeforeUnmount(() => void saveTyped())
</script>

<template>
  <section aria-label="Notes">
    <h3>
      Notes <span class="small muted" role="status">{{ noteState }}</span>
    </h3>
    <v-textarea
      :model-value="note"
      rows="2"
      auto-grow
      variant="outlined"
      density="compact"
      hide-details
      maxlength="4000"
      :aria-label="`Notes on ${phrase}`"
      placeholder="Shown wherever this phrase appears"
      data-test="note"
      @update:model-value="typeNote"
    />
  </section>
</template>

<style scoped>
h3 {
  font-size: 13px;
  margin-bottom: 4px;
}
</style>
