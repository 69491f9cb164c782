import { useDebounceFn } from '@vueuse/core'
import { computed, ref, shallowRef } from 'vue'
import { ApiProblem, messageOf } from '~/composables/api'
import { useNotices } from '~/stores/notices'

/** What is typed is saved this long after the last letter, in milliseconds. */
const REST = 400

/** Something with an id and the revision it is changed from. */
export type Revised<Value extends object> = Value & { id: string; revision: number }

export interface SavedItemWays<Value extends object, Saved extends Revised<Value>> {
  /** Reads it anew. */
  read: (id: string) => Promise<Saved>
  /** Saves a change against the revision it was made from. @throws ApiProblem `stale` where another was faster. */
  save: (saved: Saved, change: Partial<Value>, keepalive: boolean) => Promise<Partial<Saved> & { revision: number }>
  /** What another window saved, out of the details of `stale`. */
  theirs: (details: unknown) => Revised<Value>
  /** After each change that was saved. */
  after?: () => Promise<unknown>
}

/**
 * One thing that is edited here and saved as it is typed, each change against the revision it was made from: where
 * another window was faster, nothing is overwritten until a person has chosen.
 */
export function useSavedItem<Value extends object, Saved extends Revised<Value>>(ways: SavedItemWays<Value, Saved>) {
  const notices = useNotices()
  const id = ref<string | null>(null)
  const saved = shallowRef<Saved | null>(null)
  /** What was changed since, not saved yet. */
  const typed = shallowRef<Partial<Value>>({})
  const problem = ref('')
  const saving = ref<'saved' | 'saving' | 'failed'>('saved')
  /** What another window saved meanwhile. */
  const theirs = shallowRef<Revised<Value> | null>(null)
  const open = computed<Saved | null>(() => saved.value && { ...saved.value, ...typed.value })

  async function load() {
    const of = id.value
    if (!of) return
    try {
      const found = await ways.read(of)
      if (of !== id.value) return
      // While something typed is to be saved against it, the revision it was typed over stays.
      saved.value =
        Object.keys(typed.value).length && saved.value ? { ...found, revision: saved.value.revision } : found
      problem.value = ''
    } catch (error) {
      if (of === id.value) problem.value = messageOf(error)
    }
  }

  async function send(keepalive = false) {
    const of = id.value
    const sent = typed.value
    if (!of || !saved.value || !Object.keys(sent).length || theirs.value) return
    saving.value = 'saving'
    try {
      const now = await ways.save(saved.value, sent, keepalive)
      if (of !== id.value) return
      // What was typed while it was on its way is still to be saved.
      typed.value = Object.fromEntries(
        Object.entries(typed.value).filter(([field, value]) => value !== sent[field as keyof Value]),
      ) as Partial<Value>
      saved.value = { ...saved.value, ...sent, ...now }
      saving.value = 'saved'
      await Promise.all([load(), ways.after?.()])
    } catch (error) {
      saving.value = 'failed'
      if (error instanceof ApiProblem && error.code === 'stale') theirs.value = ways.theirs(error.details)
      else notices.show(messageOf(error), { serious: true })
    }
  }
  let under = Promise.resolve()
  /** Saves what was typed; one change follows the other. */
  const flush = () => (under = under.then(() => send()))
  const rest = useDebounceFn(() => flush(), REST)

  async function change(said: string, next: Partial<Value>) {
    const of = open.value!
    const before = Object.fromEntries(
      Object.keys(next).map(field => [field, of[field as keyof Value]]),
    ) as unknown as Partial<Value>
    typed.value = { ...typed.value, ...next }
    await flush()
    if (saving.value === 'saved')
      notices.show(said, {
        undo: async () => {
          if (id.value !== of.id) return
          typed.value = { ...typed.value, ...before }
          await flush()
        },
      })
  }

  if (typeof window !== 'undefined')
    window.addEventListener('beforeunload', () => {
      void send(true)
    })

  return {
    open,
    openProblem: problem,
    saving,
    theirs,
    loadOpen: load,
    flush,
    /** Changes it; saved once the typing rests. */
    set(next: Partial<Value>) {
      typed.value = { ...typed.value, ...next }
      saving.value = 'saving'
      void rest()
    },
    /** Changes it at once, with a way back. */
    change,
    /** Shows another one; what was typed in the one before is saved first. */
    async show(next: string | null) {
      if (next === id.value) return
      await flush()
      id.value = next
      saved.value = null
      typed.value = {}
      theirs.value = null
      problem.value = ''
      saving.value = 'saved'
      await load()
    },
    /** Two windows changed it: puts one's own in the place of the other's, or takes that. */
    async settle(mine: boolean) {
      const other = theirs.value!
      theirs.value = null
      if (!mine) typed.value = {}
      saved.value = { ...saved.value!, ...other }
      saving.value = 'saved'
      if (mine) await flush()
      await load()
    },
  }
}
