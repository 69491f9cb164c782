import { useAccess } from '~/stores/access'
import { useBrief } from '~/stores/brief'
import { useLibrary } from '~/stores/library'
import { useWorkspace } from '~/stores/workspace'
import { keyNeeded } from './api'

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
/** What the first screen asks by itself; `null` once it is drawn. */
let ahead: Promise<void> | null = Promise.resolve()

/** Milliseconds that the frame, and then the first screen, wait at most for what they would show empty. */
const FRAME = 100
const SCREEN = 250
const within = (most: number, answer: Promise<void>) =>
  Promise.race([answer.catch(() => undefined), new Promise<void>(end => setTimeout(end, most))])

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
  // A brief that is gone is told where it is asked for on the screen.
  all.catch(() => undefined)
  return (asked = { briefs, workspaces, all })
}

async function firstBrief(briefs: Promise<void>, workspaces: Promise<void>): Promise<void> {
  const named = new URLSearchParams(location.search).get('brief')
  if (!named) await Promise.all([briefs, workspaces])
  const id = named ?? briefToOpen()
  if (id) await useBrief().load(id)
}

/** Lets the first screen ask as soon as everything is known that it asks with. */
export function askAhead(ask: () => Promise<void>): void {
  if (!ahead) return
  const before = ahead
  ahead = firstAnswers()
    .all.then(() => (keyNeeded.value ? undefined : ask()))
    .then(() => before)
  // Told by the screen, which asks again.
  ahead.catch(() => undefined)
}

/** Waits a moment for what the frame shows, so that it is drawn once. */
export const frameReady = () => within(FRAME, firstAnswers().all)
/** Waits a moment for what the first screen shows. */
export async function screenReady(): Promise<void> {
  if (ahead) await within(SCREEN, ahead)
  ahead = null
}
