import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { EDITED, editLike, editedText, type Edited, type ManyEdit } from '../../core/draft/manyEdit'
import type { EditRun, ManyFits } from '../../shared/editMany'
import type { OwnTexts } from '../../shared/rivals'
import { api, messageOf } from '~/composables/api'
import { useJobs } from './jobs'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** It is looked where a change fits this long after the last letter, in milliseconds. */
const REST = 350
/** Differences that are drawn at once. */
const AT_ONCE = 100

/** One change made on a video, and in all others that it fits. */
export const useEditMany = defineStore('editMany', () => {
  const ranks = useRanks()
  const workspace = useWorkspace()
  const notices = useNotices()
  const jobs = useJobs()
  const sample = shallowRef<OwnTexts | null>(null)
  const field = ref<Edited>('description')
  /** The sample's text as it is changed; tags each on a line. */
  const text = ref('')
  /** Wherever the words stand, not only where they stand once. */
  const every = ref(false)
  const found = shallowRef<ManyFits | null>(null)
  const problem = ref('')
  /** How many differences are shown. */
  const reviewed = ref(AT_ONCE)
  /** Videos that are left out. */
  const left = shallowRef<ReadonlySet<string>>(new Set())
  const runs = shallowRef<EditRun[]>([])
  const starting = ref(false)

  const before = computed(() => {
    const value = sample.value?.[field.value]
    return value === undefined || value === null ? null : editedText(value)
  })
  const tagsOf = (lines: string) => lines.split('\n').flatMap(line => line.trim() || [])
  /** What was changed in the sample; `null` for nothing. */
  const edit = computed<ManyEdit | null>(() => {
    if (before.value === null || text.value === before.value) return null
    if (field.value === 'tags') return editLike('tags', tagsOf(before.value), tagsOf(text.value))
    const like = editLike(field.value, before.value, text.value)
    return like && 'find' in like && every.value ? { ...like, every: true } : like
  })

  /** Begins with a video’s text as it is. */
  function take(video: OwnTexts | null, of: Edited) {
    sample.value = video
    field.value = of
    text.value = before.value ?? ''
    every.value = false
  }

  let asked = 0
  async function look() {
    const mine = ++asked
    problem.value = ''
    if (!edit.value) {
      found.value = null
      return
    }
    try {
      const body = { workspace: workspace.id, edit: edit.value, dryRun: true }
      const answer = await api('POST /api/videos/edit-many', { body })
      if (mine !== asked || answer.run) return
      found.value = answer
      left.value = new Set()
      reviewed.value = AT_ONCE
    } catch (error) {
      if (mine === asked) problem.value = messageOf(error)
    }
  }
  watch(edit, (now, was) => {
    if (JSON.stringify(now) === JSON.stringify(was)) return
    // What was found is of another change, and so is an answer that is still under way.
    asked++
    found.value = null
  })
  watchDebounced(
    () => JSON.stringify(edit.value),
    () => void look(),
    { debounce: REST },
  )

  /** Those whose difference is shown: what nobody looked at is not changed. */
  const shown = computed(() => (found.value?.fits ?? []).slice(0, reviewed.value))
  const chosen = computed(() => shown.value.filter(({ videoId }) => !left.value.has(videoId)))
  function toggle(id: string) {
    const now = new Set(left.value)
    if (!now.delete(id)) now.add(id)
    left.value = now
  }

  async function loadRuns() {
    try {
      runs.value = (await api('GET /api/videos/edit-many', { query: { workspace: workspace.id } })).runs
    } catch (error) {
      problem.value = messageOf(error)
    }
  }
  /** Changes those that are chosen, where they are still as they were shown. */
  async function start() {
    if (!edit.value || starting.value) return
    starting.value = true
    try {
      const body = {
        workspace: workspace.id,
        edit: edit.value,
        videoIds: chosen.value.map(({ videoId }) => videoId),
        seen: Object.fromEntries(chosen.value.map(({ videoId, seen }) => [videoId, seen])),
        dryRun: false,
      }
      const { run } = await api('POST /api/videos/edit-many', { body })
      take(null, field.value)
      await loadRuns()
      if (run?.job) await jobs.follow(run.job)
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    } finally {
      starting.value = false
    }
  }
  /** Takes a change back, or goes on with it. */
  async function ask(run: EditRun, what: 'undo' | 'resume') {
    try {
      const call = { params: { run: run.id }, body: { workspace: workspace.id } }
      const answer = await (what === 'undo'
        ? api('POST /api/videos/edit-many/:run/undo', call)
        : api('POST /api/videos/edit-many/:run/resume', call))
      await loadRuns()
      if (answer.run.job) await jobs.follow(answer.run.job)
      else notices.show('Nothing is left to change.')
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }
  // Work came to its end: texts and changes are different now.
  watch(
    () => jobs.ended,
    () => Promise.all([loadRuns(), ranks.loadVideos()]),
  )

  return {
    FIELDS: EDITED,
    sample,
    field,
    text,
    before,
    every,
    edit,
    found,
    problem,
    left,
    shown,
    chosen,
    showMore() {
      reviewed.value += AT_ONCE
    },
    runs,
    starting,
    take,
    look,
    toggle,
    loadRuns,
    start,
    undo: (run: EditRun) => ask(run, 'undo'),
    resume: (run: EditRun) => ask(run, 'resume'),
  }
})
