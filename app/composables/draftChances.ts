import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, type Ref } from 'vue'
import { draftOf, type BriefFields } from '../../core/brief/brief'
import type { DraftChance } from '../../shared/draftChances'
import { api } from '~/composables/api'
import { useChanges } from '~/stores/changes'

/** Chances are asked for this long after the last change, in milliseconds. */
const REST = 400

/** What the wording of the open brief does to the chance of each of its phrases, asked for when the typing rests. */
export function useDraftChances(fields: Ref<BriefFields | null>, workspace: Ref<string | undefined>) {
  const { revisions } = useChanges()
  const chances = shallowRef<ReadonlyMap<string, DraftChance>>(new Map())
  const question = computed(() => {
    if (!fields.value) return null
    const { tray, region, language } = fields.value
    const draft = draftOf(fields.value)
    return {
      draft: { title: draft.title ?? '', description: draft.description ?? '', tags: draft.tags ?? [] },
      phrases: { lead: tray.lead ?? '', support: [...tray.support] },
      region,
      language,
      workspace: workspace.value,
    }
  })
  let asked = 0
  watchDebounced(
    [question, () => revisions.pages, () => revisions.workspaces],
    async () => {
      if (!question.value) return
      const mine = ++asked
      try {
        const { rows } = await api('POST /api/draft/chances', { body: question.value })
        if (mine === asked) chances.value = new Map(rows.map(row => [row.phrase, row]))
      } catch {
        // The save beside it says that the server cannot be reached; a chance of another wording would mislead.
        if (mine === asked) chances.value = new Map()
      }
    },
    { debounce: REST, immediate: true, deep: true },
  )
  return chances
}
