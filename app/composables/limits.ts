import { computed, type ComputedRef } from 'vue'
import type { LimitProfile } from '../../core/draft/limits'
import { useBrief } from '~/stores/brief'
import { useWorkspaceItems } from '~/stores/workspaceItems'

/** The limits of the site that the open brief is for. */
export function useLimits(): ComputedRef<LimitProfile> {
  const brief = useBrief()
  const items = useWorkspaceItems()
  return computed(() => items.profileOf(brief.fields?.profile ?? ''))
}
