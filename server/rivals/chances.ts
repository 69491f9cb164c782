import { LEAST_PAGES } from '../../core/chance/learn'
import type { Judged } from '../../core/chance/judging'
import {
  hurdlesOf,
  ownValue,
  type ChanceModel,
  type Hurdles,
  type OwnValue,
  type PageResult,
} from '../../core/chance/model'
import { modelFrom } from '../../core/chance/saved'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import type { ChanceModelStore } from '../data/chanceModels'
import type { ResultStore, SavedPage, SeatRow } from '../data/results'
import type { Learning } from '../threads/startLearning'
import { finite, standingOn, textOf } from './learning'

/** A model of a region that foretells better than the constants. */
export interface UsedModel {
  model: ChanceModel
  region: string
  source: string
  language: string
  at: number
  pages: number
  judged: Judged
}

/** It is learnt anew when a quarter more pages are kept. */
const GROWTH = 1.25
/** Pages of which it is remembered what they ask: those looked at when it is told what to film next. */
const REMEMBERED = 1000
/** Milliseconds without a new page before it is looked whether enough are new. */
const QUIET = 20_000

/** The result page that is judged, as its row and seats stand. */
export interface PageToJudge {
  page: Pick<SavedPage, 'id' | 'at' | 'more' | 'source' | 'region'>
  phrase: string
  language: string
  /** Those taken out left out. */
  seats: readonly SeatRow[]
}

/** Chances learnt from the pages kept, where they are known to be better than the constants'. */
export class Chances {
  private used = new Map<string, UsedModel>()
  private timer: NodeJS.Timeout | undefined
  private turn: Promise<unknown> = Promise.resolve()
  private closed = false
  /** What pages asked when they were read last, by their ids; the one asked for longest ago first. */
  private readonly remembered = new Map<number, { model: ChanceModel; read: string; asked: Hurdles }>()
  /** Whether pages came since the learning that is under way began. */
  private cameMeanwhile = false

  constructor(
    private readonly store: ChanceModelStore,
    private readonly learning: Learning,
    private readonly now: () => number,
  ) {
    this.load()
  }

  private load(): void {
    this.used = new Map(
      this.store.all().flatMap(({ model: json, used, judged, ...row }): [string, UsedModel][] => {
        const model = used ? modelFrom(json) : null
        return model ? [[row.region, { ...row, model, judged: JSON.parse(judged) as Judged }]] : []
      }),
    )
  }

  /** The model that holds for pages of a region, if one is used. @param language and source of a page, where told. */
  inUse(region: string, { language, source }: { language?: string; source?: string } = {}): UsedModel | null {
    const found = this.used.get(region)
    if (!found || (language ?? found.language) !== found.language || (source ?? found.source) !== found.source)
      return null
    return found
  }

  /** What a channel's next video is worth by the model of each region. */
  ownValues(channel: string | null, subscribers: number | null): Record<string, OwnValue> {
    return Object.fromEntries(
      [...this.used].map(([region, { model }]) => [region, ownValue(model, channel, subscribers)]),
    )
  }

  /** What a page asks of a new video, for each rank down to a depth; `null` where no model holds for it. */
  hurdles({ page, phrase, language, seats }: PageToJudge, depth = PAGE_SEATS): Hurdles | null {
    const found = this.inUse(page.region, { language, source: page.source })
    if (!found) return null
    const results = seats.map((seat): PageResult => ({
      text: textOf(seat, language),
      standing: standingOn(seat, seat, page.at),
      channel: seat.channel_id,
      video: seat.code,
    }))
    return hurdlesOf(found.model, phrase, language, results, page.more === 1, depth)
  }

  /** The same of a page as it was read: looked for first among those worked out before. */
  hurdlesAsRead(judged: PageToJudge, depth: number): Hurdles | null {
    const { page, phrase, language, seats } = judged
    const model = this.inUse(page.region, { language, source: page.source })?.model
    if (!model) return null
    // A video that was read again may be worded otherwise, and one may be taken out.
    const read = JSON.stringify([phrase, language, depth, page.more, seats.map(({ video_id: id, at }) => [id, at])])
    const known = this.remembered.get(page.id)
    const asked = known?.model === model && known.read === read ? known.asked : this.hurdles(judged, depth)!
    this.remembered.delete(page.id)
    this.remembered.set(page.id, { model, read, asked })
    if (this.remembered.size > REMEMBERED) this.remembered.delete(this.remembered.keys().next().value!)
    return asked
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

  /** Pages came: when no more come for a while, it is looked whether to learn anew. */
  noted(): void {
    if (this.closed) return
    this.cameMeanwhile = true
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
        this.cameMeanwhile = false
        const found = await this.learning.learn(region, source)
        if (!found || this.closed) continue
        // While what pages ask is written, nothing is said by half of it.
        this.store.suspend(region)
        this.load()
        await this.store.putHurdles(found)
        // What came meanwhile asks by another model, or by none: once it is quiet again all is learnt anew.
        this.store.put(this.cameMeanwhile ? { ...found, kept: 0 } : found, this.now())
        this.load()
      }
    })
    this.turn = work.catch(() => undefined)
    return work
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
