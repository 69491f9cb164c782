import { defineStore } from 'pinia'
import { ref, shallowRef } from 'vue'
import type { ResultsAnswer, RivalRow } from '../../shared/rivals'
import { api, EVERY_REGION, messageOf } from '~/composables/api'
import { useAccess } from './access'
import { useChanges } from './changes'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

export interface RivalsQuestion {
  phrase: string
  region: string | null
  language: string
  depth: number
  from: 'site' | 'web'
  /** An earlier day; the newest page without one. */
  day?: string
}

/** The result page of a phrase as it is kept, and what is taken out of it. */
export const useRivals = defineStore('rivals', () => {
  const access = useAccess()
  const notices = useNotices()
  const changes = useChanges()
  const workspace = useWorkspace()
  const page = shallowRef<ResultsAnswer | null>(null)
  const state = ref<'empty' | 'loading' | 'ready' | 'failed'>('empty')
  const problem = ref('')
  let asked: RivalsQuestion | null = null
  let asking: AbortController | null = null

  async function ask(question: RivalsQuestion, anew = false) {
    asking?.abort()
    if (!question.phrase.trim()) {
      state.value = 'empty'
      page.value = null
      asked = null
      return
    }
    const mine = (asking = new AbortController())
    if (
      asked?.phrase !== question.phrase ||
      asked.region !== question.region ||
      asked.from !== question.from ||
      asked.day !== question.day
    )
      page.value = null
    asked = { ...question }
    state.value = 'loading'
    try {
      const { region, ...rest } = question
      const got = await api(`${access.askMethod} /api/results`, {
        query: { ...rest, region: region ?? EVERY_REGION, workspace: workspace.id, anew: anew ? '1' : undefined },
        signal: mine.signal,
      })
      if (mine.signal.aborted) return
      page.value = got
      problem.value = ''
      state.value = 'ready'
      notices.say(got.reading.sentence)
    } catch (error) {
      if (mine.signal.aborted) return
      problem.value = messageOf(error)
      state.value = 'failed'
    }
  }

  /** Gives up on a page that takes too long. */
  function giveUp() {
    asking?.abort()
    problem.value = 'Stopped before the results arrived.'
    state.value = page.value ? 'ready' : 'failed'
  }

  const again = (anew = false) => (asked ? ask(asked, anew) : Promise.resolve())

  /** Takes results out as speaking of something else, or back in; every figure follows. */
  async function setExcluded(rows: Pick<RivalRow, 'videoId' | 'title'>[], off: boolean, of = asked, announce = true) {
    if (!of) return
    const { phrase, language } = of
    try {
      await api('PUT /api/results/off-topic', {
        body: { phrase, language, videoIds: rows.map(({ videoId }) => videoId), off },
      })
      // The way back may be taken while another page is shown.
      if (asked?.phrase === phrase && asked.language === language) await again()
      changes.changed('pages')
      if (announce)
        notices.show(
          rows.length === 1
            ? `“${rows[0]!.title.slice(0, 60)}” ${off ? 'excluded' : 'restored'}.`
            : `${rows.length} results ${off ? 'excluded' : 'restored'}.`,
          { undo: () => setExcluded(rows, !off, of, false) },
        )
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }

  return { page, state, problem, ask, again, giveUp, setExcluded, stop: () => asking?.abort() }
})
