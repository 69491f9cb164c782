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
import type { SavedPage, SeatRow } from '../data/results'
import { standingOn, textOf } from './learning'

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

/** Pages of which it is remembered what they ask: those looked at when it is told what to film next. */
const REMEMBERED = 1000

/** The result page that is judged, as its row and seats stand. */
export interface PageToJudge {
  page: Pick<SavedPage, 'id' | 'at' | 'more' | 'source' | 'region'>
  phrase: string
  language: string
  /** Those taken out left out. */
  seats: readonly SeatRow[]
}

/** The models that are used, as they are kept, and what pages ask of a new video by them. */
export class LearntModels {
  protected used = new Map<string, UsedModel>()
  /** The texts that the models in use were read from, by region. */
  private texts = new Map<string, string>()
  /** What pages asked when they were read last, by their ids; the one asked for longest ago first. */
  private readonly remembered = new Map<number, { model: ChanceModel; read: string; asked: Hurdles }>()

  constructor(private readonly kept: Pick<ChanceModelStore, 'all'>) {
    this.load()
  }

  /** Reads the models anew; one that is the same as before stays the one it was. */
  load(): void {
    const used = new Map<string, UsedModel>()
    const texts = new Map<string, string>()
    for (const { model: text, used: isUsed, judged, ...row } of this.kept.all()) {
      const before = this.texts.get(row.region) === text ? this.used.get(row.region) : undefined
      const model = isUsed ? (before?.model ?? modelFrom(text)) : null
      if (!model) continue
      used.set(row.region, { ...row, model, judged: JSON.parse(judged) as Judged })
      texts.set(row.region, text)
    }
    this.used = used
    this.texts = texts
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
}
