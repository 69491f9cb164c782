import * as Comlink from 'comlink'
import { onBeforeUnmount, ref, shallowRef, toRaw, watch, type Ref } from 'vue'
import type { BriefFields } from '../../shared/brief'
import type { Scored, ScoreWorker } from '~/workers/score.worker'

/**
 * The score of the open brief's text, worked out in a web worker. At most one question is under
 * way; what was typed meanwhile is asked in the next frame, and only the newest counts.
 */
export function useScore(fields: Ref<BriefFields | null>) {
  const worker = new Worker(new URL('../workers/score.worker.ts', import.meta.url), { type: 'module' })
  const remote = Comlink.wrap<ScoreWorker>(worker)
  const scored = shallowRef<Scored | null>(null)
  const problem = ref('')
  // A worker that cannot be loaded answers nothing: without a word the score would stay a dash.
  worker.addEventListener('error', (event) => {
    problem.value = 'The score cannot be worked out in this window. Reload the page; what you typed is saved.'
    busy = false
    event.preventDefault()
  })
  let busy = false
  let due = false
  let gone = false

  async function run() {
    if (busy || !fields.value) {
      due = true
      return
    }
    busy = true
    due = false
    try {
      const { title, description, tags, fileName, tray, ruleSet, language } = toRaw(fields.value)
      const draft = { title, description, tags: [...tags], ...(fileName ? { fileName } : {}) }
      const got = await remote.score(draft, { lead: tray.lead ?? '', support: [...tray.support] }, ruleSet, language)
      if (!gone) scored.value = got
      problem.value = ''
    } catch (error) {
      problem.value = `The score could not be worked out: ${(error as Error).message}`
    } finally {
      busy = false
      if (due && !gone) requestAnimationFrame(() => void run())
    }
  }

  watch(fields, () => void run(), { deep: true, immediate: true })
  onBeforeUnmount(() => {
    gone = true
    worker.terminate()
  })
  return { scored, problem }
}
