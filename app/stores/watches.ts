import { group, range } from 'd3-array'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { MOST_AT_ONCE, type WatchesAnswer, type WatchRow } from '../../shared/ranks'
import { api, messageOf } from '~/composables/api'
import { counted } from '~/composables/figures'
import { useChanges } from './changes'
import { useJobs } from './jobs'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** What one request takes. */
const MOST_PHRASES = 200
const MOST_IDS = 500
const partsOf = <Row>(rows: readonly Row[], size: number): Row[][] =>
  range(0, rows.length, size).map(from => rows.slice(from, from + size))

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
      for (const part of partsOf(phrases, Math.min(MOST_PHRASES, Math.floor(MOST_AT_ONCE / regions.length)))) {
        const { job, ...found } = await api('POST /api/watches', {
          body: {
            videoId: ranks.video,
            phrases: part,
            regions: [...regions],
            language: workspace.language,
            kind: ranks.kind,
            every,
            workspace: workspace.id,
          },
        })
        answer.value = found
        if (job) await useJobs().follow(job)
      }
      problem.value = ''
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
    const alike = group(rows, ({ region, every, kind, language }) => [region, every, kind, language].join())
    for (const some of alike.values())
      for (const part of partsOf(some, MOST_PHRASES)) {
        const { videoId, region, every, kind, language } = part[0]!
        const phrases = part.map(({ phrase }) => phrase)
        await api('POST /api/watches', {
          body: { videoId, phrases, regions: [region], every, kind, language, workspace: workspace.id },
        })
      }
    await load()
  }
  async function drop(rows: readonly WatchRow[]) {
    if (!rows.length) return
    try {
      for (const part of partsOf(rows, MOST_IDS))
        await api('DELETE /api/watches', {
          query: { ids: part.map(({ id }) => id).join(','), workspace: workspace.id },
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
      const found = await api('GET /api/watches', { query: { workspace: workspace.id, limit: '0' } })
      const watched = new Set(found.videos)
      return videos.find(({ id }) => watched.has(id))?.id ?? ''
    } catch {
      // Whichever video is shown instead, the person can choose.
      return ''
    }
  }

  return { newest, answer, problem, saving, here, load, add, addRival, drop }
})
