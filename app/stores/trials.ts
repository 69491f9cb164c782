import { defineStore } from 'pinia'
import { computed, reactive, ref, shallowRef, watch } from 'vue'
import type { Edited } from '../../core/draft/manyEdit'
import type { Compared } from '../../core/ranks/sides'
import type { Trial } from '../../shared/trials'
import { api, messageOf } from '~/composables/api'
import { latestAnswer } from '~/composables/latestAnswer'
import { useChanges } from './changes'
import { useJobs } from './jobs'
import { useNotices } from './notices'
import { useRanks } from './ranks'
import { useWorkspace } from './workspace'

/** What is tried: a check, by changes of a field. */
export interface TrialOf {
  check: string
  field: Edited
}

/** Trials over one’s own videos, and what could be tried. */
export const useTrials = defineStore('trials', () => {
  const workspace = useWorkspace()
  const ranks = useRanks()
  const notices = useNotices()
  const jobs = useJobs()
  const { revisions } = useChanges()
  const terms = reactive({ ruleSet: 'balanced', outcome: 'views' as Compared, weeks: 4, waves: 3 })
  /** What is looked at before it is tried; `null` for nothing. */
  const of = shallowRef<TrialOf | null>(null)
  /** Videos that are left out. */
  const left = shallowRef<ReadonlySet<string>>(new Set())
  const { follow: followMade, ...made } = latestAnswer(() =>
    api('GET /api/trials', { query: { workspace: workspace.id } }),
  )
  const asked = () => {
    const { ruleSet, outcome, weeks } = terms
    return { workspace: workspace.id, region: ranks.region ?? undefined, ruleSet, outcome, weeks }
  }
  const { follow: followQuestions, ...questions } = latestAnswer(() =>
    api('GET /api/trials/questions', { query: asked() }),
  )
  const { follow: followFits, ...looked } = latestAnswer(async () =>
    of.value ? (await api('GET /api/trials/questions', { query: { ...asked(), ...of.value } })).fits : [],
  )
  watch(of, () => {
    left.value = new Set()
  })
  /** Why figures of the videos could not be asked for; '' where nothing went wrong. */
  const notAsked = ref('')
  /** Figures that are due are asked for, in a job: without them nothing can be compared. */
  async function loadFigures() {
    try {
      await api('POST /api/videos/views', { query: { workspace: workspace.id } })
      notAsked.value = ''
    } catch (error) {
      notAsked.value = messageOf(error)
    }
  }
  /** Shows them for the workspace at work, from now on. @returns how to stop. */
  function follow(): () => void {
    const from = [() => workspace.id, () => ranks.region, () => terms.ruleSet, () => terms.outcome, () => terms.weeks]
    const ends = [
      watch(() => workspace.id, loadFigures, { immediate: true }),
      followMade([() => workspace.id], [() => revisions.ranks]),
      followQuestions(from, [() => revisions.ranks]),
      followFits([...from, of], [() => revisions.ranks]),
    ]
    return () => {
      for (const end of ends) end()
    }
  }
  /** Figures are on their way. */
  const asksFigures = computed(() => jobs.running.some(({ kind }) => kind === 'views'))
  const fits = computed(() => looked.answer.value ?? [])
  const chosen = computed(() => fits.value.filter(({ videoId }) => !left.value.has(videoId)))
  function toggle(video: string) {
    const next = new Set(left.value)
    if (!next.delete(video)) next.add(video)
    left.value = next
  }

  // A wave came to its end.
  watch(
    () => jobs.ended,
    () => made.load(),
  )

  const busy = ref(false)
  /** Does one thing at a time, and says why it cannot be done. */
  async function act<Answer>(work: () => Promise<Answer>): Promise<Answer | null> {
    if (busy.value) return null
    busy.value = true
    try {
      return await work()
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      return null
    } finally {
      busy.value = false
    }
  }
  /** Draws a trial over the chosen videos. @returns its id. */
  const start = () =>
    act(async () => {
      const seen = Object.fromEntries(chosen.value.map(each => [each.videoId, each.seen]))
      const { trial } = await api('POST /api/trials', { body: { ...asked(), ...of.value!, waves: terms.waves, seen } })
      await Promise.all([made.load(), questions.load()])
      of.value = null
      return trial.id
    })
  const beginWave = (trial: Trial) =>
    act(async () => {
      const call = { params: { trial: trial.id }, body: { workspace: workspace.id } }
      const { trial: begun } = await api('POST /api/trials/:trial/wave', call)
      await made.load()
      const job = begun.waves.findLast(({ run }) => run)?.run?.job
      if (job) await jobs.follow(job)
    })
  const stop = (trial: Trial) =>
    act(async () => {
      await api('DELETE /api/trials/:trial', { params: { trial: trial.id }, query: { workspace: workspace.id } })
      await Promise.all([made.load(), questions.load()])
    })
  return {
    terms,
    of,
    left,
    made,
    questions,
    looked,
    notAsked,
    asksFigures,
    follow,
    fits,
    chosen,
    toggle,
    busy,
    start,
    beginWave,
    stop,
  }
})
