import { watchDebounced } from '@vueuse/core'
import { computed, shallowRef, type Ref } from 'vue'
import { NO_CONTEXT, type DraftContext } from '../../core/draft/context'
import type { Brief } from '../../shared/brief'
import { api } from '~/composables/api'
import { useChanges } from '~/stores/changes'

/** What is known around a draft is asked for this long after the last change, in milliseconds. */
const REST = 400

/** What checks look at beside the text of the open brief: its neighbours on the page, searches of tags, blocks. */
export function useDraftContext(brief: Ref<Brief | null>) {
  const { revisions } = useChanges()
  const context = shallowRef<DraftContext>(NO_CONTEXT)
  const question = computed(() => {
    if (!brief.value) return null
    const { id, fields, workspaceId, seriesPlace } = brief.value
    return {
      lead: fields.tray.lead ?? '',
      title: fields.title,
      tags: [...fields.tags],
      town: seriesPlace,
      brief: id,
      region: fields.region,
      language: fields.language,
      workspace: workspaceId,
    }
  })
  let asked = 0
  watchDebounced(
    [() => JSON.stringify(question.value), () => revisions.pages, () => revisions.phrases, () => revisions.workspaces],
    async () => {
      if (!question.value) return
      const mine = ++asked
      try {
        const answer = await api('POST /api/draft/context', { body: question.value })
        if (mine === asked) context.value = answer.context
      } catch {
        // The save beside it says that the server cannot be reached; what was known still holds.
      }
    },
    { debounce: REST, immediate: true },
  )
  return context
}
