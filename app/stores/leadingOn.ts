import { defineStore } from 'pinia'
import { api } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useWorkspace } from './workspace'

/** Which videos of mine should lead to which others. */
export const useLeadingOn = defineStore('leadingOn', () => {
  const workspace = useWorkspace()
  const { revisions } = useChanges()
  const { follow: watched, ...kept } = latestAnswer(() =>
    api('GET /api/ranks/leading-on', { query: { workspace: workspace.id } }),
  )
  /** Shows them for the workspace, from now on. @returns how to stop. */
  const follow = () => watched([() => workspace.id], [() => revisions.briefs, () => revisions.ranks])
  return { ...kept, follow }
})
