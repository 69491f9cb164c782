import { DAY } from '../../../core/time'
import { hash, normal, seeded } from './chance'
import { HOME_VIDEOS } from './homeVideos'
import { GERMAN, TRADES } from './trades'
import { CHANNEL_NOUNS, TOWNS as GERMAN_TOWNS } from './trades/germanBicycle'
import { TOWNS } from './places'
import { CHANNEL_RIGHTS, type ChannelRight } from '../contract'
import type { Habits } from './writing/descriptions'
import { STYLES, type Style } from './writing/titles'

export interface WorldChannel {
  id: string
  title: string
  language: 'en' | 'de'
  trade: string
  /** Names of the parts it likes to film. */
  parts: string[]
  subscribers: number
  hidden: boolean
  foundedAt: number
  /** 0 to 1: what the site thinks of it. */
  standing: number
  palette: number
  /** Whether the site tells how many disliked its videos. */
  showsDislikes: boolean
  /** How it likes to title its videos, and what its series is called. */
  style: Style
  series: string
  habits: Habits
}

/** The channel of the demo scenario. */
export const HOME_CHANNEL = {
  id: 'ch-marrowby',
  title: 'Marrowby Wheel Shed',
  subscribers: 4870,
  videos: HOME_VIDEOS.length,
}

const FIRST = [
  'Tallow Lane',
  'Copper Gate',
  'Fenwold',
  'Ottersleigh',
  'Quillmouth',
  'Brackwater',
  'Mossgrove',
  'Hartle',
  'Penn & Wick',
  'Little Harbour',
  'Bramwell',
  'Sable Hill',
  'Old Ferry',
  'Greywater',
  'Thistle Row',
  'Nettlecombe',
  'Wexhollow',
  'Larkfield',
  'Stonegill',
  'Ember Street',
  'Juniper',
  'Kestrel Yard',
  'Marlow Rise',
  'Oakham Vale',
  'Pinfold',
  'Rushmere',
  'Saltreach',
  'Underhill',
  'Vennbrook',
  'Windle',
  'Amber Quay',
  'Birchfold',
  'Cinder Path',
  'Dovecote',
  'Elmstead',
  'Foxley',
  'Gorse End',
  'Hazelmere',
  'Ivy Bridge Road',
  'Jackdaw',
  'Kiln Lane',
  'Lowmarsh',
  'Millrace',
  'Northgate',
  'Orchard Hill',
  'Plum Street',
  'Quarry Bank',
  'Riverside',
  'Sandpiper',
  'Tollgate',
]
const AGAIN = ['Extra', 'Weekly', 'at Home', 'North', 'South', 'Films', 'School', 'Live', 'Shorts', 'Archive', 'Two']
const SERIES = ['Workshop Notes', 'Monday Repair', 'Back to Basics', 'Bench Diary', 'Slow Lessons', 'Ten Minute Job']

const domainOf = (title: string) => `${title.toLowerCase().replace(/[^a-z0-9]+/gu, '-')}.example`

/** Channels of every trade, the demo's own first. */
export function makeChannels(size: number, seed: number, newest: number): WorldChannel[] {
  const random = seeded(seed + 1)
  const pick = <Value>(list: readonly Value[]): Value => list[Math.floor(random() * list.length)]!
  const habits = (title: string): Habits => ({
    domain: domainOf(title),
    town: random() < 0.25 ? pick(TOWNS).name : null,
    chapters: random() < 0.35 ? 0.9 : 0.08,
    links: random() < 0.4 ? 0.8 : 0.1,
    contact: random() < 0.3 ? 0.9 : 0.1,
    hashtags: random() < 0.5 ? 0.8 : 0.15,
    paragraphs: 1 + Math.floor(random() * 3),
  })
  const channels: WorldChannel[] = [
    {
      id: HOME_CHANNEL.id,
      title: HOME_CHANNEL.title,
      language: 'en',
      trade: 'bicycle',
      parts: ['rear derailleur', 'bike chain', 'disc brake', 'bike wheel', 'bike'],
      subscribers: HOME_CHANNEL.subscribers,
      hidden: false,
      foundedAt: newest - 1500 * DAY,
      standing: 0.5,
      palette: 3,
      showsDislikes: true,
      style: 'plain',
      series: 'From the Shed',
      habits: { ...habits(HOME_CHANNEL.title), town: 'Marrowby', contact: 0.9, chapters: 0.6, hashtags: 0.8 },
    },
  ]
  const names = new Set<string>()
  while (channels.length < size) {
    let roll = random()
    // However small the world is, somebody speaks German.
    const german = (roll -= GERMAN.share) < 0 || channels.length === 1
    const trade = german ? null : (TRADES.find(each => (roll -= each.share) < 0) ?? TRADES[0]!)
    let title = trade ? `${pick(FIRST)} ${pick(trade.nouns)}` : `${pick(CHANNEL_NOUNS)} ${pick(GERMAN_TOWNS)}`
    while (names.has(title)) title = `${title} ${pick(AGAIN)}`
    names.add(title)
    const parts = trade?.parts.filter(() => random() < 0.3).map(each => each.name) ?? []
    channels.push({
      id: `ch-${(hash(title) ^ (seed >>> 3)).toString(36)}${channels.length.toString(36)}`,
      title,
      language: german ? 'de' : 'en',
      trade: trade?.id ?? GERMAN.id,
      parts: trade && !parts.length ? [trade.parts[0]!.name] : parts,
      subscribers: Math.round(Math.exp(8.6 + 2.1 * normal(random))),
      hidden: random() < 0.04,
      foundedAt: newest - Math.floor(200 + random() * 4200) * DAY,
      standing: random(),
      palette: Math.floor(random() * 12),
      showsDislikes: hash(title) % 10 < 4,
      // Every other channel writes plainly; the rest has a manner of its own.
      style: random() < 0.4 ? 'plain' : pick(STYLES),
      series: pick(SERIES),
      habits: habits(title),
    })
  }
  return channels
}

/**
 * Who may be acted for with the demo's key: its own channel, and two of clients that have not agreed yet; the second
 * client's is too new for everything.
 */
export function ownersOf(
  channels: readonly WorldChannel[],
): { channel: number; authorised: boolean; rights: ChannelRight[] }[] {
  const clients = channels.flatMap((channel, i) => (i > 0 && channel.trade === 'bicycle' ? [i] : [])).slice(0, 2)
  return [
    { channel: 0, authorised: true, rights: [...CHANNEL_RIGHTS] },
    ...clients.map((channel, n) => ({
      channel,
      authorised: false,
      rights: n === 0 ? [...CHANNEL_RIGHTS] : (['publish', 'update', 'analytics'] satisfies ChannelRight[]),
    })),
  ]
}
