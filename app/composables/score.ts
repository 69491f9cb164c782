import * as Comlink from 'comlink'
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch, type Ref } from 'vue'
import type { Cover } from '../../core/draft/cover'
import type { DraftTexts, Fix } from '../../core/draft/draft'
import type { RuleSet } from '../../core/draft/ruleset'
import type { Score } from '../../core/draft/score'
import { sameAsBefore } from '~/composables/sameAsBefore'
import type { ScoreConfiguration, Scored, ScoreWorker } from '~/workers/score.worker'

/** A text, and what it is scored by. */
export interface ScoreQuestion extends ScoreConfiguration {
  draft: DraftTexts
}

/** Plain values, as a worker can be sent them. */
const plain = <Value>(value: Value): Value => JSON.parse(JSON.stringify(value)) as Value
/** The same for a text, whose captions may be long: only its lists are copied. */
const plainDraft = (draft: DraftTexts): DraftTexts =>
  Object.fromEntries(
    Object.entries(toRaw(draft)).map(([field, value]) => [field, Object(value) === value ? plain(value) : value]),
  )

/**
 * The score of a text, worked out in a web worker. At most one question is under
 * way; what was typed meanwhile is asked in the next frame. Answers carry the revision they were asked
 * for: one of another text, or older than what is shown, is dropped.
 */
export function useScore(id: Ref<string | null>, question: () => ScoreQuestion | null) {
  const asking = computed(question)
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
    if (busy || !asking.value) {
      due = true
      return
    }
    busy = true
    due = false
    const of = id.value
    try {
      const { draft, context, ...rules } = asking.value
      const configuration = { ...plain(rules), context: toRaw(context) }
      const key = JSON.stringify(configuration)
      if (key !== configured) {
        await remote.configure(configuration)
        configured = key
      }
      const got = await remote.score({ rev: ++rev, draft: plainDraft(draft) })
      if (!gone && of === id.value && got.rev > (scored.value?.rev ?? 0)) scored.value = sharing(got)
      problem.value = ''
    } catch (error) {
      problem.value = `The score could not be worked out: ${(error as Error).message}`
    } finally {
      busy = false
      if (due && !gone) requestAnimationFrame(() => void run())
    }
  }

  /** Checks and places that are the same as before stay the objects they were: only what changed is drawn anew. */
  const sharing = (got: Scored): Scored => ({
    ...got,
    score: sameAsBefore(scored.value?.score, got.score),
    insertions: sameAsBefore(scored.value?.insertions, got.insertions),
  })

  watch(id, () => {
    scored.value = null
  })
  watch(asking, () => void run(), { deep: true, immediate: true })
  onBeforeUnmount(() => {
    gone = true
    worker.terminate()
  })
  const now = () => plainDraft(asking.value!.draft)
  return {
    scored: computed(() => scored.value),
    problem,
    /** What a change would bring. */
    gainOf: (fix: Fix): Promise<number> => remote.gain(now(), fix),
    /** The score of another text, such as an earlier version, by the same rules. */
    scoreOf: (draft: DraftTexts): Promise<Score> => remote.scoreOf(draft),
    /** The score of the open text under another rule set. */
    scoreUnder: (set: RuleSet): Promise<Score> => remote.scoreUnder(now(), plain(set)),
    cover: (): Promise<Cover> => remote.cover(now()),
  }
}
