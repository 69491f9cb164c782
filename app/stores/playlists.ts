import { defineStore } from 'pinia'
import { v7 as uuid } from 'uuid'
import { ref, shallowRef, watch } from 'vue'
import type { Playlist, PlaylistEntry } from '../../core/playlist/playlist'
import type { PlaylistAnswer, PlaylistLine, PlaylistRow } from '../../shared/playlists'
import type { SavedPlaylist } from '../../shared/workspaceItems'
import { api, messageOf } from '~/composables/api'
import { useSavedItem } from '~/composables/savedItem'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

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

  /** The open one. */
  const item = useSavedItem<Playlist, PlaylistAnswer>({
    read: id => api('GET /api/playlists/:id', { params: { id } }),
    save: ({ id, revision }, change, keepalive) =>
      api('PATCH /api/playlists/:id', { params: { id }, body: { revision, ...change }, keepalive }),
    theirs: details => (details as { theirs: SavedPlaylist }).theirs,
    after: load,
  })
  watch([() => workspace.id, () => changes.revisions.workspaces], () => void Promise.all([load(), item.loadOpen()]), {
    immediate: true,
  })
  watch([() => changes.revisions.briefs, () => changes.revisions.pages], () => void item.loadOpen())

  return {
    lines,
    problem,
    load,
    ...item,
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
        await item.flush()
        const now = (await api('GET /api/playlists', { query: { workspace: workspace.id } })).playlists.find(
          each => each.id === of,
        )
        if (!now) return
        const others = now.entries.filter(each => each.id !== entry.id || each.kind !== entry.kind)
        await api('PATCH /api/playlists/:id', {
          params: { id: of },
          body: { revision: now.revision, entries: put ? [...others, entry] : others },
        })
        await Promise.all([load(), item.loadOpen()])
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
