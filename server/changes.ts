import { AsyncLocalStorage } from 'node:async_hooks'
import { randomUUID } from 'node:crypto'
import { KINDS, type Change, type Kind, type Revisions } from '../shared/changes'

/** Changes are sent together, this long after the first, in milliseconds. */
const TOGETHER = 300
/** More of them are sent without their ids. */
const NAMED = 20

interface Due {
  ids: Set<string> | null
  by: string | null
}

/** A revision for each kind of data, sent to every listener: windows reload what others changed. */
export class Changes {
  private readonly run = randomUUID()
  private readonly revisions = Object.fromEntries(KINDS.map(kind => [kind, 0])) as Record<Kind, number>
  private readonly due = new Map<Kind, Due>()
  private readonly listeners = new Set<(change: Change) => void>()
  private readonly asker = new AsyncLocalStorage<string | null>()
  private timer: NodeJS.Timeout | undefined

  /** Runs what a window asked for: what changes by it is that window's doing. */
  on<Result>(window: string | null, work: () => Result): Result {
    return this.asker.run(window, work)
  }

  /** Notes that work which nobody waits for changed something: whoever began it is told like everyone. */
  changedByItself(kind: Kind): void {
    this.asker.exit(() => {
      this.changed(kind)
    })
  }

  /** Notes that something of a kind changed. @param id what, where it is one thing. */
  changed(kind: Kind, id: string | null = null): void {
    this.revisions[kind]++
    const by = this.asker.getStore() ?? null
    const due = this.due.get(kind)
    if (!due) this.due.set(kind, { ids: id === null ? null : new Set([id]), by })
    else {
      if (due.by !== by) due.by = null
      if (id === null || (due.ids?.size ?? 0) >= NAMED) due.ids = null
      else due.ids?.add(id)
    }
    // Timers hold on to who asked; this one is nobody's.
    this.timer ??= this.asker.exit(() =>
      setTimeout(() => {
        this.notify()
      }, TOGETHER).unref(),
    )
  }

  private notify(): void {
    this.timer = undefined
    for (const [kind, { ids, by }] of this.due)
      for (const listener of this.listeners)
        listener({ kind, revision: this.revisions[kind], ids: ids && [...ids], by })
    this.due.clear()
  }

  now(): Revisions {
    return { run: this.run, revisions: { ...this.revisions } }
  }

  /** @returns how to stop listening. */
  listen(listener: (change: Change) => void): () => void {
    this.listeners.add(listener)
    return () => {
      this.listeners.delete(listener)
    }
  }
}

/**
 * The kind of thing that a route writes, by its path as declared; `null` for one that tells of its changes itself, or
 * changes nothing that others show.
 */
export function kindWritten(method: string, path: string): Kind | null {
  if (method === 'GET' || method === 'HEAD') return null
  // Looked at, not written.
  if (path === '/api/audience' && method === 'POST') return null
  const [, first, ...rest] = path.split('/').filter(Boolean)
  switch (first) {
    case 'briefs':
      return 'briefs'
    case 'lists':
    case 'filter-sets':
      return 'lists'
    case 'workspaces':
    case 'blocks':
    case 'tag-lists':
    case 'end-layouts':
    case 'audience':
    case 'outlets':
      return 'workspaces'
    case 'import':
      return rest[0] === 'package'
        ? 'briefs'
        : rest[0] === 'audience'
          ? 'workspaces'
          : rest[0] === 'analytics' || rest[0] === 'earned'
            ? 'ranks'
            : null
    case 'ranks':
    case 'watches':
    case 'trials':
    case 'earned':
    case 'next':
      return 'ranks'
    case 'videos':
      return rest[1] === 'planned' || rest[1] === 'retention' ? 'ranks' : null
    case 'phrases':
      return rest[0] === 'note' ? 'phrases' : null
    default:
      return null
  }
}

/** Every change made through this program is reported here. */
export const changes = new Changes()
