import * as Comlink from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch, type Ref } from 'vue'
import type { Cover } from '../../core/draft/cover'
import type { DraftContext } from '../../core/draft/context'
import type { DraftTexts, Fix } from '../../core/draft/draft'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import { draftOf, type BriefFields } from '../../core/brief/brief'
import type { Score } from '../../core/draft/score'
import type { ScoreConfiguration, Scored, ScoreWorker } from '~/workers/score.worker'

const configurationOf = (
  { tray, language }: BriefFields,
  ruleSet: RuleSet,
  profile: LimitProfile,
  context: DraftContext,
): ScoreConfiguration => ({
  ruleSet: JSON.parse(JSON.stringify(ruleSet)) as RuleSet,
  profile: JSON.parse(JSON.stringify(profile)) as LimitProfile,
  phrases: { lead: tray.lead ?? '', support: [...tray.support] },
  language,
  context,
})

/**
 * The score of the open brief's text, worked out in a web worker. At most one question is under
 * way; what was typed meanwhile is asked in the next frame. Answers carry the revision they were asked
 * for: one of another brief, or older than what is shown, is dropped.
 */
export function useScore(
  id: Ref<string | null>,
  fields: Ref<BriefFields | null>,
  ruleSet: Ref<RuleSet>,
  profile: Ref<LimitProfile>,
  context: Ref<DraftContext>,
) {
  const worker = new Worker(new URL('../workers/score.worker.ts', import.meta.url), { type: 'module' })
  const remote = Comlink.wrap<ScoreWorker>(worker)
  const scored = shallowRef<Scored | null>(null)
  const problem = ref('')
  // A worker that cannot be loaded answers nothing: without a word the score would stay a dash.
  worker.addEventListener('error', event => {
    problem.value = 'The score cannot be worked out in this window. Reload the page; what you typed is saved.'
    busy = false
    event.preventDefault()
  })
  let busy = false
  let due = false
  let gone = false
  let rev = 0
  let configured = ''

  async function run() {
    if (busy || !fields.value) {
      due = true
      return
    }
    busy = true
    due = false
    const of = id.value
    try {
      const given = toRaw(fields.value)
      const configuration = configurationOf(given, toRaw(ruleSet.value), toRaw(profile.value), toRaw(context.value))
      const key = JSON.stringify(configuration)
      if (key !== configured) {
        await remote.configure(configuration)
        configured = key
      }
      const got = await remote.score({ rev: ++rev, draft: draftOf(given) })
      if (!gone && of === id.value && got.rev > (scored.value?.rev ?? 0)) scored.value = got
      problem.value = ''
    } catch (error) {
      problem.value = `The score could not be worked out: ${(error as Error).message}`
    } finally {
      busy = false
      if (due && !gone) requestAnimationFrame(() => void run())
    }
  }

  watch(id, () => {
    scored.value = null
  })
  watch(fields, () => void run(), { deep: true, immediate: true })
  watch([context, ruleSet, profile], () => void run())
  onBeforeUnmount(() => {
    gone = true
    worker.terminate()
  })
  return {
    scored: computed(() => scored.value),
    problem,
    /** What a change would bring. */
    gainOf: (fix: Fix): Promise<number> => remote.gain(draftOf(toRaw(fields.value!)), fix),
    /** The score of another text, such as an earlier version, by the brief's rules. */
    scoreOf: (draft: DraftTexts): Promise<Score> => remote.scoreOf(draft),
    /** The score of the open text under another rule set. */
    scoreUnder: (set: RuleSet): Promise<Score> =>
      remote.scoreUnder(draftOf(toRaw(fields.value!)), JSON.parse(JSON.stringify(set)) as RuleSet),
    cover: (): Promise<Cover> => remote.cover(draftOf(toRaw(fields.value!))),
  }
}
