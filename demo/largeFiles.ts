import { existsSync, mkdirSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { makePhrases, type WorldPhrase } from '../server/services/standin/phrases'
import { makeChannels } from '../server/services/standin/channels'
import { makeVideos, type WorldVideo } from '../server/services/standin/videos'
import { DEMO_SEED } from '../server/services/standin/world'

export interface LargeSize {
  phrases: number
  videos: number
  pages: number
  channels: number
}
/** A file to be imported: of phrases, or of videos and result pages. */
export interface LargeFile {
  name: string
  path: string
  kind: 'phrases' | 'videos'
  region: string
}

export const LARGE: LargeSize = { phrases: 1_000_000, videos: 200_000, pages: 10_000, channels: 12_000 }
/** Searches in a region as a part of all; '' is everywhere. */
export const SHARES: readonly (readonly [region: string, share: number])[] = [
  ['GB', 0.14],
  ['US', 0.27],
  ['', 1],
]
const PHRASES_A_FILE = 100_000
const VIDEOS_A_FILE = 20_000
const PAGES_A_FILE = 1000
const SEATS = 20
/** The day the files tell of: the same files on any day. */
export const TOLD_AT = Date.UTC(2026, 9, 1)

const line = (phrase: WorldPhrase, share: number, i: number) =>
  `${phrase.text},${Math.round(phrase.base * share * 10) / 10},${(((i * 37) % 200) - 80) / 100},${(i * 7919) % 300}\n`
/** A list of phrases with their searches in a region, as CSV. @param from the number of the first of them. */
export const listOf = (phrases: readonly WorldPhrase[], share: number, from = 0) =>
  `phrase,volume,change,videos\n${phrases.map((phrase, i) => line(phrase, share, from + i)).join('')}`

/** Which videos stand for a phrase: those made for its part, another stretch of them for each phrase. */
function* pages(
  size: LargeSize,
  phrases: readonly WorldPhrase[],
  videos: readonly WorldVideo[],
): Generator<{ phrase: string; videos: WorldVideo[] }> {
  const byTag = new Map<string, WorldVideo[]>()
  for (const video of videos) {
    for (const tag of video.tags) {
      const list = byTag.get(tag)
      if (list) list.push(video)
      else byTag.set(tag, [video])
    }
  }
  for (const [i, phrase] of phrases.slice(0, size.pages).entries()) {
    const own = byTag.get(phrase.text) ?? []
    const part = byTag.get(phrase.part) ?? videos
    const more = Array.from({ length: Math.min(SEATS, part.length) }, (_, k) => part[(i * 7 + k) % part.length]!)
    yield { phrase: phrase.text, videos: [...new Set([...own, ...more])].slice(0, SEATS) }
  }
}

/**
 * Makes the files of a large store: lists of phrases a region, videos, result pages. Each is written whole or not at
 * all; those that are there are not made again.
 *
 * @param tell called with each file as it is made.
 */
export function makeLargeFiles(
  folder: string,
  size: LargeSize,
  report: (name: string) => void = () => undefined,
): LargeFile[] {
  mkdirSync(folder, { recursive: true })
  let world: { phrases: WorldPhrase[]; videos: WorldVideo[]; record: (video: WorldVideo) => object } | undefined
  const made = () => {
    if (world) return world
    const phrases = makePhrases(size.phrases, DEMO_SEED)
    const channels = makeChannels(size.channels, DEMO_SEED, TOLD_AT)
    const record = (video: WorldVideo) => {
      const { id, title, hidden, subscribers } = channels[video.channel]!
      return {
        id: video.id,
        title: video.title,
        description: video.description,
        tags: video.tags,
        channelId: id,
        channel: title,
        subscribers: hidden ? null : subscribers,
        views: video.views,
        likes: video.likes,
        comments: video.comments,
        published: new Date(video.publishedAt).toISOString(),
        duration: video.seconds,
      }
    }
    return (world = { phrases, videos: makeVideos(size.videos, DEMO_SEED, channels, phrases, TOLD_AT), record })
  }
  const files: LargeFile[] = []
  const file = (name: string, kind: LargeFile['kind'], region: string, text: () => string) => {
    const path = join(folder, name)
    if (!existsSync(path)) {
      report(name)
      writeFileSync(`${path}.part`, text())
      renameSync(`${path}.part`, path)
    }
    files.push({ name, path, kind, region })
  }
  const numbered = (n: number) => String(n + 1).padStart(2, '0')
  const parts = (total: number, each: number) => Array.from({ length: Math.ceil(total / each) }, (_, n) => n)
  for (const [region, share] of SHARES) {
    for (const n of parts(size.phrases, PHRASES_A_FILE)) {
      const from = n * PHRASES_A_FILE
      file(`phrases-${region || 'everywhere'}-${numbered(n)}.csv`, 'phrases', region, () =>
        listOf(made().phrases.slice(from, from + PHRASES_A_FILE), share, from),
      )
    }
  }
  for (const n of parts(size.videos, VIDEOS_A_FILE)) {
    file(
      `videos-${numbered(n)}.jsonl`,
      'videos',
      '',
      () =>
        `${made()
          .videos.slice(n * VIDEOS_A_FILE, (n + 1) * VIDEOS_A_FILE)
          .map(video => JSON.stringify(made().record(video)))
          .join('\n')}\n`,
    )
  }
  let standing: { phrase: string; videos: WorldVideo[] }[] | undefined
  for (const n of parts(size.pages, PAGES_A_FILE)) {
    file(`pages-${numbered(n)}.jsonl`, 'videos', 'GB', () => {
      standing ??= [...pages(size, made().phrases, made().videos)]
      return `${standing
        .slice(n * PAGES_A_FILE, (n + 1) * PAGES_A_FILE)
        .map(page =>
          JSON.stringify({
            phrase: page.phrase,
            region: 'GB',
            at: TOLD_AT,
            results: page.videos.map(video => made().record(video)),
          }),
        )
        .join('\n')}\n`
    })
  }
  return files
}
