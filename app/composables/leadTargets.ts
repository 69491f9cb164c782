import { computed, shallowRef, watch } from 'vue'
import { api } from '~/composables/api'
import { usePlaylists } from '~/stores/playlists'
import { useWorkspace } from '~/stores/workspace'

/** What a video can lead to. */
export interface LeadTarget {
  id: string
  title: string
}

const videos = shallowRef<LeadTarget[]>([])
let of = ''

/** My channel's videos and the playlists here, asked for once a workspace. */
export function useLeadTargets() {
  const workspace = useWorkspace()
  const playlists = usePlaylists()
  async function load(id: string) {
    if (id === of) return
    of = id
    try {
      const found = await api('GET /api/videos/texts', { query: { workspace: id } })
      if (of === id) videos.value = found.videos.map(({ id, title }) => ({ id, title }))
    } catch {
      // Whoever opens the list again asks again.
      of = ''
    }
  }
  watch(
    () => workspace.id,
    id => void (id && load(id)),
    { immediate: true },
  )
  return {
    videos,
    playlists: computed<LeadTarget[]>(() =>
      (playlists.lines ?? []).map(({ id, title }) => ({ id, title: title || 'Untitled' })),
    ),
  }
}
