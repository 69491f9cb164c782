import { DAY } from '../../../core/time'
import type { WorldChannel } from './channels'
import { HOME_CHANNEL } from './channels'
import { appealOf } from './appeal'
import { hash, normal, pickCumulated, seeded } from './chance'
import type { GermanAbout } from './germanGrammar'
import type { About } from './grown'
import { HOME_VIDEOS, type HomeVideo } from './homeVideos'
import type { WorldPhrase } from './phrases'
import { TRADES } from './trades'
import { PARTS as GERMAN_PARTS } from './trades/germanBicycle'
import { captionsOf } from './writing/captions'
import { descriptionOf, outlineOf } from './writing/descriptions'
import { germanDescription, germanTags, germanTitle } from './writing/german'
import { tagsOf } from './writing/tags'
import { STYLES, titleOf, type Subject } from './writing/titles'

export interface WorldVideo {
  id: string
  /** Place of its channel in the list. */
  channel: number
  language: 'en' | 'de'
  title: string
  description: string
  tags: string[]
  /** What is said in it, as WebVTT; `null` where nobody wrote it down. */
  captions: string | null
  publishedAt: number
  seconds: number
  views: number
  likes: number
  comments: number
  dislikes: number
  /** Name of the trade's part it is about. */
  part: string
  /** 0 to 1: how often a shown result is clicked, and how much of it is watched. */
  clicks: number
  watched: number
}

/** A channel keeps to its own style so often. */
const OWN_STYLE = 0.7
/** Of the English videos so many have captions. */
const CAPTIONED = 0.4
/** Of the days of a channel's life, a video's age: a little more come later than earlier. */
const AGE_TILT = 1.15
/** The youngest video of a channel is so many days old, at least. */
const YOUNGEST = 3

const byId = new Map(TRADES.map(trade => [trade.id, trade]))

/** What a phrase that names a thing alone makes people film. */
function filmed(phrase: WorldPhrase, luck: () => number): About {
  const about = phrase.about as About
  const trade = byId.get(phrase.trade)!
  const part = trade.parts.find(each => each.name === phrase.part)!
  if (about.kind !== 'name' || !part.tasks.length || luck() < 0.25) return about
  const task = part.tasks[Math.floor(luck() * part.tasks.length)]!
  return part.buy && luck() < 0.25 ? { ...about, kind: 'buy' } : { ...about, kind: 'do', task }
}

/** Title, description and tags of a video made for a phrase. */
function written(
  channel: WorldChannel,
  phrase: WorldPhrase,
  near: readonly WorldPhrase[],
  n: number,
  seconds: number,
  luck: () => number,
  stated?: HomeVideo,
): Pick<WorldVideo, 'title' | 'description' | 'tags' | 'captions'> {
  const pick = <Value>(list: readonly Value[]): Value => list[Math.floor(luck() * list.length)]!
  const number = 1 + (n % 60)
  if (phrase.language === 'de') {
    const part = GERMAN_PARTS.find(each => each.name === phrase.part)!
    const subject = { part, about: phrase.about as GermanAbout, phrase: phrase.text, channel: channel.title, number }
    return {
      title: germanTitle(subject, pick),
      description: germanDescription(subject, luck),
      tags: germanTags(subject, luck),
      captions: null,
    }
  }
  const trade = byId.get(phrase.trade)!
  const subject: Subject = {
    trade,
    part: trade.parts.find(each => each.name === phrase.part)!,
    about: filmed(phrase, luck),
    phrase: phrase.text,
    other: near[0]?.text ?? phrase.part,
    series: channel.series,
    number,
  }
  const others = [...new Set(near.map(each => each.text))]
  const outline = outlineOf(subject, channel.title, luck)
  const title = titleOf(subject, luck() < OWN_STYLE ? channel.style : pick(STYLES), pick)
  return {
    title: stated?.title ?? title,
    description: descriptionOf(
      subject,
      outline,
      { channel: channel.title, habits: channel.habits, seconds, near: others },
      luck,
    ),
    tags: tagsOf(subject, channel.title, others, luck),
    captions: (stated?.spoken ?? luck() < CAPTIONED) ? captionsOf(outline, seconds, luck) : null,
  }
}

/** Who leaves early is more often displeased. */
export const dislikesOf = (views: number, watched: number) => Math.round(views * 0.002 * (1.4 - watched))

/**
 * @param day the day on which it will be published, for one that is still to come; its views are the first day's.
 * @param stated what is known of it beforehand.
 */
function videoOf(
  channel: WorldChannel,
  index: number,
  phrase: WorldPhrase,
  near: readonly WorldPhrase[],
  n: number,
  seed: number,
  newest: number,
  appeal: (title: string) => number,
  day: number | null,
  stated?: HomeVideo,
): WorldVideo {
  const luck = seeded(seed + 31 * n + 5)
  const drawnSeconds = Math.round(Math.exp(5.9 + 0.7 * normal(luck)))
  const seconds = stated?.seconds ?? drawnSeconds
  // Words have a luck of their own: other ones leave figures as they are.
  const texts = written(channel, phrase, near, n, seconds, seeded(seed + 31 * n + 17), stated)
  const life = Math.max(YOUNGEST, (newest - channel.foundedAt) / DAY)
  const drawn = YOUNGEST + (life - YOUNGEST) * Math.pow(luck(), AGE_TILT)
  // The hour is drawn: nobody releases at the same one for four years.
  const age = stated ? stated.days + (drawn % 1) : day === null ? drawn : 1
  const drawnClicks = Math.min(1, Math.max(0.02, 0.33 + 0.15 * normal(luck) + appeal(texts.title)))
  const drawnWatched = Math.min(1, Math.max(0.05, 0.45 + 0.16 * normal(luck)))
  const { clicks, watched } = stated ?? { clicks: drawnClicks, watched: drawnWatched }
  const perDay =
    Math.exp(0.42 * Math.log(1 + phrase.base) + 0.38 * Math.log(1 + channel.subscribers) - 2.4 + 1.1 * normal(luck)) *
    (0.4 + clicks + watched)
  const views = Math.round(perDay * Math.pow(age, 0.85)) + Math.floor(luck() * 40)
  return {
    id: `v-${hash(`${seed}/${n}/${texts.title}`).toString(36)}${n.toString(36)}`,
    channel: index,
    language: phrase.language,
    ...texts,
    publishedAt: Math.round(day === null ? newest - age * DAY : day + luck() * DAY),
    seconds,
    views,
    likes: Math.round(views * 0.03 * (0.5 + luck())),
    comments: Math.round(views * 0.003 * luck()),
    dislikes: dislikesOf(views, watched),
    part: phrase.part,
    clicks,
    watched,
  }
}

/** Phrases by what they have in common, to be drawn from by how much they are searched. */
class Drawer {
  private readonly lists = new Map<string, WorldPhrase[]>()
  private readonly weights = new Map<WorldPhrase[], Float64Array>()

  constructor(
    phrases: readonly WorldPhrase[],
    private readonly random: () => number,
  ) {
    for (const phrase of phrases)
      for (const key of [phrase.trade, `${phrase.trade}/${phrase.part}`]) {
        const list = this.lists.get(key)
        if (list) list.push(phrase)
        else this.lists.set(key, [phrase])
      }
  }

  list(key: string): WorldPhrase[] | undefined {
    return this.lists.get(key)
  }
  draw(list: WorldPhrase[]): WorldPhrase {
    let cumulated = this.weights.get(list)
    if (!cumulated) {
      let sum = 0
      cumulated = Float64Array.from(list, phrase => (sum += Math.pow(phrase.base, 0.55)))
      this.weights.set(list, cumulated)
    }
    return list[pickCumulated(cumulated, this.random)]!
  }
}

/** Videos, each made for a phrase of its channel's trade; searched phrases draw more of them. */
export function makeVideos(
  size: number,
  seed: number,
  channels: readonly WorldChannel[],
  phrases: readonly WorldPhrase[],
  newest: number,
): WorldVideo[] {
  const draw = drawing(seed + 2, channels, phrases)
  const appeal = appealOf(seed)
  const wanted = new Set(HOME_VIDEOS.map(({ phrase }) => phrase))
  const byText = new Map(phrases.filter(({ text }) => wanted.has(text)).map(phrase => [phrase.text, phrase]))
  return Array.from({ length: size }, (_, n) => {
    const stated = HOME_VIDEOS[n]
    // A small world may lack the phrase a video of the workshop was made for: then it was made for another one.
    const { index, phrase, near } = draw(n < HOME_CHANNEL.videos, stated && byText.get(stated.phrase))
    return videoOf(channels[index]!, index, phrase, near, n, seed, newest, appeal, null, stated)
  })
}

/** Days for which is known in advance what channels will publish. */
const DAYS_AHEAD = 730
/** A site publishes so many of its videos a day. */
const PART_A_DAY = 1 / 2200

/** What channels other than the demo's own will publish from the world's newest day on, in order of days. */
export function videosAhead(
  size: number,
  seed: number,
  channels: readonly WorldChannel[],
  phrases: readonly WorldPhrase[],
  newest: number,
): WorldVideo[] {
  const draw = drawing(seed + 3, channels, phrases)
  const appeal = appealOf(seed)
  const first = Math.ceil(newest / DAY) * DAY
  return Array.from({ length: Math.round(size * PART_A_DAY * DAYS_AHEAD) }, (_, i) => {
    const { index, phrase, near } = draw(false)
    const day = first + Math.floor(i / (size * PART_A_DAY)) * DAY
    return videoOf(channels[index]!, index, phrase, near, size + i, seed, newest, appeal, day)
  })
}

/** Draws who makes the next video, for which phrase, and phrases near it. */
function drawing(seed: number, channels: readonly WorldChannel[], phrases: readonly WorldPhrase[]) {
  const random = seeded(seed)
  const drawer = new Drawer(phrases, random)
  let sum = 0
  // The demo's own channel has its number of videos, however busy the others are.
  const busy = Float64Array.from(
    channels,
    (channel, i) => (sum += i === 0 ? 0 : 0.5 + Math.log10(1 + channel.subscribers)),
  )
  const all = [...phrases]
  return (byHome: boolean, stated?: WorldPhrase) => {
    const index = byHome ? 0 : pickCumulated(busy, random)
    const channel = channels[index]!
    const liked = channel.parts.length ? channel.parts[Math.floor(random() * channel.parts.length)]! : ''
    // A small world may hold no phrase of a channel's trade; it then films what others film.
    const list =
      (random() < 0.6 ? drawer.list(`${channel.trade}/${liked}`) : undefined) ?? drawer.list(channel.trade) ?? all
    const drawn = drawer.draw(list)
    const phrase = stated ?? drawn
    const siblings = drawer.list(`${phrase.trade}/${phrase.part}`)!
    const near = Array.from({ length: 8 }, () => drawer.draw(siblings)).filter(each => each !== phrase)
    return { index, phrase, near }
  }
}
