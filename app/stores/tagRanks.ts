import { defineStore } from 'pinia'
import { ref, shallowRef, watch } from 'vue'
import { dayName, dayNamed, FRESH_DAYS, rankDay, type RankDay } from '../../core/ranks/standing'
import { phraseKey } from '../../core/text/words'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { useBrief } from './brief'
import { useChanges } from './changes'

/** Where the video that the open brief became stands for its tags. */
export const useTagRanks = defineStore('tagRanks', () => {
  const brief = useBrief()
  const { revisions } = useChanges()
  /** '' while there is none. */
  const video = ref('')
  const last = shallowRef<ReadonlyMap<string, RankDay>>(new Map())
  const problem = ref('')
  /** How many of how many tags are looked up; `null` while none are. */
  const progress = ref<{ done: number; of: number } | null>(null)
  let stopped = false

  const region = () => brief.fields?.region ?? null
  async function load() {
    const id = brief.brief?.id
    try {
      const found = id ? (await api('GET /api/briefs/:id/video', { params: { id } })).video : null
      const rows = found
        ? (
            await api('GET /api/ranks', {
              query: {
                videoId: found,
                kind: 'site',
                region: region() ?? 'everywhere',
                from: dayName(rankDay(now()) - FRESH_DAYS + 1),
              },
            })
          ).rows
        : []
      if (id !== brief.brief?.id) return
      video.value = found ?? ''
      // Days come in their order: the last one stays.
      last.value = new Map(rows.map(({ phrase, day, rank, depth }) => [phrase, { day: dayNamed(day), rank, depth }]))
      problem.value = ''
    } catch (error) {
      if (id === brief.brief?.id) problem.value = messageOf(error)
    }
  }
  /** Looks tags up one after the other; what was found stays when it is stopped. */
  async function look(tags: readonly string[]) {
    const of = brief.brief
    if (!of || !brief.fields || !video.value) return
    const { language } = brief.fields
    stopped = false
    problem.value = ''
    progress.value = { done: 0, of: tags.length }
    const failed: string[] = []
    for (const tag of tags) {
      if (stopped || of.id !== brief.brief?.id) break
      try {
        const body = {
          videoId: video.value,
          phrases: [tag],
          region: region(),
          language,
          kind: 'site' as const,
          workspace: of.workspaceId,
        }
        failed.push(...(await api('POST /api/ranks/look', { body })).problems.map(({ message }) => message))
      } catch (error) {
        failed.push(messageOf(error))
      }
      progress.value = { done: progress.value.done + 1, of: tags.length }
    }
    progress.value = null
    await load()
    if (failed.length) problem.value = failed[0]!
  }
  return {
    video,
    problem,
    progress,
    /** The last look of four weeks; `undefined` where nobody looked. */
    of: (tag: string): RankDay | undefined => last.value.get(phraseKey(tag)),
    look,
    /** Ends the work; what was found stays. */
    stop() {
      stopped = true
    },
    /** Shows those of the open brief, from now on. @returns how to end that. */
    follow: () =>
      watch(
        [() => brief.brief?.id, region, () => brief.fields?.videoAddress, () => revisions.ranks],
        () => void load(),
        {
          immediate: true,
        },
      ),
  }
})
