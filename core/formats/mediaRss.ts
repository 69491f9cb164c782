import { SaxesParser } from 'saxes'
import { idOfLink, timeOf, type ChannelRecord, type VideoRecord } from './videoRecord'
import { inDigits } from '../text/inWords'

type Node = Record<string, unknown>
const many = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null || value === '' ? [] : [value]
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value)
/** The text of an element, with or without attributes. */
const text = (value: unknown): string | null =>
  typeof value === 'string'
    ? value.trim()
    : typeof value === 'number'
      ? String(value)
      : isNode(value)
        ? text(value['#text'])
        : Array.isArray(value)
          ? text(value[0])
          : null
const attribute = (value: unknown, name: string): string | null => (isNode(value) ? text(value[`@${name}`]) : null)
const count = (value: string | null) => {
  const n = Number(value)
  return value !== null && value !== '' && Number.isFinite(n) && n >= 0 ? Math.round(n) : null
}
const linkOf = (value: unknown) => {
  const links = many(value)
  const best = links.find(each => attribute(each, 'rel') === 'alternate') ?? links[0]
  return attribute(best, 'href') ?? text(best)
}

/** No honest feed goes beyond these: they bound what one element can take. */
const MOST_ATTRIBUTES = 200
const DEEPEST = 40
const LONGEST_ENTRY = 500_000

/** What of a feed's head says whose it is. */
const HEAD = new Set(['title', 'author', 'link', 'id', 'published'])

/**
 * Reads a channel's feed as it comes: Atom or RSS with Media RSS elements. No more than one entry is held at a time. No
 * entity but XML's own five is resolved, and nothing the feed names is fetched.
 *
 * @example const reader = new FeedReader({ channel: keep, video: keep }) for (const piece of pieces)
 * reader.write(piece) if (!reader.close()) throw new Error('No feed.')
 */
export class FeedReader {
  private readonly parser = new SaxesParser()
  /** Names of the elements that are open. */
  private readonly path: string[] = []
  /** The elements being built: an entry or a part of the head, and those open within it. */
  private readonly building: Node[] = []
  private readonly head: Node = {}
  private held = 0
  private isFeed = false
  private latest: ChannelRecord | null = null

  /** @param tell told the channel before its first video, and again where more of it comes later. */
  constructor(
    private readonly found: { channel: (channel: ChannelRecord) => void; video: (video: VideoRecord) => void },
  ) {
    let attributes = 0
    this.parser.on('doctype', () => {
      throw new FeedProblem(
        'The feed declares its own document type or entities, which are not supported. Save it without them.',
      )
    })
    this.parser.on('attribute', () => {
      if (++attributes > MOST_ATTRIBUTES)
        throw new FeedProblem(`An element of the feed has more than ${MOST_ATTRIBUTES} attributes.`)
    })
    this.parser.on('opentag', ({ name, attributes: given }) => {
      attributes = 0
      this.open(name, given as Record<string, string>)
    })
    this.parser.on('closetag', ({ name }) => {
      this.end(name)
    })
    this.parser.on('text', text => {
      this.text(text)
    })
    this.parser.on('cdata', text => {
      this.text(text)
    })
    this.parser.on('error', error => {
      throw new FeedProblem(`The feed is not well-formed XML: ${error.message}`)
    })
  }

  /** Takes the next piece. @throws Error with a message for the user when the XML is broken. */
  write(piece: string): void {
    this.parser.write(piece)
  }

  /** @returns whether it was such a feed. */
  close(): boolean {
    this.parser.close()
    if (this.isFeed) this.tellChannel()
    return this.isFeed
  }

  /** How deep a feed's own entries and head stand: right below `feed`, or below `rss` and `channel`. */
  private get level(): number {
    return this.path[0] === 'rss' ? 2 : 1
  }

  private open(name: string, attributes: Record<string, string>): void {
    this.path.push(name)
    const depth = this.path.length
    if (depth > DEEPEST) throw new FeedProblem(`The feed is nested deeper than ${DEEPEST} levels.`)
    if (depth === this.level) this.isFeed ||= this.path.join() === 'feed' || this.path.join() === 'rss,channel'
    if (!this.isFeed) return
    if (this.building.length || (depth === this.level + 1 && (this.isEntry(name) || HEAD.has(name)))) {
      this.hold(Object.values(attributes).reduce((sum, value) => sum + value.length, 0))
      this.building.push(Object.fromEntries(Object.entries(attributes).map(([key, value]) => [`@${key}`, value])))
    }
  }

  private isEntry(name: string): boolean {
    return name === (this.level === 1 ? 'entry' : 'item')
  }

  private text(text: string): void {
    const here = this.building.at(-1)
    if (!here) return
    this.hold(text.length)
    here['#text'] = `${(here['#text'] as string | undefined) ?? ''}${text}`
  }

  private hold(length: number): void {
    this.held += length
    if (this.held > LONGEST_ENTRY)
      throw new FeedProblem(`An entry of the feed is longer than ${inDigits(LONGEST_ENTRY)} characters.`)
  }

  private end(name: string): void {
    this.path.pop()
    const done = this.building.pop()
    if (!done) return
    const above = this.building.at(-1) ?? (this.isEntry(name) ? null : this.head)
    if (above) {
      const before = above[name]
      above[name] = before === undefined ? done : [...many(before), done]
    } else {
      this.tellChannel()
      const video = videoOfEntry(done, this.latest!)
      if (video) this.found.video(video)
    }
    if (!this.building.length) this.held = 0
  }

  private tellChannel(): void {
    const channel = channelOfHead(this.head)
    if (JSON.stringify(channel) === JSON.stringify(this.latest)) return
    this.latest = channel
    this.found.channel(channel)
  }
}

class FeedProblem extends Error {}

function channelOfHead(head: Node): ChannelRecord {
  const author = many(head.author).find(isNode) ?? null
  const link = linkOf(head.link)
  const title = (text(author?.name) ?? text(head.title) ?? 'unknown channel').slice(0, 500)
  const uri = text(author?.uri) ?? link
  const id = (uri ? idOfLink(uri) : (text(head.id) ?? `by-name:${title.toLowerCase()}`)).slice(0, 200)
  return { id, title, subscribers: null, foundedAt: timeOfFeed(text(head.published)), videos: null }
}

function videoOfEntry(item: Node, { id: channelId, title: channelTitle }: ChannelRecord): VideoRecord | null {
  const group = many(item['media:group']).find(isNode) ?? item
  const community = many(group['media:community']).find(isNode) ?? {}
  const name = text(group['media:title']) ?? text(item.title)
  const own = linkOf(item.link)
  const id = own ? idOfLink(own) : (text(item.id) ?? text(item.guid))
  if (!name || !id) return null
  const keywords = text(group['media:keywords'])
  const content = many(group['media:content'])[0]
  return {
    id: id.slice(0, 200),
    title: name.slice(0, 1000),
    description:
      (text(group['media:description']) ?? text(item.summary) ?? text(item.description))?.slice(0, 60_000) ?? null,
    tags:
      keywords === null
        ? null
        : keywords
            .split(',')
            .map(each => each.trim())
            .filter(Boolean),
    channel: { id: channelId, title: channelTitle, subscribers: null },
    views: count(attribute(community['media:statistics'], 'views')),
    likes: count(attribute(community['media:starRating'], 'count')),
    dislikes: null,
    comments: null,
    publishedAt: timeOfFeed(text(item.published) ?? text(item.pubDate)),
    durationSeconds: count(attribute(content, 'duration')),
    thumbnail: null,
  }
}

/**
 * A whole feed.
 * @returns its channel and videos; `null` when it is no such feed.
 * @throws Error with a message for the user when the XML is broken.
 */
export function readMediaRss(xml: string): { channel: ChannelRecord; videos: VideoRecord[] } | null {
  let channel: ChannelRecord | null = null
  const videos: VideoRecord[] = []
  const reader = new FeedReader({
    channel: latest => {
      channel = latest
    },
    video: video => {
      videos.push(video)
    },
  })
  reader.write(xml)
  return reader.close() && channel ? { channel, videos } : null
}

/** Atom writes ISO 8601, RSS the dates of mails. */
function timeOfFeed(value: string | null): number | null {
  if (!value) return null
  const iso = timeOf(value)
  if (iso !== null) return iso
  const mail = Date.parse(value)
  return Number.isNaN(mail) ? null : mail
}
