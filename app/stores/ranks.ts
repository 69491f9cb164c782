import { group } from 'd3-array'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { bringsOf, type Brings } from '../../core/ranks/brings'
import { dayNamed, isFresh, rankDay, standingOf, type RankDay, type RankStanding } from '../../core/ranks/standing'
import { SHARES } from '../../core/rivals/winnings'
import { phraseKey } from '../../core/text/words'
import type { RankRow } from '../../shared/ranks'
import type { OwnTexts } from '../../shared/rivals'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useTray } from './tray'
import { useWorkspace } from './workspace'

export type RankKind = 'site' | 'web'
/** One phrase of a video: how it stands, and what that brings. */
export interface RankLine {
  phrase: string
  /** The letter of the tray; '' for one that is not in it. */
  mark: string
  days: RankDay[]
  standing: RankStanding | null
  searches: number | null
  brings: Brings | null
}

/** How one of my videos stands for its phrases, day by day. */
export const useRanks = defineStore('ranks', () => {
  const brief = useBrief()
  const tray = useTray()
  const workspace = useWorkspace()
  const videos = shallowRef<OwnTexts[] | null>(null)
  const video = ref('')
  const kind = ref<RankKind>('site')
  const region = ref<string | null>(null)
  const rows = shallowRef<RankRow[] | null>(null)
  const searches = shallowRef(new Map<string, number | null>())
  const shares = shallowRef<readonly number[]>(SHARES)
  const problem = ref('')
  /** What could not be looked up last, and why. */
  const missed = shallowRef<{ phrase: string; message: string }[]>([])
  const language = computed(() => workspace.language)

  async function loadVideos() {
    try {
      const [found, set] = await Promise.all([
        api('GET /api/videos/texts', { query: { workspace: workspace.id } }),
        workspace.id ? api('GET /api/workspaces/:id/settings', { params: { id: workspace.id } }) : null,
      ])
      videos.value = found.videos
      shares.value = set?.settings.shares ?? SHARES
      problem.value = ''
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  async function loadOfBrief() {
    const id = brief.brief?.id
    ofBrief.value = ''
    if (!id) return
    try {
      const found = await api('GET /api/briefs/:id/video', { params: { id } })
      if (brief.brief?.id === id) ofBrief.value = found.video ?? ''
    } catch {
      // Whichever video is shown instead, the person can choose.
    }
  }
  const asked = () => ({ videoId: video.value, kind: kind.value, region: region.value ?? 'everywhere' })
  async function load() {
    const query = asked()
    if (!query.videoId) return
    try {
      const found = await api('GET /api/ranks', { query })
      if (JSON.stringify(query) !== JSON.stringify(asked())) return
      rows.value = found.rows
      await figures()
      problem.value = ''
    } catch (error) {
      if (JSON.stringify(query) === JSON.stringify(asked())) problem.value = messageOf(error)
    }
  }
  watch([video, kind, region], () => {
    rows.value = null
    missed.value = []
    void load()
  })

  // Others looked something up, or it was looked up by itself.
  watch(
    () => useChanges().revisions.ranks,
    () => void (progress.value ?? load()),
  )

  const here = computed(() => group(rows.value ?? [], row => row.phrase))
  /** The video that the open brief became; '' for none. */
  const ofBrief = ref('')
  /** One that was looked up over time has phrases of its own: those of another video's brief are not its. */
  const isTrayWanted = computed(
    () => video.value === ofBrief.value || new Set(rows.value?.map(({ day }) => day)).size < 2,
  )
  /** Of the phrases in the tray, and those that were looked up. */
  const phrases = computed(() => [
    ...new Set([
      ...(isTrayWanted.value ? tray.phrases.map(({ phrase }) => phraseKey(phrase)) : []),
      ...here.value.keys(),
    ]),
  ])
  async function figures() {
    const list = phrases.value
    if (!list.length) return
    const found = await api('POST /api/phrases/figures', {
      body: { phrases: list, region: region.value, language: language.value, workspace: workspace.id },
    })
    searches.value = new Map(found.rows.map(row => [row.phrase, row.volume]))
  }
  watch(phrases, () => void (video.value && figures().catch(() => undefined)))

  const marks = computed(() => new Map(tray.phrases.map(({ phrase, mark }) => [phraseKey(phrase), mark])))
  const lines = computed<RankLine[]>(() =>
    phrases.value.map(phrase => {
      const days = (here.value.get(phrase) ?? []).map(({ day, rank, depth }) => ({
        day: dayNamed(day),
        rank,
        depth,
      }))
      const standing = standingOf(days)
      const known = searches.value.get(phrase) ?? null
      return {
        phrase,
        mark: marks.value.get(phrase) ?? '',
        days,
        standing,
        searches: known,
        // Searches and shares are the site's: how many look at a block of web search nobody tells.
        brings:
          kind.value === 'web' || !standing || !isFresh(standing.now, rankDay(now()))
            ? null
            : bringsOf(known, standing.now.rank, shares.value),
      }
    }),
  )

  /** How many of how many phrases are looked up; `null` while nothing is. */
  const progress = ref<{ done: number; of: number } | null>(null)
  let stopped = false
  /** Looks phrases up one after the other; what was found stays when it is stopped. */
  async function look(list: readonly string[] = phrases.value) {
    const of = video.value
    stopped = false
    missed.value = []
    progress.value = { done: 0, of: list.length }
    for (const phrase of list) {
      if (stopped || of !== video.value) break
      try {
        const found = await api('POST /api/ranks/look', {
          body: {
            videoId: of,
            phrases: [phrase],
            region: region.value,
            language: language.value,
            kind: kind.value,
            workspace: workspace.id,
          },
        })
        missed.value = [...missed.value, ...found.problems]
      } catch (error) {
        missed.value = [...missed.value, { phrase, message: messageOf(error) }]
      }
      progress.value = { done: progress.value.done + 1, of: list.length }
    }
    progress.value = null
    await load()
  }

  return {
    videos,
    video,
    kind,
    region,
    rows,
    lines,
    problem,
    missed,
    progress,
    loadVideos,
    load,
    look,
    stop: () => {
      stopped = true
    },
    ofBrief,
    loadOfBrief,
  }
})
