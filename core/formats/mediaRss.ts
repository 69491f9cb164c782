import { XMLParser } from 'fast-xml-parser'
import { idOfLink, timeOf, type ToldChannel, type ToldVideo } from './videoRecord'

type Node = Record<string, unknown>
const many = (value: unknown): unknown[] => Array.isArray(value) ? value : value === undefined || value === null || value === '' ? [] : [value]
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null && !Array.isArray(value)
/** The text of an element, with or without attributes. */
const text = (value: unknown): string | null => typeof value === 'string' ? value.trim() : typeof value === 'number' ? String(value) : isNode(value) ? text(value['#text']) : Array.isArray(value) ? text(value[0]) : null
const attribute = (value: unknown, name: string): string | null => isNode(value) ? text(value[`@${name}`]) : null
const count = (value: string | null) => { const n = Number(value); return value !== null && value !== '' && Number.isFinite(n) && n >= 0 ? Math.round(n) : null }
const linkOf = (value: unknown) => { const links = many(value); const best = links.find(each => attribute(each, 'rel') === 'alternate') ?? links[0]; return attribute(best, 'href') ?? text(best) }

/**
 * A channel's feed: Atom or RSS with Media RSS elements. No entity but XML's own five is resolved, and
 * nothing the file names is fetched.
 * @returns the channel and its videos; `null` when it is no such feed.
 * @throws Error with a message for the user when the XML is broken.
 */
export function readMediaRss(xml: string): { channel: ToldChannel, videos: ToldVideo[] } | null {
  if (/<!DOCTYPE|<!ENTITY/iu.test(xml)) throw new Error('The feed declares entities of its own, which are not read. Save it without them.')
  let root: Node
  try {
    root = new XMLParser({ ignoreAttributes: false, attributeNamePrefix: '@', removeNSPrefix: false, parseTagValue: false, processEntities: true, htmlEntities: false }).parse(xml, true) as Node
  } catch (error) {
    throw new Error(`The feed is no well-formed XML: ${(error as Error).message}`, { cause: error })
  }
  const atom = isNode(root.feed) ? root.feed : null
  const rss = isNode(root.rss) && isNode(root.rss.channel) ? root.rss.channel : null
  const feed = atom ?? rss
  if (!feed) return null
  const author = isNode(feed.author) ? feed.author : null
  const link = linkOf(feed.link)
  const title = (text(author?.name) ?? text(feed.title) ?? 'unknown channel').slice(0, 500)
  const uri = text(author?.uri) ?? link
  const channelId = (uri ? idOfLink(uri) : text(feed.id) ?? `by-name:${title.toLowerCase()}`).slice(0, 200)
  const items = many(atom ? feed.entry : feed.item).filter(isNode)
  const videos = items.flatMap((item): ToldVideo[] => {
    const group = isNode(item['media:group']) ? item['media:group'] : item
    const community = isNode(group['media:community']) ? group['media:community'] : {}
    const name = text(group['media:title']) ?? text(item.title)
    const own = linkOf(item.link)
    const id = (own ? idOfLink(own) : text(item.id) ?? text(item.guid))
    if (!name || !id) return []
    const keywords = text(group['media:keywords'])
    const content = many(group['media:content'])[0]
    return [{
      id: id.slice(0, 200), title: name.slice(0, 1000), description: (text(group['media:description']) ?? text(item.summary) ?? text(item.description))?.slice(0, 60_000) ?? null,
      tags: keywords === null ? null : keywords.split(',').map(each => each.trim()).filter(Boolean), channel: { id: channelId, title, subscribers: null },
      views: count(attribute(community['media:statistics'], 'views')), likes: count(attribute(community['media:starRating'], 'count')), comments: null,
      publishedAt: timeOfFeed(text(item.published) ?? text(item.pubDate)), durationSeconds: count(attribute(content, 'duration')), thumbnail: null,
    }]
  })
  return { channel: { id: channelId, title, subscribers: null, foundedAt: timeOfFeed(text(feed.published)), videos: null }, videos }
}

/** Atom writes ISO 8601, RSS the dates of mails. */
function timeOfFeed(value: string | null): number | null {
  if (!value) return null
  const iso = timeOf(value)
  if (iso !== null) return iso
  const mail = Date.parse(value)
  return Number.isNaN(mail) ? null : mail
}
