import { durationSeconds, idOfLink, timeOf, type VideoRecord } from './videoRecord'

type Thing = Record<string, unknown>
const isThing = (value: unknown): value is Thing => typeof value === 'object' && value !== null && !Array.isArray(value)
const many = (value: unknown): unknown[] =>
  Array.isArray(value) ? value : value === undefined || value === null ? [] : [value]
const isA = (thing: Thing, type: string) =>
  many(thing['@type']).some(each => typeof each === 'string' && each.replace(/^.*[/#]/u, '') === type)
const text = (value: unknown): string | null =>
  typeof value === 'string'
    ? value
    : typeof value === 'number'
      ? String(value)
      : isThing(value)
        ? text(value['@id'] ?? value.url ?? value.name)
        : null

/** How often an interaction was counted, by its schema.org type; `null` where nobody says. */
function interactions(thing: Thing, types: readonly string[]): number | null {
  for (const statistic of many(thing.interactionStatistic)) {
    if (!isThing(statistic)) continue
    const kind = isThing(statistic.interactionType)
      ? many(statistic.interactionType['@type']).join()
      : (text(statistic.interactionType) ?? '')
    const count = Number(statistic.userInteractionCount)
    if (types.some(type => kind.endsWith(type)) && Number.isFinite(count) && count >= 0) return Math.round(count)
  }
  return null
}

const number = (value: unknown) => {
  const n = Number(value)
  return value !== undefined && value !== null && Number.isFinite(n) && n >= 0 ? Math.round(n) : null
}

/** Whether a value is JSON-LD that may hold videos. */
export const isJsonLd = (value: unknown): boolean =>
  many(value).some(each => isThing(each) && ('@type' in each || '@graph' in each || '@context' in each))

/** Every schema.org VideoObject in a JSON-LD value, wherever it stands. */
export function videosOfJsonLd(value: unknown): VideoRecord[] {
  const found: VideoRecord[] = []
  const seen = new Set<unknown>()
  const visit = (node: unknown, depth: number): void => {
    if (depth > 12 || seen.has(node)) return
    if (Array.isArray(node)) {
      for (const each of node) visit(each, depth + 1)
      return
    }
    if (!isThing(node)) return
    seen.add(node)
    if (isA(node, 'VideoObject')) {
      const video = videoOf(node)
      if (video) found.push(video)
      return
    }
    for (const each of Object.values(node)) visit(each, depth + 1)
  }
  visit(value, 0)
  return found
}

function videoOf(thing: Thing): VideoRecord | null {
  const title = (text(thing.name) ?? text(thing.headline) ?? '').trim()
  const link = text(thing.url) ?? text(thing['@id']) ?? text(thing.embedUrl) ?? text(thing.contentUrl)
  const id = text(thing.identifier) ?? (link ? idOfLink(link) : null)
  if (!title || !id) return null
  const owner = many(thing.author ?? thing.creator ?? thing.publisher)[0]
  const ownerName = (isThing(owner) ? text(owner.name) : text(owner))?.trim() ?? 'unknown channel'
  const ownerLink = isThing(owner) ? (text(owner.identifier) ?? text(owner.url) ?? text(owner['@id'])) : null
  const length = text(thing.duration)
  const published = text(thing.uploadDate) ?? text(thing.datePublished)
  const keywords = thing.keywords
  return {
    id: id.slice(0, 200),
    title: title.slice(0, 1000),
    description: text(thing.description)?.slice(0, 60_000) ?? null,
    tags:
      keywords === undefined
        ? null
        : many(keywords)
            .flatMap(each => (text(each) ?? '').split(','))
            .map(each => each.trim())
            .filter(Boolean)
            .slice(0, 500),
    channel: {
      id: (ownerLink ? idOfLink(ownerLink) : `by-name:${ownerName.toLowerCase()}`).slice(0, 200),
      title: ownerName.slice(0, 500),
      subscribers: isThing(owner) ? interactions(owner, ['SubscribeAction', 'FollowAction']) : null,
    },
    views: interactions(thing, ['WatchAction', 'ViewAction']),
    likes: interactions(thing, ['LikeAction']),
    dislikes: interactions(thing, ['DislikeAction']),
    comments: number(thing.commentCount) ?? interactions(thing, ['CommentAction']),
    publishedAt: published ? timeOf(published) : null,
    durationSeconds: length ? durationSeconds(length) : null,
    thumbnail: null,
  }
}

/** What is told of a video as a schema.org VideoObject; what is unknown or empty is left out. */
export interface VideoToTell {
  title: string
  description: string
  tags: readonly string[]
  language: string
  channel: string
  seconds: number | null
  address: string
  /** UTC milliseconds. */
  publishedAt: number | null
}

/** A video as JSON-LD, to stand in a page that shows it. */
export function writeVideoObject(video: VideoToTell): string {
  const { title, description, tags, language, channel, seconds, address, publishedAt } = video
  const told = {
    '@context': 'https://schema.org',
    '@type': 'VideoObject',
    'name': title || undefined,
    'description': description || undefined,
    'keywords': tags.length ? tags.join(', ') : undefined,
    'inLanguage': language,
    'url': address || undefined,
    'duration': seconds === null ? undefined : `PT${Math.round(seconds)}S`,
    'uploadDate': publishedAt === null ? undefined : new Date(publishedAt).toISOString(),
    'author': channel ? { '@type': 'Organization', 'name': channel } : undefined,
  }
  return `${JSON.stringify(told, null, 2)}\n`
}
