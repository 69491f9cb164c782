import { learn } from '../../core/chance/learn'
import type { Kept, KeptPage, KnownVideo } from '../../core/chance/kept'
import { hurdlesOf, type ChanceModel, type PageResult } from '../../core/chance/model'
import { modelFrom, savedModel } from '../../core/chance/saved'
import { readVideoText, type Standing, type VideoText } from '../../core/chance/signals'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { viewsPerDay } from '../../core/rivals/strength'
import { DAY } from '../../core/time'
import type { ModelToJudgeBy, ModelToKeep } from '../data/chanceModels'
import {
  chancePages,
  type ChancePageRow,
  type ChancePages,
  type ChanceSeatRow,
  type ChanceVideoRow,
} from '../data/chancePages'
import type { Db } from '../data/open'

/** The newest pages are learnt from: so many tell as much as ten times as many would. */
const MOST_PAGES = 2000
/** Videos of a listed channel that take part. */
const MOST_OF_CHANNEL = 500

/** How a result stood when its page was seen; a video seen later knows more than the page told. */
export function standingOn(
  seat: Pick<ChanceSeatRow, 'subscribers' | 'views'>,
  video: Pick<ChanceVideoRow, 'published_at' | 'seconds'>,
  at: number,
): Standing {
  const { published_at: publishedAt, seconds } = video
  return {
    subscribers: seat.subscribers,
    viewsPerDay: seat.views === null || publishedAt === null ? null : viewsPerDay(seat.views, publishedAt, at),
    ageDays: publishedAt === null ? null : Math.max(0, (at - publishedAt) / DAY),
    seconds,
  }
}

/** A video's text as read; descriptions and tags that no page told count as empty. */
export const textOf = (
  { title, description, tags }: Pick<ChanceVideoRow, 'title' | 'description' | 'tags'>,
  language: string,
): VideoText =>
  readVideoText({ title, description, tags: tags === null ? null : (JSON.parse(tags) as string[]) }, language)

/** Videos and channels as they come up, each read once and numbered. */
class Seen {
  readonly videos: KnownVideo[] = []
  readonly rows: ChanceVideoRow[] = []
  readonly channels: Kept['channels'][number][] = []
  private readonly numbers = new Map<number, number>()
  private readonly owners = new Map<string, number>()
  private readonly listed: ReadonlySet<string>

  constructor(
    private readonly from: ChancePages,
    private readonly language: string,
  ) {
    this.listed = new Set(from.listed.all())
  }

  number(id: number, row = this.from.video.get(id)!): number {
    let number = this.numbers.get(id)
    if (number !== undefined) return number
    this.numbers.set(id, (number = this.videos.length))
    let channel = this.owners.get(row.channel_id)
    if (channel === undefined) {
      this.owners.set(row.channel_id, (channel = this.channels.length))
      this.channels.push({ id: row.channel_id, listed: this.listed.has(row.channel_id) })
    }
    this.rows.push(row)
    this.videos.push({ id: row.code, channel, text: textOf(row, this.language), ...standingOn(row, row, row.at) })
    return number
  }
  /** A result as a page tells it. What was not learnt from is read and forgotten: there may be very much of it. */
  result(seat: ChanceSeatRow, at: number): PageResult {
    const number = this.numbers.get(seat.video_id)
    const row = number === undefined ? this.from.video.get(seat.video_id)! : this.rows[number]!
    return {
      text: number === undefined ? textOf(row, this.language) : this.videos[number]!.text,
      standing: standingOn(seat, row, at),
      channel: row.channel_id,
      video: row.code,
    }
  }
  takeListed(): void {
    for (const channel of this.listed)
      for (const row of this.from.ofChannel.all(channel, MOST_OF_CHANNEL)) this.number(row.id, row)
  }
}

/**
 * Learns how a source ranks in a region from the pages kept, and works out what every page asks of a new video by it.
 *
 * @returns `null` where there are too few pages.
 */
export function learnFrom(db: Db, region: string, source: string): ModelToKeep | null {
  const from = chancePages(db)
  const all = from.pages.all(region, source)
  // A site ranks each language by itself; a region's pages are mostly of one, by which texts are read.
  const language = mostly(all.map(page => page.language))
  const seen = new Seen(from, language)
  const pages = withSeats(from, all, language)
  const kept = pages.slice(0, MOST_PAGES).map(({ page, seats }): KeptPage => ({
    phrase: page.text,
    language,
    more: page.more === 1,
    seats: seats.map(seat => {
      const video = seen.number(seat.video_id)
      return { video, ...standingOn(seat, seen.rows[video]!, page.at) }
    }),
  }))
  seen.takeListed()
  const found = learn({ pages: kept, videos: seen.videos, channels: seen.channels })
  if (!found) return null
  const { model, errors, judged, families, better } = found
  const hurdles = better ? askedOf(pages, language, model, seen) : []
  const told = new Set(hurdles.map(each => each.phraseId))
  for (const phraseId of from.asking.all(region)) if (!told.has(phraseId)) hurdles.push({ phraseId, hurdle: null })
  return {
    region,
    source,
    language,
    pages: kept.length,
    kept: all.length,
    families,
    used: better,
    judged,
    errors: [...errors],
    model: savedModel(model),
    hurdles,
  }
}

/**
 * What the pages of phrases ask by a model that was learnt while they came; `null` of those it does not hold for.
 */
export function judgePages(
  db: Db,
  { region, source, language, used, model: saved }: ModelToJudgeBy,
  phraseIds: readonly number[],
): ModelToKeep['hurdles'] {
  const model = used ? modelFrom(saved) : null
  const asked = new Map<number, number | null>()
  if (model) {
    const from = chancePages(db)
    const which = new Set(phraseIds)
    const pages = withSeats(
      from,
      from.pages.all(region, source).filter(page => which.has(page.phrase_id)),
      language,
    )
    for (const { phraseId, hurdle } of askedOf(pages, language, model, new Seen(from, language)))
      asked.set(phraseId, hurdle)
  }
  return phraseIds.map(phraseId => ({ phraseId, hurdle: asked.get(phraseId) ?? null }))
}

type PageWithSeats = { page: ChancePageRow; seats: ChanceSeatRow[] }

/** The pages of a language with their results; empty ones left out. */
const withSeats = (from: ChancePages, pages: readonly ChancePageRow[], language: string): PageWithSeats[] =>
  pages
    .filter(page => page.language === language)
    .map(page => ({ page, seats: from.seats.all(page.id, PAGE_SEATS, page.phrase_id) }))
    .filter(({ seats }) => seats.length > 0)

const askedOf = (
  pages: readonly PageWithSeats[],
  language: string,
  model: ChanceModel,
  seen: Seen,
): ModelToKeep['hurdles'] =>
  pages.map(({ page, seats }) => {
    const results = seats.map(seat => seen.result(seat, page.at))
    const asked = hurdlesOf(model, page.text, language, results, page.more === 1)
    return { phraseId: page.phrase_id, hurdle: asked && finite(asked.full) }
  })

/** What a page asks that ends before its twentieth seat: less than any video has. */
const NOTHING_ASKED = -1000
export const finite = (hurdle: number) => (hurdle === -Infinity ? NOTHING_ASKED : hurdle)

function mostly(languages: readonly string[]): string {
  const counts = new Map<string, number>()
  for (const language of languages) counts.set(language, (counts.get(language) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'en'
}
