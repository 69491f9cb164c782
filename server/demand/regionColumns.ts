import { isDeepStrictEqual } from 'node:util'
import { INTENTS } from '../../core/demand/intentNames'
import { sortByKeys } from '../../core/search/order'
import { stepOf } from '../../core/search/scan'
import type { KeyOf } from '../../core/search/selectRange'
import { volumeCap, worth, type WorthWeights } from '../../core/demand/worth'
import { learntChance, type OwnValue } from '../../core/chance/model'
import { chanceOfPageOne, firstPage, type Spread } from '../../core/rivals/forecast'
import type { FigureColumns, IndexRows, PageColumns } from '../data/indexRows'
import type { Section } from './snapshotFile'
import { unpackStrengths } from '../data/strengths'

/** Marks a phrase without an intent. */
export const NO_INTENT = 255
/** What stands for not knowing whether web search shows a video block. */
const NO_ANSWER = 255
const DIRECTIONS = ['unknown', 'steady', 'rising', 'fading']
export const RISING = DIRECTIONS.indexOf('rising')
/** A cap is worked out anew when this part more volumes are known. */
const CAP_GROWTH = 1.1

/** Orders kept, and how many phrases may have changed before one is made anew. */
const ORDERS = 24
const CHANGED = 16_384

/** All phrases in one order, and those that changed since it was made. */
export interface Order {
  sorted: Uint32Array<ArrayBuffer>
  changed: Set<number>
}

/** The columns of figures that are kept as they stand. */
const KEPT = [
  ...(['volume', 'volumeSteps', 'change', 'competition', 'advertiser', 'season', 'peaks'] as const),
  ...(['direction', 'yearly'] as const),
] as const
interface KeptMeta {
  cap: number
  capKnown: number
  known: number
}

/** My channel as scores use it: its strength and how uncertain a forecast for it is. */
export interface OwnStanding {
  strength: number
  spread: Spread
  /** What its next video is worth by what was learnt, for each region of which something was. */
  learnt?: Record<string, OwnValue>
}

const unknown = (size: number) => new Float32Array(size).fill(Number.NaN)
const orNaN = (value: number | null) => value ?? Number.NaN

/** The figures of all phrases in one region, a typed array a figure, by the phrases' numbers. Unknown is NaN. */
export class RegionColumns {
  volume = new Float64Array(0)
  /** The steps volumes stand on, by which a bound is looked for. */
  volumeSteps = new Uint8Array(0)
  change = unknown(0)
  competition = unknown(0)
  advertiser = unknown(0)
  season = unknown(0)
  difficulty = unknown(0)
  worth = unknown(0)
  chance = new Float64Array(0)
  channelWorth = unknown(0)
  peaks = new Uint16Array(0)
  direction = new Uint8Array(0)
  yearly = new Float32Array(0)
  block = new Uint8Array(0)
  intent = new Uint8Array(0)
  cap = 0
  private capKnown = 0
  private known = 0
  /** Strengths of the first twenty results, for the chance of any channel. */
  private readonly pages = new Map<number, ReturnType<typeof firstPage>>()
  /** What pages ask of a new video by what was learnt. */
  private hurdle = unknown(0)
  private own: OwnStanding | null = null
  /** The same as text, to see that it changed. */
  private standing = ''
  private worthDue = true
  private channelDue = true

  private readonly orders = new Map<string, Order>()
  private weights: WorthWeights

  /** @param volumesAlone keeps no more than the searches: all that is shown of everywhere beside a region. */
  constructor(
    readonly region: string,
    weights: WorthWeights,
    private readonly volumesAlone = false,
  ) {
    this.weights = weights
  }

  /** Makes room for so many phrases. */
  grow(size: number): void {
    if (size <= this.volume.length) return
    // Columns are scanned by thirty-two values.
    const length = Math.ceil(Math.max(size, this.volume.length * 1.25, 1024) / 32) * 32
    const more = <Kind extends Float64Array | Float32Array | Uint16Array | Uint8Array>(
      old: Kind,
      fill: number,
    ): Kind => {
      const larger = new (old.constructor as new (length: number) => Kind)(length)
      larger.set(old)
      if (fill !== 0) larger.fill(fill, old.length)
      return larger
    }
    this.volume = more(this.volume, Number.NaN)
    if (this.volumesAlone) return
    this.volumeSteps = more(this.volumeSteps, 0)
    for (const name of [
      'change',
      'competition',
      'advertiser',
      'season',
      'difficulty',
      'worth',
      'channelWorth',
    ] as const)
      this[name] = more(this[name], Number.NaN)
    this.chance = more(this.chance, Number.NaN)
    this.hurdle = more(this.hurdle, Number.NaN)
    this.peaks = more(this.peaks, 0)
    this.direction = more(this.direction, 0)
    this.yearly = more(this.yearly, 0)
    this.block = more(this.block, NO_ANSWER)
    this.intent = more(this.intent, NO_INTENT)
  }

  /** Takes the figures of phrases whose ids follow one another. @returns the numbers of those that have some. */
  takeFigures(rows: IndexRows, first: number, last: number, numberOf: (id: number) => number): number[] {
    if (this.volumesAlone) {
      for (const [id, volume] of rows.volumeRange.all(first, last, this.region)) this.takeVolume(numberOf(id), volume)
      return []
    }
    return rows.figureRange.all(first, last, this.region).map(row => {
      const n = numberOf(row[0])
      this.takeFigure(n, row)
      return n
    })
  }

  /** Takes every page that stands for a phrase of the region. */
  loadPages(rows: IndexRows, numberOf: (id: number) => number): void {
    if (this.volumesAlone) return
    for (const row of rows.pages.iterate(this.region)) this.takePage(numberOf(row[0]), row)
  }

  /** What is to be kept of it: figures. Pages are few, and read anew. @param size phrases there are. */
  section(size: number): Omit<Section, 'name'> {
    const columns = Object.fromEntries(
      (this.volumesAlone ? (['volume'] as const) : KEPT).map(name => [name, this[name].subarray(0, size)]),
    )
    const last = this.orders.get('last')
    return {
      meta: { cap: this.cap, capKnown: this.capKnown, known: this.known } satisfies KeptMeta,
      columns: last ? { ...columns, last: last.sorted, lastChanged: Uint32Array.from(last.changed) } : columns,
    }
  }

  /** Takes figures as they were kept. @param size phrases there are. */
  restore({ meta, columns }: Section, size: number): void {
    Object.assign(this, meta as KeptMeta)
    const { last, lastChanged, ...figures } = columns
    this.grow(size)
    for (const [name, column] of Object.entries(figures)) (this[name as 'volume'] as Float64Array).set(column)
    if (last && lastChanged)
      this.orders.set('last', {
        sorted: last as Uint32Array<ArrayBuffer>,
        changed: new Set(lastChanged as Uint32Array),
      })
  }

  /** Reads one phrase's figures again. */
  refresh(rows: IndexRows, id: number, n: number): void {
    this.touch(n)
    const figure = rows.figure.get(id, this.region)
    if (figure) this.takeFigure(n, figure)
    if (this.volumesAlone) return
    const page = rows.page.get(id, this.region)
    if (page) this.takePage(n, page)
    if (!this.worthDue) this.workOut(n)
    if (!this.channelDue) this.workOutChannel(n)
  }

  /** Reads again the figures of phrases whose ids follow one another. */
  refreshRange(rows: IndexRows, first: number, last: number, numberOf: (id: number) => number): void {
    const touched = this.takeFigures(rows, first, last, numberOf)
    if (this.volumesAlone) return
    for (const row of rows.pageRange.all(first, last, this.region)) {
      const n = numberOf(row[0])
      this.takePage(n, row)
      touched.push(n)
    }
    // Orders by what is known of everywhere change by figures of other regions, too.
    for (let id = first; id <= last; id++) if (numberOf(id) >= 0) this.touch(numberOf(id))
    for (const n of touched) {
      if (!this.worthDue) this.workOut(n)
      if (!this.channelDue) this.workOutChannel(n)
    }
  }

  private takeVolume(n: number, volume: number | null): void {
    if (n < 0) return
    if (Number.isNaN(this.volume[n]) && volume !== null) this.known++
    this.volume[n] = orNaN(volume)
  }

  private takeFigure(
    n: number,
    [, volume, change, competition, advertiser, direction, yearly, strength, peaks]: FigureColumns,
  ): void {
    this.takeVolume(n, volume)
    if (n < 0 || this.volumesAlone) return
    this.volumeSteps[n] = stepOf(this.volume[n]!)
    this.change[n] = orNaN(change)
    if (competition !== null || !this.pages.has(n)) this.competition[n] = orNaN(competition)
    this.advertiser[n] = orNaN(advertiser)
    this.season[n] = orNaN(strength)
    this.peaks[n] = peaks ?? 0
    this.direction[n] = Math.max(0, DIRECTIONS.indexOf(direction ?? 'unknown'))
    this.yearly[n] = yearly ?? 0
  }

  private takePage(n: number, [, difficulty, titleMatches, block, intent, strengths, more, hurdle]: PageColumns): void {
    if (n < 0) return
    this.difficulty[n] = orNaN(difficulty)
    this.hurdle[n] = orNaN(hurdle)
    // The site's own count takes precedence over an imported one.
    if (titleMatches !== null) this.competition[n] = titleMatches
    this.block[n] = block ?? NO_ANSWER
    const told_ = INTENTS.indexOf(intent as (typeof INTENTS)[number])
    this.intent[n] = told_ < 0 ? NO_INTENT : told_
    if (strengths && difficulty !== null) this.pages.set(n, firstPage(unpackStrengths(strengths), more === 1))
    else this.pages.delete(n)
  }

  private trendOf(n: number) {
    const direction = this.direction[n]!
    return direction === 0
      ? null
      : { direction: DIRECTIONS[direction] as 'steady' | 'rising' | 'fading', yearly: this.yearly[n]! }
  }

  private worthWith(n: number, ease: number, byChance = false): number {
    const volume = this.volume[n]!
    return (
      worth(
        {
          volume: Number.isNaN(volume) ? null : volume,
          cap: this.cap,
          ease: Number.isNaN(ease) ? null : ease,
          trend: this.trendOf(n),
          intent: INTENTS[this.intent[n]!] ?? null,
          byChance,
        },
        this.weights,
      ) ?? Number.NaN
    )
  }

  private workOut(n: number): void {
    const difficulty = this.difficulty[n]!
    this.worth[n] = Number.isNaN(difficulty) ? Number.NaN : this.worthWith(n, 1 - difficulty / 100)
  }

  private workOutChannel(n: number): void {
    const page = this.pages.get(n)
    const learnt = this.own?.learnt?.[this.region]
    const hurdle = this.hurdle[n]!
    if (page && learnt && !Number.isNaN(hurdle)) this.chance[n] = learntChance(learnt, hurdle)
    else
      this.chance[n] = orNaN(
        page && this.own ? chanceOfPageOne(this.own.strength, page.strengths, page.more, this.own.spread) : null,
      )
    this.channelWorth[n] = Number.isNaN(this.chance[n]!) ? Number.NaN : this.worthWith(n, this.chance[n]!, true)
  }

  /**
   * Sees to it that caps, worths and chances are right for a question. A cap stands until a tenth more volumes are
   * known.
   * @returns the cap and how many volumes it was made from when it is new, else `null`.
   */
  settle(size: number, own: OwnStanding | null, weights = this.weights): { cap: number; known: number } | null {
    let news: { cap: number; known: number } | null = null
    if (!this.cap || this.known > this.capKnown * CAP_GROWTH) {
      this.cap = volumeCap(this.volume.subarray(0, size).filter(volume => !Number.isNaN(volume)))
      this.capKnown = this.known
      this.worthDue = this.channelDue = true
      news = { cap: this.cap, known: this.known }
    }
    if (!isDeepStrictEqual(weights, this.weights)) {
      this.weights = weights
      this.worthDue = this.channelDue = true
    }
    const standing = JSON.stringify([own?.strength, own?.spread, own?.learnt?.[this.region]])
    if (standing !== this.standing) {
      this.standing = standing
      this.own = own
      this.channelDue = true
    }
    if (this.volumesAlone) return news
    if (this.worthDue) {
      for (let n = 0; n < size; n++) this.workOut(n)
      this.worthDue = false
      this.forget('worth')
    }
    if (this.channelDue && own) {
      this.chance.fill(Number.NaN)
      this.channelWorth.fill(Number.NaN)
      for (const n of this.pages.keys()) this.workOutChannel(n)
      this.channelDue = false
      this.forget('worth')
      this.forget('chance')
    }
    return news
  }

  /** Notes that a phrase changed: it may stand elsewhere in every order. */
  touch(n: number): void {
    for (const [name, { changed, sorted }] of this.orders) {
      changed.add(n)
      if (changed.size > Math.max(CHANGED, sorted.length / 50)) this.orders.delete(name)
    }
  }

  /** Drops the orders by a column, or all of them. */
  forget(column: string): void {
    for (const name of [...this.orders.keys()]) if (name.startsWith(column)) this.orders.delete(name)
  }

  /**
   * All phrases in the order of some keys, made when first asked for and kept while few have changed.
   * @param keys the column's own keys, and after them `last`, by which all orders part what ties: they are sorted by
   * once.
   */
  order(name: string, { size }: { size: number }, keys: readonly KeyOf[], last: readonly KeyOf[]): Order {
    let order = this.orders.get(name)
    // Phrases that came since stand behind; with many of them the order is made anew.
    if (!order || size - order.sorted.length > Math.max(CHANGED, size / 50)) {
      if (this.orders.size >= ORDERS) this.orders.delete(this.orders.keys().next().value!)
      this.orders.set(
        name,
        (order = {
          sorted: sortByKeys(
            last.length
              ? this.order('last', { size }, last, []).sorted
              : Uint32Array.from({ length: size }, (_, n) => n),
            keys,
          ),
          changed: new Set(),
        }),
      )
    }
    return order
  }
}
