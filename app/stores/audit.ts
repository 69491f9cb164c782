import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { briefIdOf, type AuditEdit, type AuditLine, type AuditRow } from '../../shared/audit'
import { api, apiResponse, messageOf, readLines } from '~/composables/api'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** The table is drawn anew this often while rows come, in milliseconds; a longer one takes longer to draw. */
const TOLD_EVERY = 300
/** For how long a video is put off. */
const OFF_DAYS = 90

/** The videos of the channel that are out, with what their texts lack. */
export const useAudit = defineStore('audit', () => {
  const ranks = useRanks()
  const workspace = useWorkspace()
  const notices = useNotices()
  const rows = shallowRef<AuditRow[]>([])
  const problem = ref('')
  const running = ref(false)
  /** How far it is; `null` where that is not known yet. */
  const progress = ref<{ done: number; of: number; what: 'weighed' | 'scored' } | null>(null)
  /** How many there are; what came may be fewer where it was stopped or broke off. */
  const all = ref(0)
  const ruleSet = ref('balanced')
  let stop: AbortController | null = null

  const query = computed(() => ({ workspace: workspace.id, region: ranks.region ?? undefined, ruleSet: ruleSet.value }))

  async function load() {
    stop?.abort()
    const mine = (stop = new AbortController())
    running.value = true
    problem.value = ''
    progress.value = null
    rows.value = []
    const found: AuditRow[] = []
    let drawn = performance.now()
    all.value = 0
    try {
      const response = await apiResponse('GET /api/videos/audit', { query: query.value, signal: mine.signal })
      for await (const line of readLines<AuditLine>(response)) {
        if (mine !== stop) return
        if ('weighed' in line) progress.value = { done: line.weighed, of: line.of, what: 'weighed' }
        else if ('rows' in line) all.value = line.rows
        else found.push(line)
        if (!found.length || performance.now() - drawn < TOLD_EVERY + found.length / 5) continue
        drawn = performance.now()
        rows.value = [...found]
        progress.value = { done: found.length, of: all.value, what: 'scored' }
      }
      if (found.length < all.value) throw new Error('Not all videos could be looked at. Try again.')
    } catch (error) {
      if (mine === stop && !mine.signal.aborted) problem.value = messageOf(error)
    } finally {
      if (mine === stop) {
        rows.value = found
        running.value = false
      }
    }
  }
  /** Asks again when the question changes, from now on. @returns how to end that. */
  function follow() {
    const ends = watch(
      () => JSON.stringify(query.value),
      () => void load(),
      { immediate: true },
    )
    return () => {
      ends()
      stop?.abort()
    }
  }

  const mark = (id: string, off: boolean) => {
    rows.value = rows.value.map(row => (row.videoId === id ? { ...row, off } : row))
  }
  /** Proposes a video again. */
  async function takeUp({ videoId }: AuditRow) {
    try {
      await api('DELETE /api/next/off', { query: { workspace: workspace.id, key: `mend:${videoId}` } })
      mark(videoId, false)
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
  /** Does not propose it for some months. */
  async function putOff(row: AuditRow) {
    try {
      const body = { workspace: workspace.id, key: `mend:${row.videoId}`, days: OFF_DAYS }
      await api('POST /api/next/off', { body })
      mark(row.videoId, true)
      notices.show(`“${row.title}” put off for three months.`, { undo: () => takeUp(row) })
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }

  /** A brief with the texts of a video, its edit taken; where it came of one, that one. @returns its id. */
  async function toBrief(row: AuditRow, edit: AuditEdit | null): Promise<string> {
    if (row.brief) return row.brief
    const query = { workspace: workspace.id, video: row.videoId }
    const [texts] = (await api('GET /api/videos/texts', { query })).videos
    if (!texts) throw new Error('This video is no longer known. Look at your channel again in the Library.')
    const fields = {
      topic: texts.title.slice(0, 200),
      title: texts.title,
      description: texts.description ?? '',
      tags: texts.tags ?? [],
      language: workspace.current?.language ?? 'en',
      ...(ranks.region ? { region: ranks.region } : {}),
      ruleSet: ruleSet.value,
      tray: { lead: row.lead || null, support: [], setAside: [] },
      ...(edit ? { [edit.field]: edit.value } : {}),
    }
    const id = briefIdOf(workspace.id!, row.videoId)
    const { deletedAt } = await api('POST /api/briefs', { body: { id, fields, workspace: workspace.id } })
    // It was made before, and deleted.
    if (deletedAt !== null) await api('POST /api/briefs/:id/restore', { params: { id } })
    return id
  }

  return {
    rows,
    problem,
    running,
    progress,
    all,
    ruleSet,
    load,
    follow,
    putOff,
    takeUp,
    toBrief,
    /** Ends the work; what came stays. */
    stop() {
      stop?.abort()
      running.value = false
    },
  }
})
