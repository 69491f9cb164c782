import { defineStore } from 'pinia'
import type { OpenPhrase } from '../../shared/openPhrases'
import { api } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** Phrases within the channel’s reach on whose pages none of its videos stands. */
export const useOpenPhrases = defineStore('openPhrases', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const { revisions } = useChanges()
  const { follow: watched, ...kept } = latestAnswer(() =>
    api('GET /api/ranks/open-phrases', { query: { workspace: workspace.id, region: ranks.region ?? undefined } }),
  )
  /** Shows them for the workspace and region, from now on. @returns how to stop. */
  const follow = () =>
    watched([() => workspace.id, () => ranks.region], [() => revisions.briefs, () => revisions.pages])
  /** A brief that is led by one. @returns its id. */
  async function toBrief({ phrase, also }: OpenPhrase): Promise<string> {
    const fields = {
      topic: phrase,
      language: workspace.current?.language ?? 'en',
      ...(ranks.region ? { region: ranks.region } : {}),
      tray: { lead: phrase, support: also.map(each => each.phrase), setAside: [] },
    }
    return (await api('POST /api/briefs', { body: { fields, workspace: workspace.id } })).id
  }
  return { ...kept, follow, toBrief }
})
