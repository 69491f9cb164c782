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
let loading: Promise<void> = Promise.resolve()

async function load(workspace: string): Promise<void> {
  try {
    const found = await api('GET /api/videos/texts', { query: { workspace } })
    if (of === workspace) videos.value = found.videos.map(({ id, title }) => ({ id, title }))
  } catch (error) {
    // Whoever needs them next asks again.
    of = ''
    throw error
  }
}

/** My channel's videos and the playlists here, asked for once a workspace. */
export function useLeadTargets() {
  const workspace = useWorkspace()
  const playlists = usePlaylists()
  function wanted() {
    const id = workspace.id
    if (id && id !== of) {
      of = id
      loading = load(id)
    }
    return loading
  }
  // Without them the lists say that nothing is known; whoever looks for moments is told why.
  watch(
    () => workspace.id,
    () => void wanted().catch(() => undefined),
    { immediate: true },
  )
  return {
    videos,
    playlists: computed<LeadTarget[]>(() =>
      (playlists.lines ?? []).map(({ id, title }) => ({ id, title: title || 'Untitled' })),
    ),
    /** Waits until they are known. @throws ApiProblem where they cannot be had. */
    ready: async () => {
      await wanted()
      if (!playlists.lines) await playlists.load()
    },
  }
}
