import { ref, watch, type Ref } from 'vue'
import { settingsSchema, type WorkspaceTexts } from '../../shared/workspace'
import { api, messageOf } from '~/composables/api'
import { useChanges } from '~/stores/changes'
import { useNotices } from '~/stores/notices'

/** What stands in every text of a workspace: links, contact, town, variables, tags. Saved as it is changed. */
export function useWorkspaceTexts(workspace: Ref<string>) {
  const { revisions } = useChanges()
  const notices = useNotices()
  const texts = ref<WorkspaceTexts>(settingsSchema.parse({}).texts)
  /** The workspace whose texts these are; '' until they were read. */
  let known = ''
  let loading = Promise.resolve()

  async function load() {
    const id = workspace.value
    if (!id) return
    try {
      const { settings } = await api('GET /api/workspaces/:id/settings', { params: { id } })
      if (id !== workspace.value) return
      texts.value = settings.texts
      known = id
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
  watch([workspace, () => revisions.workspaces], () => (loading = load()), { immediate: true })

  async function save(patch: Partial<WorkspaceTexts>): Promise<boolean> {
    // A change goes on top of what is saved: before that is known it would take the place of all the rest.
    await loading
    if (known !== workspace.value) return false
    const next = { ...texts.value, ...patch }
    if (JSON.stringify(next) === JSON.stringify(texts.value)) return true
    try {
      const { settings } = await api('PUT /api/workspaces/:id/settings', {
        params: { id: workspace.value },
        body: { texts: next },
      })
      texts.value = settings.texts
      return true
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      return false
    }
  }
  return { texts, save }
}

/** A text's lines without white space at their ends, empty ones left out. */
export const linesOf = (text: string) =>
  text
    .split('\n')
    .map(line => line.trim())
    .filter(Boolean)
