import type { WorldChannel } from './channels'
import { hash } from './chance'
import type { WorldVideo } from './videos'

export interface WorldPlaylist {
  id: string
  /** Place of its channel in the list. */
  channel: number
  title: string
  description: string
  /** Ids of its videos. */
  videos: string[]
  updatedAt: number
}

/** A channel with so many videos about one thing has a playlist of them, mostly. */
const ENOUGH = 4
const MOST = 30

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const TITLES = {
  en: [
    (part: string) => capital(part),
    (part: string) => `Everything about the ${part}`,
    (part: string) => `${capital(part)}: start here`,
    (part: string) => `${capital(part)} for beginners`,
    (part: string, series: string) => `${series}: ${part}`,
  ],
  de: [(part: string) => capital(part), (part: string) => `${capital(part)}: alle Videos`],
}
const TEXTS = {
  en: [
    (part: string) => `All our videos on the ${part}, from the first steps to the awkward cases.`,
    (part: string) => `Watch them in order if the ${part} is new to you; pick one if you know what is wrong.`,
    () => '',
  ],
  de: [(part: string) => `Alles zum Thema ${part}, vom Einfachen zum Schwierigen.`, () => ''],
}

/** The playlists of all channels, each of what a channel has filmed about one thing, newest videos first. */
export function makePlaylists(
  channels: readonly WorldChannel[],
  videos: readonly WorldVideo[],
  seed: number,
): WorldPlaylist[] {
  const groups = new Map<string, WorldVideo[]>()
  for (const video of videos) {
    const key = `${video.channel}/${video.part}`
    const group = groups.get(key)
    if (group) group.push(video)
    else groups.set(key, [video])
  }
  const playlists: WorldPlaylist[] = []
  for (const [key, group] of groups) {
    const luck = hash(`${seed}/${key}`)
    if (group.length < ENOUGH || (luck % 10 >= 7 && group[0]!.channel !== 0)) continue
    const { channel, part, language } = group[0]!
    const shown = [...group].sort((a, b) => b.publishedAt - a.publishedAt).slice(0, MOST)
    const titles = TITLES[language]
    const texts = TEXTS[language]
    playlists.push({
      id: `pl-${luck.toString(36)}${playlists.length.toString(36)}`,
      channel,
      title: titles[(luck >>> 4) % titles.length]!(part, channels[channel]!.series),
      description: texts[(luck >>> 8) % texts.length]!(part),
      videos: shown.map(video => video.id),
      updatedAt: shown[0]!.publishedAt,
    })
  }
  return playlists
}
