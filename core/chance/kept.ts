import { readPhrase, type ReadPhrase } from '../text/match'
import type { RankedItems, RankedPage } from './ranking'
import type { Rarity } from './rarity'
import { askedStems, SIGNALS, withStanding, wordingSignals, type Standing, type VideoText } from './signals'

/** A video as last seen. */
export interface KnownVideo extends Standing {
  id: string
  channel: number
  text: VideoText
}
export interface KnownChannel {
  id: string
  /** Whether all its videos are known, and not only those found on pages. */
  listed: boolean
}
/** A whole page of the site as kept. */
export interface KeptPage {
  phrase: string
  language: string
  /** By rank, at most sixty, with their figures as they were then. */
  seats: (Standing & { video: number })[]
  more: boolean
}
export interface Kept {
  pages: readonly KeptPage[]
  videos: readonly KnownVideo[]
  channels: readonly KnownChannel[]
}

/** Of the videos that hold all words of a phrase, or half of them, and do not stand on its page, so many are drawn. */
const PASSED_OVER = { whole: 40, part: 20 }

/** Every so many of a list, spread over all of it. */
function drawn(list: readonly number[], most: number): number[] {
  const step = Math.max(1, list.length / most)
  return Array.from({ length: Math.min(most, list.length) }, (_, i) => list[Math.floor(i * step)]!)
}

/** Which videos hold the words of each page's phrase. */
class Holders {
  private readonly byStem = new Map<string, number[]>()
  private readonly count: Uint8Array

  constructor(stems: readonly ReadonlySet<string>[]) {
    this.count = new Uint8Array(stems.length)
    stems.forEach((set, video) => {
      for (const stem of set) {
        const list = this.byStem.get(stem)
        if (list) list.push(video)
        else this.byStem.set(stem, [video])
      }
    })
  }

  /** Videos with all the words, and with at least half of them; those on the page left out. */
  of(phrase: ReadPhrase, shown: ReadonlySet<number>): { whole: number[]; part: number[] } {
    const stems = askedStems(phrase).slice(0, 255)
    const touched: number[] = []
    for (const stem of stems)
      for (const video of this.byStem.get(stem) ?? []) {
        if (!this.count[video]) touched.push(video)
        this.count[video]!++
      }
    const [whole, part]: [number[], number[]] = [[], []]
    for (const video of touched) {
      const held = this.count[video]!
      this.count[video] = 0
      if (shown.has(video)) continue
      if (held === stems.length) whole.push(video)
      else if (held >= stems.length / 2) part.push(video)
    }
    return { whole: whole.sort((a, b) => a - b), part: part.sort((a, b) => a - b) }
  }
}

/** What is kept, as numbers to learn from. */
export interface Prepared {
  items: RankedItems
  pages: RankedPage[]
  phrases: ReadPhrase[]
  /** For each page the videos of listed channels that hold all words and are not on it. */
  lost: number[][]
}

/** @param stems of each video's text. */
export function prepare(
  { pages, videos, channels }: Kept,
  rarity: Rarity,
  stems: readonly ReadonlySet<string>[],
): Prepared {
  const holders = new Holders(stems)
  const rows: { signals: Float64Array; video: number; stands: number }[] = []
  const prepared: Prepared = { items: undefined!, pages: [], phrases: [], lost: [] }
  for (const page of pages) {
    const phrase = readPhrase(page.phrase, page.language)
    const signalsOf = (video: number, standing: Standing) =>
      withStanding(wordingSignals(phrase, videos[video]!.text, rarity), standing)
    const from = rows.length
    for (const { video, ...standing } of page.seats)
      rows.push({ signals: signalsOf(video, standing), video, stands: 1 })
    const { whole, part } = page.more
      ? holders.of(phrase, new Set(page.seats.map(seat => seat.video)))
      : { whole: [], part: [] }
    for (const [list, most] of [
      [whole, PASSED_OVER.whole],
      [part, PASSED_OVER.part],
    ] as const) {
      const some = drawn(list, most)
      for (const video of some)
        rows.push({ signals: signalsOf(video, videos[video]!), video, stands: list.length / some.length })
    }
    prepared.pages.push({ from, shown: page.seats.length, to: rows.length })
    prepared.phrases.push(phrase)
    prepared.lost.push(whole.filter(video => channels[videos[video]!.channel]!.listed))
  }
  const signals = new Float64Array(rows.length * SIGNALS.length)
  rows.forEach((row, i) => signals.set(row.signals, i * SIGNALS.length))
  prepared.items = {
    signals,
    channel: Int32Array.from(rows, row => videos[row.video]!.channel),
    video: Int32Array.from(rows, row => row.video),
    stands: Float64Array.from(rows, row => row.stands),
    channels: channels.length,
    videos: videos.length,
  }
  return prepared
}
