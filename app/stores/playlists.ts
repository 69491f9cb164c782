import { useDebounceFn } from '@vueuse/core'
import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { computed, ref, shallowRef, watch } from 'vue'
import type { Playlist, PlaylistEntry } from '../../core/playlist/playlist'
import type { PlaylistAnswer, PlaylistLine, PlaylistRow } from '../../shared/playlists'
import type { SavedPlaylist } from '../../shared/workspaceItems'
import { api, ApiProblem, messageOf } from '~/composables/api'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** What is typed is saved this long after the last letter, in milliseconds. */
const REST = 400

/** The playlists of the workspace at work, and the one that is open. */
export const usePlaylists = defineStore('playlists', () => {
  const workspace = useWorkspace()
  const changes = useChanges()
  const notices = useNotices()
  const lines = shallowRef<PlaylistLine[] | null>(null)
  const problem = ref('')

  async function load() {
    const of = workspace.id
    if (!of) return
    try {
      const { playlists } = await api('GET /api/playlists', { query: { workspace: of } })
      if (of !== workspace.id) return
      lines.value = playlists
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }

  const id = ref<string | null>(null)
  /** The open one as it is saved. */
  const saved = shallowRef<PlaylistAnswer | null>(null)
  /** What was changed in it since, not saved yet. */
  const typed = shallowRef<Partial<Playlist>>({})
  const openProblem = ref('')
  const saving = ref<'saved' | 'saving' | 'failed'>('saved')
  /** What another window saved meanwhile. */
  const theirs = shallowRef<SavedPlaylist | null>(null)
  const open = computed<PlaylistAnswer | null>(() => saved.value && { ...saved.value, ...typed.value })

  async function loadOpen() {
    const of = id.value
    if (!of) return
    try {
      const found = await api('GET /api/playlists/:id', { params: { id: of } })
      if (of !== id.value) return
      // While something typed is to be saved against it, the revision it was typed over stays.
      saved.value =
        Object.keys(typed.value).length && saved.value ? { ...found, revision: saved.value.revision } : found
      openProblem.value = ''
    } catch (error) {
      if (of === id.value) openProblem.value = messageOf(error)
    }
  }
  watch([() => workspace.id, () => changes.revisions.workspaces], () => void Promise.all([load(), loadOpen()]), {
    immediate: true,
  })
  watch([() => changes.revisions.briefs, () => changes.revisions.pages], () => void loadOpen())

  let under = Promise.resolve()
  /** Saves what was typed; one change follows the other. */
  const flush = () => (under = under.then(() => send()))
  async function send(keepalive = false) {
    const of = id.value
    const sent = typed.value
    if (!of || !saved.value || !Object.keys(sent).length || theirs.value) return
    saving.value = 'saving'
    try {
      const after = await api('PATCH /api/playlists/:id', {
        params: { id: of },
        body: { revision: saved.value.revision, ...sent },
        keepalive,
      })
      if (of !== id.value) return
      // What was typed while it was on its way is still to be saved.
      typed.value = Object.fromEntries(
        Object.entries(typed.value).filter(([field, value]) => value !== sent[field as keyof Playlist]),
      )
      saved.value = { ...saved.value!, ...after }
      saving.value = 'saved'
      await Promise.all([loadOpen(), load()])
    } catch (error) {
      saving.value = 'failed'
      if (error instanceof ApiProblem && error.code === 'stale')
        theirs.value = (error.details as { theirs: SavedPlaylist }).theirs
      else notices.show(messageOf(error), { serious: true })
    }
  }
  const rest = useDebounceFn(() => flush(), REST)

  /** Changes the open playlist; saved once the typing rests. */
  function set(change: Partial<Playlist>) {
    typed.value = { ...typed.value, ...change }
    saving.value = 'saving'
    void rest()
  }
  /** Changes it at once, with a way back. */
  async function change(said: string, next: Partial<Playlist>) {
    const of = open.value!
    const before = Object.fromEntries(Object.keys(next).map(field => [field, of[field as keyof Playlist]]))
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
    lines,
    problem,
    load,
    id,
    open,
    openProblem,
    saving,
    theirs,
    loadOpen,
    set,
    change,
    flush,
    /** Shows another playlist; what was typed in the one before is saved first. */
    async show(next: string | null) {
      if (next === id.value) return
      await flush()
      id.value = next
      saved.value = null
      typed.value = {}
      theirs.value = null
      openProblem.value = ''
      saving.value = 'saved'
      await loadOpen()
    },
    /** Two windows changed it: takes what the other one saved, or puts one's own in its place. */
    async settle(mine: boolean) {
      const other = theirs.value!
      theirs.value = null
      if (!mine) typed.value = {}
      saved.value = { ...saved.value!, ...other }
      saving.value = 'saved'
      if (mine) await flush()
      await loadOpen()
    },
    /** @returns its id, or `null` where it could not be made. */
    async make(value: Partial<Playlist> & Pick<Playlist, 'language'>): Promise<string | null> {
      const made = uuid()
      try {
        await api('POST /api/playlists', { body: { ...value, id: made, workspace: workspace.id } })
        await load()
        return made
      } catch (error) {
        notices.show(messageOf(error), { serious: true })
        return null
      }
    },
    async remove({ id: gone, title, description, lead, region, language, order, entries }: SavedPlaylist) {
      const of = workspace.id
      try {
        await api('DELETE /api/playlists/:id', { params: { id: gone } })
        await load()
        notices.show(`Playlist “${title || 'Untitled'}” deleted. What was in it stays.`, {
          undo: async () => {
            await api('POST /api/playlists', {
              body: { id: gone, title, description, lead, region, language, order, entries, workspace: of },
            })
            await load()
          },
        })
      } catch (error) {
        notices.show(messageOf(error), { serious: true })
      }
    },
    /** Puts something into a playlist that need not be open, or takes it out. */
    async hold({ id: of, title }: Pick<PlaylistLine, 'id' | 'title'>, entry: PlaylistEntry, held: boolean) {
      const act = async (put: boolean) => {
        await flush()
        const now = (await api('GET /api/playlists', { query: { workspace: workspace.id } })).playlists.find(
          each => each.id === of,
        )
        if (!now) return
        const others = now.entries.filter(each => each.id !== entry.id || each.kind !== entry.kind)
        await api('PATCH /api/playlists/:id', {
          params: { id: of },
          body: { revision: now.revision, entries: put ? [...others, entry] : others },
        })
        await Promise.all([load(), loadOpen()])
      }
      try {
        await act(held)
        notices.show(`${held ? 'Added to' : 'Taken out of'} “${title || 'Untitled'}”.`, { undo: () => act(!held) })
      } catch (error) {
        notices.show(messageOf(error), { serious: true })
      }
    },
    /** Entries as they are kept, in the order of rows. */
    entriesOf: (rows: readonly PlaylistRow[]): PlaylistEntry[] => rows.map(({ kind, id: of }) => ({ kind, id: of })),
  }
})
