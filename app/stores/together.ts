import { defineStore } from 'pinia'
import type { Together } from '../../core/ranks/together'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** Phrases for which several videos of mine stand on page one. */
export const useTogether = defineStore('together', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const notices = useNotices()
  const { revisions } = useChanges()
  const { follow: watched, ...kept } = latestAnswer(() =>
    api('GET /api/ranks/together', { query: { workspace: workspace.id, region: ranks.region ?? undefined } }),
  )
  /** Shows them for the workspace and region, from now on. @returns how to stop. */
  const follow = () => watched([() => workspace.id, () => ranks.region], [() => revisions.ranks, () => revisions.pages])
  /** Looks a phrase up every day from now on, for all of mine on its page. */
  async function watchBoth({ phrase, videos }: Together) {
    try {
      for (const { video } of videos)
        await api('POST /api/watches', {
          body: {
            videoId: video,
            phrases: [phrase],
            regions: [ranks.region],
            language: workspace.language,
            workspace: workspace.id,
          },
        })
      notices.show(`“${phrase}” is looked up every day for ${counted(videos.length, 'video')}.`)
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
  return { ...kept, follow, watchBoth }
})
