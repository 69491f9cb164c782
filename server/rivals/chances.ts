import { LEAST_PAGES } from '../../core/chance/learn'
import { modelFrom } from '../../core/chance/saved'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import type { ChanceModelStore, ModelToKeep } from '../data/chanceModels'
import type { ResultStore } from '../data/results'
import type { Learning } from '../threads/startLearning'
import { finite } from './learning'
import { LearntModels, type PageToJudge } from './learntModels'

/** It is learnt anew when a quarter more pages are kept. */
const GROWTH = 1.25
/** Milliseconds without a new page before it is looked whether enough are new. */
const QUIET = 20_000

/** Chances learnt from the pages kept, where they are known to be better than the constants’. */
export class Chances extends LearntModels {
  private timer: NodeJS.Timeout | undefined
  private turn: Promise<unknown> = Promise.resolve()
  private closed = false
  /** Phrases whose pages came since the learning that is under way began; `null` while there is none. */
  private came: Set<number> | null = null

  constructor(
    private readonly store: ChanceModelStore,
    private readonly learning: Learning,
    private readonly now: () => number,
  ) {
    super(store)
  }

  /** As the store keeps it. */
  hurdle(judged: PageToJudge): number | null {
    const asked = this.hurdles({ ...judged, seats: judged.seats.slice(0, PAGE_SEATS) })
    return asked && finite(asked.full)
  }

  /** Works out what the pages of a phrase ask now, after something was taken out of them or put back. */
  judgeAnew(
    results: Pick<ResultStore, 'latest' | 'seats'>,
    phrase: { id: number; text: string },
    language: string,
  ): void {
    for (const region of this.used.keys()) {
      const page = results.latest(phrase.id, region)
      if (!page?.complete) continue
      const seats = results.seats(page, PAGE_SEATS).filter(seat => !seat.off)
      this.store.setHurdle(phrase.id, region, this.hurdle({ page, phrase: phrase.text, language, seats }))
    }
  }

  /** Pages of phrases came: when no more come for a while, it is looked whether to learn anew. */
  noted(phraseIds: readonly number[] = []): void {
    if (this.closed) return
    for (const id of phraseIds) this.came?.add(id)
    clearTimeout(this.timer)
    this.timer = setTimeout(() => {
      this.learnDue().catch((error: unknown) => {
        if (!this.closed) console.error('Could not learn from the result pages:', error)
      })
    }, QUIET).unref()
  }

  /** Learns for every region of which enough is new. */
  learnDue(): Promise<void> {
    const work = this.turn.then(async () => {
      for (const { region, source } of this.due(await this.learning.counts())) {
        if (this.closed) return
        this.came = new Set()
        const found = await this.learning.learn(region, source)
        if (!found || this.closed) continue
        // While what pages ask is written, nothing is said by half of it.
        this.store.suspend(region)
        this.load()
        await this.store.putHurdles(found)
        await this.judgeThoseThatCame(found)
        // Not all may be judged then: it is learnt anew at the next start.
        if (this.closed) return
        this.store.put(found, this.now())
        this.load()
      }
    })
    this.turn = work.catch(() => undefined)
    return work
  }

  /** Pages that came while it learnt ask by the model before it, or by none. */
  private async judgeThoseThatCame(found: ModelToKeep): Promise<void> {
    const { region, source, language, used, model } = found
    while (this.came?.size && !this.closed) {
      const phraseIds = [...this.came]
      this.came.clear()
      const hurdles = await this.learning.judge({ region, source, language, used, model }, phraseIds)
      await this.store.putHurdles({ region, hurdles })
    }
    this.came = null
  }

  private due(counts: Awaited<ReturnType<Learning['counts']>>): { region: string; source: string }[] {
    const known = new Map(this.store.all().map(row => [row.region, row]))
    const regions = new Set<string>()
    // The source with most pages of a region is the one that is learnt.
    return counts.filter(({ region, source, pages }) => {
      if (regions.has(region)) return false
      regions.add(region)
      const before = known.get(region)
      if (before?.source === source && pages < before.kept * GROWTH && modelFrom(before.model)) return false
      return pages >= LEAST_PAGES
    })
  }

  async close(): Promise<void> {
    this.closed = true
    clearTimeout(this.timer)
    await this.learning.close()
    await this.turn
  }
}
