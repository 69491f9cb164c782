import { trimSigns } from '../text/trim'
import { phraseKey } from '../text/words'
import { looseNumber } from './number'

/**
 * A video as told, by a service or in a file. What is `null` was not told; an empty text or list is known to be empty.
 */
export interface VideoRecord {
  id: string
  title: string
  description: string | null
  tags: string[] | null
  /** Subscribers are `null` when the channel hides them. */
  channel: { id: string; title: string; subscribers: number | null }
  views: number | null
  likes: number | null
  /** Told by few. */
  dislikes: number | null
  comments: number | null
  publishedAt: number | null
  durationSeconds: number | null
  /** What kind of video its channel says it is; told by few. */
  category?: string | null
  /** A small picture as a `data:` address, 20 KB at most. */
  thumbnail: string | null
}
export interface ChannelRecord {
  id: string
  title: string
  subscribers: number | null
  foundedAt: number | null
  videos: number | null
}
/** Where a video stood for a phrase. */
export interface SeatRecord {
  phrase: string
  region: string | null
  rank: number
  at: number | null
  titleMatches: number | null
}

const FIELDS = {
  phrase: ['phrase', 'keyword', 'query', 'searchphrase', 'search'],
  rank: ['rank', 'position', 'place', 'seat'],
  region: ['region', 'country', 'regioncode'],
  at: ['at', 'observed', 'observedat', 'seen', 'date', 'fetchedat'],
  titleMatches: ['titlematches', 'competingvideos'],
  id: ['videoid', 'id', 'code', 'video'],
  url: ['url', 'link', 'videourl'],
  title: ['title', 'videotitle', 'name', 'headline'],
  description: ['description', 'text', 'videodescription'],
  tags: ['tags', 'keywords', 'videotags'],
  channelId: ['channelid', 'channelcode', 'authorid'],
  channel: ['channel', 'channeltitle', 'channelname', 'author', 'uploader'],
  subscribers: ['subscribers', 'subscribercount', 'channelsubscribers', 'followers'],
  views: ['views', 'viewcount', 'plays'],
  likes: ['likes', 'likecount'],
  dislikes: ['dislikes', 'dislikecount'],
  comments: ['comments', 'commentcount'],
  published: ['published', 'publishedat', 'uploaddate', 'publishdate', 'datepublished', 'uploaded'],
  duration: ['duration', 'durationseconds', 'length', 'seconds'],
  thumbnail: ['thumbnail', 'thumbnaildata'],
  category: ['category', 'videocategory', 'genre'],
} as const
type Field = keyof typeof FIELDS

const plain = (header: string) => header.toLowerCase().replace(/[^a-z]/gu, '')

/** Which key of a record holds which field, by its header in any of the usual spellings. */
export function videoColumns(headers: readonly string[]): Partial<Record<Field, string>> {
  const found: Partial<Record<Field, string>> = {}
  const taken = new Set<string>()
  for (const field of Object.keys(FIELDS) as Field[]) {
    for (const spelling of FIELDS[field]) {
      const header = headers.find(each => plain(each) === spelling && !taken.has(each))
      if (header !== undefined) {
        found[field] = header
        taken.add(header)
        break
      }
    }
  }
  return found
}

/** ISO 8601 duration, `m:ss`, `h:mm:ss` or seconds. @returns seconds, `null` when it cannot be read. */
export function durationSeconds(text: string): number | null {
  const iso = /^P(?:(\d+)D)?(?:T(?:(\d+)H)?(?:(\d+)M)?(?:(\d+(?:\.\d+)?)S)?)?$/u.exec(text.trim())
  if (iso && text.length > 1)
    return Math.round(
      Number(iso[1] ?? 0) * 86_400 + Number(iso[2] ?? 0) * 3600 + Number(iso[3] ?? 0) * 60 + Number(iso[4] ?? 0),
    )
  const clock = /^(?:(\d+):)?(\d{1,2}):(\d{2})$/u.exec(text.trim())
  if (clock) return Number(clock[1] ?? 0) * 3600 + Number(clock[2]) * 60 + Number(clock[3])
  const number = looseNumber(text)
  return number !== null && number >= 0 ? Math.round(number) : null
}

/** A time as ISO 8601, or as UTC milliseconds or seconds. @returns milliseconds, `null` when it cannot be read. */
export function timeOf(text: string): number | null {
  const value = text.trim()
  if (/^\d{13}$/u.test(value)) return Number(value)
  if (/^\d{10}$/u.test(value)) return Number(value) * 1000
  // Without its zone a time is taken as UTC: the same file means the same on every machine.
  const parsed = Date.parse(/^\d{4}-\d{2}-\d{2}[T ][\d:.]+$/u.test(value) ? `${value.replace(' ', 'T')}Z` : value)
  return /^\d{4}/u.test(value) && !Number.isNaN(parsed) ? parsed : null
}

/** A part of a link without its escapes; one that is escaped wrongly stays as it is. */
function decoded(part: string): string {
  try {
    return decodeURIComponent(part)
  } catch {
    return part
  }
}

/** A video's own part of a link: what follows `v=`, else the last part of the path. */
export function idOfLink(link: string): string {
  const v = /[?&]v=([^&#]+)/u.exec(link)
  return v ? decoded(v[1]!) : (trimSigns(link.split(/[?#]/u, 1)[0]!, /\//u, 'end').split('/').pop() ?? link)
}

const text = (value: unknown): string | null =>
  value === null || value === undefined || typeof value === 'object' ? null : String(value as string | number)
const listOf = (value: unknown): string[] | null =>
  Array.isArray(value)
    ? value.map(each => String(each)).filter(Boolean)
    : (text(value)
        ?.split(/[,;|]/u)
        .map(each => each.trim())
        .filter(Boolean) ?? null)

/** Only pictures that come with the record are kept: none is loaded from elsewhere. */
const picture = (value: unknown) => {
  const given = text(value)
  return given && /^data:image\/(?:png|jpeg|gif|webp|svg\+xml)[;,]/u.test(given) && given.length <= 20_000
    ? given
    : null
}

/**
 * One record of a list of videos or result pages.
 * @returns the video, with its seat where a phrase and a rank are told; or why it is refused.
 */
export function videoRecord(
  record: Readonly<Record<string, unknown>>,
  columns: Partial<Record<Field, string>>,
): { video: VideoRecord; seat: SeatRecord | null } | { reason: string } {
  const raw = (field: Field) => (columns[field] === undefined ? undefined : record[columns[field]])
  const problems: string[] = []
  const number = (field: Field): number | null => {
    const value = raw(field)
    if (typeof value === 'number') return Number.isFinite(value) && value >= 0 ? value : null
    const given = text(value)
    if (given === null || given.trim() === '') return null
    const read = looseNumber(given)
    if (read === null) return null
    if (Number.isNaN(read) || read < 0) {
      problems.push(`“${given.slice(0, 30)}” is not a number for ${field}.`)
      return null
    }
    return read
  }
  const whole = (field: Field) => {
    const value = number(field)
    return value === null ? null : Math.round(value)
  }
  const title = text(raw('title'))?.trim() ?? ''
  if (!title) return { reason: 'There is no title.' }
  const link = text(raw('url'))
  const nested = raw('channel')
  const owner = typeof nested === 'object' && nested !== null ? (nested as Record<string, unknown>) : null
  const channelTitle = (owner ? text(owner.title ?? owner.name) : text(nested))?.trim() ?? 'unknown channel'
  const id = text(raw('id')) ?? (link ? idOfLink(link) : null)
  if (!id?.trim()) return { reason: 'There is no id or link to identify the video.' }
  const time = (field: Field) => {
    const given = text(raw(field))
    if (given === null || !given.trim()) return null
    const at = timeOf(given)
    if (at === null) problems.push(`“${given.slice(0, 30)}” is not a date. Use the form 2026-03-31.`)
    return at
  }
  const length = text(raw('duration'))
  const region = text(raw('region'))?.trim()
  if (region && !/^[a-z]{2}$/iu.test(region) && !/^(everywhere|global|world)$/iu.test(region))
    problems.push(`“${region.slice(0, 20)}” is not a region. Use two letters, such as GB.`)
  const video: VideoRecord = {
    id: id.trim().slice(0, 200),
    title: title.slice(0, 1000),
    description: text(raw('description'))?.slice(0, 60_000) ?? null,
    tags: listOf(raw('tags'))?.slice(0, 500) ?? null,
    channel: {
      id: (text(raw('channelId')) ?? (owner ? text(owner.id) : null) ?? `by-name:${channelTitle.toLowerCase()}`).slice(
        0,
        200,
      ),
      title: channelTitle.slice(0, 500),
      subscribers: owner
        ? Number(owner.subscribers ?? Number.NaN) >= 0
          ? Number(owner.subscribers)
          : null
        : whole('subscribers'),
    },
    views: whole('views'),
    likes: whole('likes'),
    dislikes: whole('dislikes'),
    comments: whole('comments'),
    publishedAt: time('published'),
    durationSeconds: length ? durationSeconds(length) : null,
    thumbnail: picture(raw('thumbnail')),
    category: text(raw('category'))?.trim().slice(0, 100) || null,
  }
  const phrase = phraseKey(text(raw('phrase')) ?? '')
  const rank = number('rank')
  if (phrase && rank !== null && (rank < 1 || rank > 1000 || !Number.isInteger(rank)))
    problems.push(`A rank is a whole number from 1, not ${rank}.`)
  const at = time('at')
  if (problems.length) return { reason: problems.join(' ') }
  const seat =
    phrase && rank !== null
      ? {
          phrase,
          rank,
          at,
          region: region && /^[a-z]{2}$/iu.test(region) ? region.toUpperCase() : null,
          titleMatches: whole('titleMatches'),
        }
      : null
  return { video, seat }
}
