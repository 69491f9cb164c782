import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { WatchesAnswer, WatchRow } from '../../shared/ranks'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useChanges } from './changes'
import { useJobs } from './jobs'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** Which phrases of the video shown in Ranks are looked up again and again, and what that costs. */
export const useWatches = defineStore('watches', () => {
  const ranks = useRanks()
  const workspace = useWorkspace()
  const notices = useNotices()
  const answer = shallowRef<WatchesAnswer | null>(null)
  const problem = ref('')
  const saving = ref(false)

  async function load() {
    const of = ranks.video
    if (!of) return
    try {
      const found = await api('GET /api/watches', { query: { videoId: of, workspace: workspace.id } })
      if (of === ranks.video) answer.value = found
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  watch(
    () => ranks.video,
    () => {
      answer.value = null
      void load()
    },
    { immediate: true },
  )
  watch(
    () => useChanges().revisions.ranks,
    () => void load(),
  )

  /** Those of the kind and region that are shown, by phrase. */
  const here = computed(
    () =>
      new Map(
        (answer.value?.watches ?? [])
          .filter(({ kind, region }) => kind === ranks.kind && region === ranks.region)
          .map(row => [row.phrase, row]),
      ),
  )

  /** @param regions '' for everywhere. @returns whether it is watched now. */
  async function add(phrases: readonly string[], regions: readonly string[], every: number): Promise<boolean> {
    saving.value = true
    try {
      const { job, ...found } = await api('POST /api/watches', {
        body: {
          videoId: ranks.video,
          phrases: [...phrases],
          regions: [...regions],
          language: workspace.language,
          kind: ranks.kind,
          every,
          workspace: workspace.id,
        },
      })
      answer.value = found
      problem.value = ''
      if (job) await useJobs().follow(job)
      return true
    } catch (error) {
      problem.value = messageOf(error)
      return false
    } finally {
      saving.value = false
    }
  }

  /** Looks a rival up along with mine, as often as mine is. */
  async function addRival(videoId: string, phrase: string) {
    const mine = here.value.get(phrase)
    if (!mine) return
    const { kind, region, language, every } = mine
    try {
      await api('POST /api/watches', {
        body: { videoId, phrases: [phrase], regions: [region], kind, language, every, workspace: workspace.id },
      })
    } catch (error) {
      problem.value = messageOf(error)
    }
  }

  async function again(rows: readonly WatchRow[]) {
    for (const { phrase, region, every, kind, language, videoId } of rows)
      await api('POST /api/watches', {
        body: { videoId, phrases: [phrase], regions: [region], every, kind, language, workspace: workspace.id },
      })
    await load()
  }
  async function drop(rows: readonly WatchRow[]) {
    if (!rows.length) return
    try {
      await api('DELETE /api/watches', {
        query: { ids: rows.map(({ id }) => id).join(','), workspace: workspace.id },
      })
      await load()
      const what = rows.length === 1 ? `“${rows[0]!.phrase}” is` : `${counted(rows.length, 'phrase')} are`
      notices.show(`${what} no longer watched. Known ranks stay.`, { undo: () => again(rows) })
    } catch (error) {
      problem.value = messageOf(error)
    }
  }

  /** The first of some videos that is watched; '' where none is. */
  async function newest(videos: readonly { id: string }[]): Promise<string> {
    try {
      const found = await api('GET /api/watches', { query: { workspace: workspace.id } })
      const watched = new Set(found.watches.map(({ videoId }) => videoId))
      return videos.find(({ id }) => watched.has(id))?.id ?? ''
    } catch {
      // Whichever video is shown instead, the person can choose.
      return ''
    }
  }

  return { newest, answer, problem, saving, here, load, add, addRival, drop }
})
