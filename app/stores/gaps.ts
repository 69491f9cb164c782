import { defineStore } from 'pinia'
import { watch } from 'vue'
import type { Gap } from '../../shared/gaps'
import { api } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** Phrases within the channel’s reach on whose pages none of its videos stands. */
export const useGaps = defineStore('gaps', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const { revisions } = useChanges()
  const { answer, problem, load } = latestAnswer(() =>
    api('GET /api/ranks/gaps', { query: { workspace: workspace.id, region: ranks.region ?? undefined } }),
  )
  /** Shows them for the workspace and region, from now on. @returns how to stop. */
  const follow = () => {
    const ends = [
      watch([() => workspace.id, () => ranks.region], () => void load(true), { immediate: true }),
      watch([() => revisions.briefs, () => revisions.pages], () => void load()),
    ]
    return () => {
      for (const end of ends) end()
    }
  }
  /** A brief that is led by a gap. @returns its id. */
  async function toBrief({ phrase, also }: Gap): Promise<string> {
    const fields = {
      topic: phrase,
      language: workspace.current?.language ?? 'en',
      ...(ranks.region ? { region: ranks.region } : {}),
      tray: { lead: phrase, support: also.map(each => each.phrase), setAside: [] },
    }
    return (await api('POST /api/briefs', { body: { fields, workspace: workspace.id } })).id
  }
  return { answer, problem, load, follow, toBrief }
})
