import { watchDebounced } from '@vueuse/core'
import * as Comlink from 'comlink'
import { onBeforeUnmount, shallowRef, toRaw, type Ref } from 'vue'
import type { RuleSet } from '../../core/draft/ruleset'
import type { ResultsAnswer } from '../../shared/rivals'
import type { ScoreWorker } from '~/workers/score.worker'

/**
 * What a rule set says of each video of a result page, by video: the percent its title, description and tags earn for
 * the phrase searched. What is not known of a video does not count. A worker of its own, so that the score of what is
 * being typed does not wait for sixty others.
 */
export function useEarned(page: Ref<ResultsAnswer | null>, ruleSet: Ref<RuleSet>, language: Ref<string>) {
  const earned = shallowRef<ReadonlyMap<string, number | null>>(new Map())
  let worker: Worker | null = null
  let asked = 0
  watchDebounced(
    [page, ruleSet, language],
    async () => {
      const mine = ++asked
      const rows = toRaw(page.value)?.rows ?? []
      if (!rows.length) return
      worker ??= new Worker(new URL('../workers/score.worker.ts', import.meta.url), { type: 'module' })
      const found = await Comlink.wrap<ScoreWorker>(worker).percents(
        rows.map(({ title, description, tags }) => ({
          title,
          ...(description === null ? {} : { description }),
          ...(tags === null ? {} : { tags: [...tags] }),
        })),
        page.value!.phrase,
        JSON.parse(JSON.stringify(ruleSet.value)) as RuleSet,
        language.value,
      )
      if (mine === asked) earned.value = new Map(rows.map((row, i) => [row.videoId, found[i] ?? null]))
    },
    { debounce: 100, immediate: true },
  )
  onBeforeUnmount(() => worker?.terminate())
  return earned
}
