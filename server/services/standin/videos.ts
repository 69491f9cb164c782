import { DAY } from '../../../core/time'
import { hash, normal, pickCumulated, seeded } from './chance'
import type { WorldPhrase } from './phrases'
import { TRADES } from './trades'
import { CHANNEL_FIRST, HOOKS } from './vocabulary'

export interface WorldChannel {
  id: string
  title: string
  trade: string
  parts: string[]
  subscribers: number
  hidden: boolean
  foundedAt: number
  standing: number
  palette: number
}

export interface WorldVideo {
  id: string
  channel: number
  title: string
  description: string
  tags: string[]
  publishedAt: number
  seconds: number
  views: number
  likes: number
  comments: number
  /** 0 to 1: how often a shown result is clicked, and how much of it is watched. */
  clicks: number
  watched: number
}

/** The channel of the demo scenario. */
export const HOME_CHANNEL = { id: 'ch-marrowby', title: 'Marrowby Wheel Shed', subscribers: 4870, videos: 63 }

const capital = (text: string) => text[0]!.toUpperCase() + text.slice(1)
const titled = (text: string) =>
  text.replace(/(^|\s)(\p{L})/gu, (_, gap: string, letter: string) => gap + letter.toUpperCase())

/** Channels of every trade, the demo's own first. */
export function makeChannels(size: number, seed: number, newest: number): WorldChannel[] {
  const random = seeded(seed + 1)
  const channels: WorldChannel[] = [
    {
      id: HOME_CHANNEL.id,
      title: HOME_CHANNEL.title,
      trade: 'bicycle',
      parts: ['rear derailleur', 'bike chain', 'disc brake', 'bike wheel', 'bike'],
      subscribers: HOME_CHANNEL.subscribers,
      hidden: false,
      foundedAt: newest - 1500 * DAY,
      standing: 0.5,
      palette: 3,
    },
  ]
  const names = new Set<string>()
  while (channels.length < size) {
    let roll = random()
    const trade = TRADES.find(each => (roll -= each.share) < 0) ?? TRADES[0]!
    const first = CHANNEL_FIRST[Math.floor(random() * CHANNEL_FIRST.length)]!
    let title = `${first} ${trade.nouns[Math.floor(random() * trade.nouns.length)]}`
    if (names.has(title))
      title = `${title} ${['Extra', 'Weekly', 'at Home', 'North', 'South', 'Film', 'School'][names.size % 7]!}`
    if (names.has(title)) title = `${title} ${names.size}`
    names.add(title)
    const parts = trade.parts.filter(() => random() < 0.3).map(each => each.name)
    channels.push({
      id: `ch-${(hash(title) ^ (seed >>> 3)).toString(36)}${channels.length.toString(36)}`,
      title,
      trade: trade.id,
      parts: parts.length ? parts : [trade.parts[0]!.name],
      subscribers: Math.round(Math.exp(8.6 + 2.1 * normal(random))),
      hidden: random() < 0.04,
      foundedAt: newest - Math.floor(200 + random() * 4200) * DAY,
      standing: random(),
      palette: Math.floor(random() * 12),
    })
  }
  return channels
}

const BENEFITS = ['You will learn', 'In this video you see', 'Here is', 'We show you', 'This is']
const STEPS = [
  'First we look at what is worn and what is only dirty.',
  'Then the tools come out, and you see each of them named.',
  'We take it apart slowly, so that you can stop and follow.',
  'The part that goes wrong most often gets the most time.',
  'At the end we check the work under load.',
  'Everything shown here was done with ordinary tools.',
]
const REQUESTS = [
  'Tell us in the comments what gave you trouble.',
  'Subscribe for a new repair every week.',
  'Which part shall we film next?',
  '',
]

function titleFor(phrase: string, luck: () => number): string {
  const roll = luck()
  const hook = HOOKS[Math.floor(luck() * HOOKS.length)]!
  if (roll < 0.22) return capital(phrase)
  if (roll < 0.45) return `${titled(phrase)} - ${capital(hook)}`
  if (roll < 0.6) return `${capital(phrase)}: ${hook}`
  if (roll < 0.7) return `${capital(hook)}: ${phrase}`
  if (roll < 0.82)
    return capital(`${phrase.replace(/^(how to|best way to|can you|easy way to|when to|how do you) /u, '')} ${hook}`)
  const parts = phrase.split(' ')
  if (roll < 0.93 && parts.length > 3)
    return `${capital(parts.slice(-2).join(' '))} ${parts.slice(0, -2).join(' ')}, ${hook}`
  return `${capital(parts.slice(-Math.ceil(parts.length * 0.6)).join(' '))} ${hook}`
}

function videoOf(
  channel: WorldChannel,
  index: number,
  phrase: WorldPhrase,
  near: WorldPhrase[],
  n: number,
  seed: number,
  newest: number,
): WorldVideo {
  const luck = seeded(seed + 31 * n + 5)
  const title = titleFor(phrase.text, luck)
  const begins = luck()
  const lead =
    begins < 0.35
      ? `${capital(phrase.text)}. `
      : begins < 0.6
        ? ''
        : `${BENEFITS[Math.floor(luck() * BENEFITS.length)]!} ${phrase.text}. `
  const steps = STEPS.filter(() => luck() < 0.5).join(' ')
  const extra = near.length
    ? `\n\nAlso: ${near
        .slice(0, 3)
        .map(each => each.text)
        .join(', ')}.`
    : ''
  const request = REQUESTS[Math.floor(luck() * REQUESTS.length)]!
  const description = `${lead}${steps}${extra}${request ? `\n\n${request}` : ''}\n\n#${phrase.part.replace(/[^a-z]/gu, '')}`
  const tags = [
    ...new Set([...(luck() < 0.7 ? [phrase.text] : []), phrase.part, ...near.map(each => each.text), phrase.trade]),
  ].slice(0, 4 + Math.floor(luck() * 10))
  const age = Math.max(2, Math.min((newest - channel.foundedAt) / DAY, Math.exp(1.6 + 6 * luck())))
  const clicks = Math.min(1, Math.max(0.02, 0.35 + 0.15 * normal(luck)))
  const watched = Math.min(1, Math.max(0.05, 0.45 + 0.16 * normal(luck) - (title.includes('mistakes') ? 0.05 : 0)))
  const perDay =
    Math.exp(0.42 * Math.log(1 + phrase.base) + 0.38 * Math.log(1 + channel.subscribers) - 2.4 + 1.1 * normal(luck)) *
    (0.4 + clicks + watched)
  const views = Math.round(perDay * Math.pow(age, 0.85)) + Math.floor(luck() * 40)
  return {
    id: `v-${hash(`${seed}/${n}/${title}`).toString(36)}${n.toString(36)}`,
    channel: index,
    title: title.slice(0, 100),
    description,
    tags,
    publishedAt: Math.round(newest - age * DAY),
    seconds: Math.round(Math.exp(5.9 + 0.7 * normal(luck))),
    views,
    likes: Math.round(views * 0.03 * (0.5 + luck())),
    comments: Math.round(views * 0.003 * luck()),
    clicks,
    watched,
  }
}

/** Videos, each made for a phrase of its channel's trade; searched phrases draw more of them. */
export function makeVideos(
  size: number,
  seed: number,
  channels: WorldChannel[],
  phrases: WorldPhrase[],
  newest: number,
): WorldVideo[] {
  const random = seeded(seed + 2)
  const byTrade = new Map<string, WorldPhrase[]>()
  const byPart = new Map<string, WorldPhrase[]>()
  for (const phrase of phrases) {
    for (const [index, key] of [
      [byTrade, phrase.trade],
      [byPart, `${phrase.trade}/${phrase.part}`],
    ] as const) {
      const list = index.get(key)
      if (list) list.push(phrase)
      else index.set(key, [phrase])
    }
  }
  const cumulate = (list: WorldPhrase[]) => {
    let sum = 0
    return Float64Array.from(list, phrase => (sum += Math.pow(phrase.base, 0.55)))
  }
  const weights = new Map<WorldPhrase[], Float64Array>()
  const draw = (list: WorldPhrase[]) => {
    let cumulated = weights.get(list)
    if (!cumulated) weights.set(list, (cumulated = cumulate(list)))
    return list[pickCumulated(cumulated, random)]!
  }
  const busy = Float64Array.from(
    (() => {
      let sum = 0
      return channels.map((channel, i) => (sum += i === 0 ? 0 : 0.5 + Math.log10(1 + channel.subscribers)))
    })(),
  )
  const videos: WorldVideo[] = []
  for (let n = 0; n < size; n++) {
    const index = n < HOME_CHANNEL.videos ? 0 : pickCumulated(busy, random)
    const channel = channels[index]!
    const liked = channel.parts[Math.floor(random() * channel.parts.length)]!
    // A small world may hold no phrase of a channel's trade; it then films what others film.
    const list =
      (random() < 0.6 ? byPart.get(`${channel.trade}/${liked}`) : undefined) ?? byTrade.get(channel.trade) ?? phrases
    const phrase = draw(list)
    const siblings = byPart.get(`${phrase.trade}/${phrase.part}`)!
    const near = Array.from({ length: 8 }, () => draw(siblings)).filter(each => each !== phrase)
    videos.push(videoOf(channel, index, phrase, near, n, seed, newest))
  }
  return videos
}
