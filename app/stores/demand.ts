import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import type { AssessedRow, PhraseRow, PhrasesAnswer } from '../../shared/phrases'
import { api, EVERY_REGION, messageOf } from '~/composables/api'
import { useAssessLoop } from '~/composables/assessLoop'
import type { DemandQuery } from '~/composables/demandQuery'
import { counted } from '~/composables/figures'
import { useAccess } from './access'
import { useBrief } from './brief'
import { useChanges } from './changes'
import { useJobs } from './jobs'
import { useNotices } from './notices'
import { useWorkspace } from './workspace'

/** Rows that stand on the screen first, and rows asked for at once after them; the API gives no more. */
const FIRST = 100
const PAGE = 1000
/** How long after the first rows the others are asked for, in milliseconds. */
const REST_AFTER = 400
/** Rows assessed without being asked to, and in one request. */
const EFFECTIVE_PAGE = 300
const AT_ONCE = 24

/** The phrases of a seed, and their difficulty as it comes in. */
export const useDemand = defineStore('demand', () => {
  const notices = useNotices()
  const access = useAccess()
  const brief = useBrief()
  const workspace = useWorkspace()
  const jobs = useJobs()
  const rows = shallowRef<PhraseRow[]>([])
  const answer = shallowRef<PhrasesAnswer | null>(null)
  const state = ref<'empty' | 'loading' | 'ready' | 'failed'>('empty')
  const problem = ref('')
  const selected = ref<string[]>([])
  /** New difficulties have come in since the rows were ordered by a figure that needs them. */
  const unsorted = ref(false)
  /**
   * Figures have changed elsewhere since the rows came: the same question is asked again when it next comes up, or at
   * once by a person.
   */
  const stale = ref(false)
  const left = ref(0)
  /** Whether the rows after the first ones are on their way. */
  const restComing = ref(false)
  let asked: DemandQuery | null = null
  let askedKey = ''
  let visible = { from: 0, to: 20 }
  /** Whether a person, or another question, ended the assessing. */
  let stopped = true
  let asking: AbortController | null = null

  const { revisions } = useChanges()
  watch(
    () => [revisions.phrases, revisions.pages],
    () => {
      stale.value = true
    },
  )

  const difficultyKnown = computed(() => rows.value.filter(row => row.difficulty !== null).length)

  const parameters = (query: DemandQuery, offset: number) => ({
    ...query,
    region: query.region ?? EVERY_REGION,
    brief: brief.brief?.id,
    workspace: workspace.id,
    limit: offset ? PAGE - (offset % PAGE) : FIRST,
    offset,
  })

  /**
   * Asks for the phrases of a seed; the same question again only when it is to be asked anew, of the services as well
   * where that is said.
   */
  async function ask(query: DemandQuery, language = 'en', anew: boolean | 'services' = false) {
    const key = JSON.stringify([query, language, workspace.id, brief.brief?.id])
    if (key === askedKey && !anew && !stale.value && (state.value === 'loading' || state.value === 'ready')) return
    askedKey = key
    stale.value = false
    stop()
    asking?.abort()
    const mine = (asking = new AbortController())
    const other = asked?.seed !== query.seed || asked?.region !== query.region
    asked = { ...query }
    if (other) {
      rows.value = []
      answer.value = null
      selected.value = []
    }
    problem.value = ''
    restComing.value = false
    if (!query.seed.trim()) {
      state.value = 'empty'
      return
    }
    state.value = 'loading'
    try {
      const got = await api(`${access.askMethod} /api/phrases`, {
        query: { ...parameters(query, 0), language, anew: anew === 'services' ? '1' : undefined },
        signal: mine.signal,
      })
      if (mine.signal.aborted) return
      answer.value = got
      rows.value = got.rows
      unsorted.value = false
      state.value = 'ready'
      notices.say(`${counted(got.total, 'phrase')}.`)
      void assess(language)
      // The rest comes once the first rows stand.
      restComing.value = got.rows.length < got.total
      if (restComing.value)
        setTimeout(
          () =>
            void more(language, mine.signal).finally(() => {
              if (mine === asking) restComing.value = false
            }),
          REST_AFTER,
        )
    } catch (error) {
      if (mine.signal.aborted) return
      problem.value = messageOf(error)
      state.value = 'failed'
    }
  }

  /** Gives up on a look that takes too long. */
  function giveUp() {
    asking?.abort()
    problem.value = 'Stopped before the results arrived.'
    state.value = rows.value.length ? 'ready' : 'failed'
  }

  async function more(language = 'en', signal = asking?.signal) {
    if (signal?.aborted || !asked || !answer.value || rows.value.length >= answer.value.total) return
    try {
      const got = await api('GET /api/phrases', {
        query: { ...parameters(asked, rows.value.length), language },
        signal,
      })
      const known = new Set(rows.value.map(row => row.phrase))
      // While rows are assessed the order by such a figure shifts: one that is here already stays where it is.
      if (signal?.aborted) return
      rows.value = [...rows.value, ...got.rows.filter(row => !known.has(row.phrase))]
      // Unless a person stopped it, assessing goes on with what came.
      if (!stopped && !assessing.value && !assessProblem.value) void assess(language)
    } catch (error) {
      if (!signal?.aborted) notices.show(messageOf(error), { serious: true })
    }
  }

  /** The rows to assess next: those in view, then from the top, up to a limit. */
  function due(): string[] {
    const inView = rows.value
      .slice(visible.from, visible.to + 1)
      .filter(row => row.difficulty === null && !tried.has(row.phrase))
    const top = rows.value.slice(0, EFFECTIVE_PAGE).filter(row => row.difficulty === null && !tried.has(row.phrase))
    left.value = new Set([...inView, ...top]).size
    return [...new Set([...inView, ...top].map(row => row.phrase))].slice(0, AT_ONCE)
  }
  const tried = new Set<string>()

  let language = 'en'
  const loop = useAssessLoop({
    next: () => {
      const batch = due()
      batch.forEach(phrase => tried.add(phrase))
      return batch
    },
    question: () => ({ region: asked!.region, language: language, workspace: workspace.id }),
    // Rows keep their places while figures come in; a click on the header orders them anew.
    take: list => {
      const got = new Map(list.map(row => [row.phrase, row]))
      rows.value = rows.value.map(row => (got.has(row.phrase) ? { ...row, ...judged(got.get(row.phrase)!) } : row))
      if (/^(difficulty|worth|competition|chance)/u.test(asked!.sort)) unsorted.value = true
    },
  })
  const { running: assessing, problem: assessProblem } = loop

  function assess(of = 'en') {
    if (assessing.value || !asked) return
    stopped = false
    language = of
    tried.clear()
    return loop.run().finally(() => {
      if (!assessing.value) left.value = 0
    })
  }

  const judged = ({ difficulty, competition, results, readAs, worth, chance, videoBlock, intent }: AssessedRow) => ({
    difficulty,
    results,
    readAs,
    worth,
    chance,
    videoBlock,
    intent,
    ...(competition === null ? {} : { competition }),
  })

  /** Has everything assessed that passes the filters, as work that goes on by itself. */
  async function assessAll(language = 'en') {
    if (!asked) return
    try {
      const phrases: string[] = []
      for (let offset = 0; offset < (answer.value?.total ?? 0) && phrases.length < 20_000; offset += PAGE) {
        phrases.push(
          ...(
            await api('GET /api/phrases', {
              query: { ...parameters(asked, offset), limit: PAGE, offset, language },
            })
          ).rows.map(row => row.phrase),
        )
      }
      const { job } = await api('POST /api/phrases/assess', {
        body: {
          phrases,
          region: asked.region,
          language,
          workspace: workspace.id,
          title: `Phrases of “${asked.seed}” assessed`,
        },
      })
      stop()
      await jobs.follow(job)
    } catch (error) {
      notices.show(messageOf(error), { serious: true })
    }
  }

  function stop() {
    stopped = true
    loop.stop()
    left.value = 0
  }

  /** Sets which rows are in view; they are assessed first. */
  function setVisibleRange(from: number, to: number, language = 'en') {
    visible = { from, to }
    if (
      !assessing.value &&
      !assessProblem.value &&
      state.value === 'ready' &&
      !stopped &&
      rows.value.slice(from, to + 1).some(row => row.difficulty === null)
    )
      void assess(language)
  }

  return {
    rows,
    answer,
    state,
    problem,
    selected,
    assessing,
    assessProblem,
    unsorted,
    stale,
    left,
    restComing,
    difficultyKnown,
    ask,
    giveUp,
    more,
    assess,
    assessAll,
    stop,
    setVisibleRange,
    again: (language = 'en', services = false) => asked && ask(asked, language, services ? 'services' : true),
  }
})
