import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { dayName, dayNamed, FRESH_DAYS, rankDay, type RankDay } from '../../core/ranks/standing'
import { phraseKey } from '../../core/text/words'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { latestAnswer } from '~/composables/latestAnswer'
import { useBrief } from './brief'
import { useChanges } from './changes'

/** Where the video that the open brief became stands for its tags. */
export const useTagRanks = defineStore('tagRanks', () => {
  const brief = useBrief()
  const { revisions } = useChanges()
  /** How many of how many tags are looked up; `null` while none are. */
  const progress = ref<{ done: number; of: number } | null>(null)
  let stopped = false

  const region = () => brief.fields?.region ?? null
  const { answer, problem, load, follow } = latestAnswer(async () => {
    const id = brief.brief?.id
    const video = id ? (await api('GET /api/briefs/:id/video', { params: { id } })).video : null
    const from = dayName(rankDay(now()) - FRESH_DAYS + 1)
    const query = { videoId: video ?? '', kind: 'site', region: region() ?? 'everywhere', from }
    const rows = video ? (await api('GET /api/ranks', { query })).rows : []
    // Days come in their order: the last one stays.
    const last = rows.map(({ phrase, day, rank, depth }) => [phrase, { day: dayNamed(day), rank, depth }] as const)
    return { video, last: new Map<string, RankDay>(last) }
  })
  /** `null` while there is none. */
  const video = computed(() => answer.value?.video ?? null)
  /** Looks tags up one after the other; what was found stays when it is stopped. */
  async function look(tags: readonly string[]) {
    const of = brief.brief
    const videoId = video.value
    if (!of || !brief.fields || !videoId) return
    const { language } = brief.fields
    stopped = false
    problem.value = ''
    progress.value = { done: 0, of: tags.length }
    const failed: string[] = []
    for (const tag of tags) {
      if (stopped || of.id !== brief.brief?.id) break
      try {
        const body = {
          videoId,
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
    of: (tag: string): RankDay | undefined => answer.value?.last.get(phraseKey(tag)),
    look,
    /** Ends the work; what was found stays. */
    stop() {
      stopped = true
    },
    /** Shows those of the open brief, from now on. @returns how to end that. */
    follow: () => follow([() => brief.brief?.id, region, () => brief.fields?.videoAddress], [() => revisions.ranks]),
  }
})
