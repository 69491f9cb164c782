import { defineStore } from 'pinia'
import { reactive, ref } from 'vue'
import { KINDS, type Change, type Kind, type Revisions } from '../../shared/changes'
import { WINDOW } from '~/composables/window'

/** How long after the stream broke off it is opened again, in milliseconds. */
const AGAIN = 5000
type Message = { now: Revisions } | { change: Change }

/**
 * A revision for each kind of thing, which grows when another window or the server itself changed something of it, or
 * when a screen of this window says so. Stores watch the kinds they show, and need not know of each other.
 *
 * One window of the browser listens for all: connections to a server are few.
 */
export const useChanges = defineStore('changes', () => {
  const revisions = reactive(Object.fromEntries(KINDS.map(kind => [kind, 0])) as Record<Kind, number>)
  /** The briefs that others changed last; `null` when it may be any. */
  const briefs = ref<string[] | null>([])
  let known: Revisions | null = null
  /** Whether the stream has broken off before. */
  let missed = false

  function changed(kind: Kind, ids: string[] | null = null) {
    if (kind === 'briefs') briefs.value = ids
    revisions[kind]++
  }

  function take(message: Message) {
    if ('now' in message) {
      const before = known
      known = message.now
      // What happened while nobody listened is only known to have happened.
      if (before ?? missed)
        for (const kind of KINDS)
          if (before?.run !== message.now.run || before?.revisions[kind] !== message.now.revisions[kind]) changed(kind)
      return
    }
    const { kind, revision, ids, by } = message.change
    if (known) known.revisions[kind] = revision
    if (by !== WINDOW || kind === 'jobs') changed(kind, ids)
  }

  /** Listens for as long as the window lives. */
  function listen() {
    const others = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('fonetra.changes')
    if (others)
      others.onmessage = ({ data }: MessageEvent<Message>) => {
        take(data)
      }
    const open = () => {
      const stream = new EventSource('/api/changes')
      const pass = (message: Message) => {
        take(message)
        others?.postMessage(message)
      }
      stream.addEventListener('now', event => {
        pass({ now: JSON.parse((event as MessageEvent<string>).data) as Revisions })
      })
      stream.addEventListener('change', event => {
        pass({ change: JSON.parse((event as MessageEvent<string>).data) as Change })
      })
      // A browser tries again by itself only where it was answered at all.
      stream.onerror = () => {
        missed = true
        if (stream.readyState === EventSource.CLOSED) setTimeout(open, AGAIN)
      }
    }
    // Where there are no locks every window listens for itself.
    if (others && navigator.locks)
      void navigator.locks.request('fonetra.changes', () => {
        open()
        return new Promise(() => undefined)
      })
    else open()
  }

  return { revisions, briefs, changed, listen }
})
