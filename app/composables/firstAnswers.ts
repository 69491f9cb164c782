import { useAccess } from '~/stores/access'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

/** What every screen begins with: all briefs, all workspaces, and who works here. Each is settled when it was told. */
let asked: { briefs: Promise<void>; workspaces: Promise<void>; access: Promise<void> } | null = null

/** Asks for it once, however often it is called: before anything is drawn, so that the answers come meanwhile. */
export const firstAnswers = () =>
  (asked ??= {
    // A server that cannot be reached says so where something is asked of it.
    access: useAccess()
      .refresh()
      .catch(() => undefined),
    workspaces: useWorkspace().refresh(),
    briefs: useLibrary().refresh(),
  })
