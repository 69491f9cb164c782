import { useAccess } from '~/stores/access'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'

/**
 * What every screen begins with, each settled when it has been answered: all briefs, all workspaces, and with `all`
 * also who works here and the brief that opens first.
 */
interface FirstAnswers {
  briefs: Promise<void>
  workspaces: Promise<void>
  all: Promise<void>
}
let asked: FirstAnswers | null = null

/** The brief to open where the address names none: the last one, or else the newest of the workspace. */
export function briefToOpen(): string | null {
  const workspace = useWorkspace()
  const own = useLibrary().briefs.filter(each => !workspace.known || each.workspaceId === workspace.chosen)
  const last = localStorage.getItem('fonetra.brief')
  return (own.find(each => each.id === last) ?? own[0])?.id ?? null
}

/** Asks once, however often it is called: before anything is drawn, so that the answers come meanwhile. */
export function firstAnswers(): FirstAnswers {
  if (asked) return asked
  const session = useAccess().refresh()
  const workspaces = useWorkspace().refresh()
  const briefs = useLibrary().refresh()
  const all = Promise.all([session, workspaces, briefs, firstBrief(briefs, workspaces)]).then(() => undefined)
  // A server that cannot be reached, or a brief that is gone, is told where it is asked for on the screen.
  for (const each of [session, all]) each.catch(() => undefined)
  return (asked = { briefs, workspaces, all })
}

async function firstBrief(briefs: Promise<void>, workspaces: Promise<void>): Promise<void> {
  const named = new URLSearchParams(location.search).get('brief')
  if (!named) await Promise.all([briefs, workspaces])
  const id = named ?? briefToOpen()
  if (id) await useBrief().load(id)
}
