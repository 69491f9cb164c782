import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import type { RankSurroundings } from '../../shared/ranks'
import { api, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** What may lie behind the curve that is shown: what was done for the video, and who came in above it. */
export const useRankSurroundings = defineStore('rankSurroundings', () => {
  const ranks = useRanks()
  const workspace = useWorkspace()
  /** The phrase whose page is looked at; '' for what was done alone. */
  const phrase = ref('')
  /** The rival to be passed; '' for none. */
  const rival = ref('')
  const known = shallowRef<RankSurroundings | null>(null)
  const problem = ref('')

  const asked = () => ({
    videoId: ranks.video,
    phrase: phrase.value || undefined,
    rival: (phrase.value && rival.value) || undefined,
    region: ranks.region,
    kind: ranks.kind,
    language: workspace.language,
    workspace: workspace.id,
  })
  async function load() {
    const query = asked()
    if (!query.videoId) return
    const now = JSON.stringify(query)
    try {
      const found = await api('GET /api/ranks/surroundings', { query })
      if (now !== JSON.stringify(asked())) return
      known.value = found
      problem.value = ''
    } catch (error) {
      if (now === JSON.stringify(asked())) problem.value = messageOf(error)
    }
  }
  watch(
    () => JSON.stringify(asked()),
    (now, before) => {
      // What is known of another video is not shown meanwhile; of another phrase it is soon replaced.
      if (before && (JSON.parse(before) as { videoId: string }).videoId !== ranks.video) known.value = null
      void load()
    },
    { immediate: true },
  )
  watch(
    () => useChanges().revisions.ranks,
    () => void load(),
  )
  return { phrase, rival, known, problem, load }
})
