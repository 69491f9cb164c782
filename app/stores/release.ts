import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { checklistSchema, type Checklist } from '../../core/release/checklist'
import { inZone } from '../../core/release/inZone'
import { leftOf, readiness, type ReleasePoint } from '../../core/release/readiness'
import { handedState, handOverSteps } from '../../core/release/handOver'
import { SHEET_QUESTIONS, type QuestionId, type SheetAnswers } from '../../core/release/sheet'
import { stageOf } from '../../core/release/stage'
import type { ReadinessAnswer } from '../../shared/release'
import { api, messageOf } from '~/composables/api'
import { now } from '~/composables/clock'
import { counted } from '~/composables/figures'
import { useBrief } from './brief'
import { useNotices } from './notices'
import { usePublish } from './publish'
import { useThumbnails } from './thumbnails'

/** The hour goes by while the sheet is looked at. */
const TICK = 30_000

/**
 * How far the open brief is from its release. What surrounds it is asked of the server; the points are worked out here
 * from what stands in the brief now, by the same rules.
 */
export const useRelease = defineStore('release', () => {
  const brief = useBrief()
  const notices = useNotices()
  const limits = useLimits()
  const thumbnails = useThumbnails()
  const publish = usePublish()
  const around = shallowRef<ReadinessAnswer | null>(null)
  const of = ref('')
  const problem = ref('')
  const time = ref(now())
  setInterval(() => (time.value = now()), TICK)

  const zone = computed(() => around.value?.timeZone ?? 'UTC')
  const inWords = (at: number) => inZone(at, zone.value)
  const points = computed<ReleasePoint[] | null>(() => {
    if (!brief.fields || !around.value || of.value !== brief.brief?.id) return null
    const { account, playlists, pictures, checklist } = around.value
    return readiness({
      fields: brief.fields,
      profile: limits.value,
      playlists,
      pictures: [...pictures, ...(thumbnails.items ?? []).map(({ value }) => value.hash)],
      rights: account.rights,
      checklist,
      now: time.value,
      inWords,
    })
  })
  const left = computed(() => (points.value ? leftOf(points.value) : []))
  const steps = computed(() =>
    brief.fields && around.value
      ? handOverSteps(brief.fields, {
          playlists: around.value.playlists,
          rights: around.value.account.rights,
          inWords,
        })
      : [],
  )
  const toHand = computed(() => steps.value.filter(step => handedState(step, brief.fields!) !== 'done'))
  const stage = computed(() =>
    brief.fields && points.value
      ? stageOf(brief.fields, {
          published: publish.answer?.publication?.state === 'out' || (around.value?.published ?? false),
          handedOver: () => steps.value.length > 0 && toHand.value.length === 0,
          left: () => left.value.length,
        })
      : null,
  )

  async function load(anew = false) {
    const id = brief.brief?.id
    if (!id) return
    try {
      // A live service is asked by POST alone.
      if (anew) await api('POST /api/account', { query: { workspace: brief.brief!.workspaceId, anew: '1' } })
      const found = await api('GET /api/briefs/:id/readiness', { params: { id } })
      if (brief.brief?.id !== id) return
      around.value = found
      of.value = id
      problem.value = ''
    } catch (error) {
      if (brief.brief?.id === id) problem.value = messageOf(error)
    }
  }

  /** Answers a question; `null` takes the answer back. */
  function answer<Id extends QuestionId>(id: Id, value: SheetAnswers[Id]) {
    if (brief.fields) brief.set('sheet', { ...brief.fields.sheet, [id]: value }, true)
  }

  /** What is usually answered where nothing is yet. */
  const offered = computed(() => {
    const usual = around.value?.usual ?? {}
    return SHEET_QUESTIONS.filter(
      ({ id }) => usual[id] && points.value?.some(point => point.id === id && point.state === 'unanswered'),
    ).map(({ id }) => id)
  })
  function takeUsual() {
    const { usual } = around.value!
    const taken = Object.fromEntries(offered.value.map(id => [id, usual[id]!.value]))
    const text = `${counted(offered.value.length, 'usual answer')} taken.`
    brief.change(text, 'sheet', { ...brief.fields!.sheet, ...taken } as SheetAnswers)
  }

  function tick(id: string, on: boolean) {
    const { [id]: _, ...rest } = brief.fields!.ticked
    brief.set('ticked', on ? { ...rest, [id]: now() } : rest, true)
  }

  /** Notes that a step is handed over as it stands, or that it is not. */
  function hand(id: string, on: boolean) {
    const step = steps.value.find(each => each.id === id)
    if (!step) return
    const { [id]: _, ...rest } = brief.fields!.handed
    brief.set('handed', on ? { ...rest, [id]: { at: now(), digest: step.digest } } : rest, true)
  }

  /** Saves the channel's checklist. @returns whether it was; why not is said. */
  async function setChecklist(next: Checklist, workspace = brief.brief!.workspaceId): Promise<boolean> {
    const before = workspace === brief.brief?.workspaceId ? around.value?.checklist : undefined
    const { success, error } = checklistSchema.safeParse(next)
    if (!success) {
      notices.show(error.issues[0]!.message, { serious: true })
      return false
    }
    try {
      await api('PUT /api/workspaces/:id/settings', { params: { id: workspace }, body: { checklist: next } })
      await load()
      // The way back knows its channel: another one may be looked at by then.
      notices.show('Checklist saved.', before ? { undo: async () => void (await setChecklist(before, workspace)) } : {})
      return true
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
      return false
    }
  }

  return {
    around,
    problem,
    points,
    left,
    steps,
    toHand,
    stage,
    zone,
    offered,
    inWords,
    load,
    answer,
    takeUsual,
    tick,
    hand,
    setChecklist,
  }
})
