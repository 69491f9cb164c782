import { useAccess } from '~/stores/access'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

/** All briefs and all workspaces; each is settled when it was told. */
let asked: { briefs: Promise<void>; workspaces: Promise<void> } | null = null

/**
 * Asks once, however often it is called, what every screen begins with: before anything is drawn, so that the answers
 * come meanwhile. Who works here is among it.
 */
export function firstAnswers() {
  if (asked) return asked
  // A server that cannot be reached says so where something is asked of it.
  void useAccess()
    .refresh()
    .catch(() => undefined)
  return (asked = { workspaces: useWorkspace().refresh(), briefs: useLibrary().refresh() })
}
