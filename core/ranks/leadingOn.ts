/** A video of mine that can lead to others, and be led to. */
export interface LeadingVideo {
  video: string
  title: string
  /** Of the content words of its title. */
  stems: ReadonlySet<string>
  /** Views of the last four weeks; `null` where they are not known. */
  views: number | null
}
/** Another video of mine that one could lead to. */
export interface LeadTo {
  video: string
  title: string
  /** 0 to 1: how much of what the two titles say is the same, rare words counting more. */
  closeness: number
}
/** A playlist that a video could stand in, and be followed by the others of. */
export interface PlaylistAbout {
  id: string
  title: string
  /** Of the content words of the phrase it is found by. */
  stems: ReadonlySet<string>
  /** Ids of the videos it holds. */
  holds: ReadonlySet<string>
}
/** A video with those it could lead to, the closest first, and playlists that are about it and lack it. */
export interface LeadingOn extends Omit<LeadingVideo, 'stems'> {
  to: LeadTo[]
  playlists: Pick<PlaylistAbout, 'id' | 'title'>[]
}

/** Less in common is another subject. */
const LEAST_CLOSENESS = 0.3
const MOST_TO = 3
/** Videos that are looked at, those watched most: a link on one that nobody watches leads nobody on. */
const MOST_FROM = 500

/**
 * Which video should lead to which: for those watched most, the others of the channel that are about the same, by the
 * words of their titles. A word that stands in most titles of the channel says little, one of two titles much. A video
 * belongs to a playlist whose phrase its title says whole.
 *
 * @param isLed whether a video leads to another already. @param playlists of the channel. @param most videos
 * that are told. @yields after each, so that others have their turn.
 */
export function* leadingOn(
  videos: readonly LeadingVideo[],
  isLed: (from: string, to: string) => boolean,
  playlists: readonly PlaylistAbout[],
  most: number,
): Generator<undefined, LeadingOn[]> {
  const holders = new Map<string, number[]>()
  for (const [i, { stems }] of videos.entries())
    for (const stem of stems) {
      const of = holders.get(stem)
      if (of) of.push(i)
      else holders.set(stem, [i])
    }
  // One in every title weighs nothing.
  const weightOf = (stem: string) => Math.log((videos.length + 1) / (holders.get(stem)!.length + 1))
  const weights = videos.map(({ stems }) => [...stems].reduce((sum, stem) => sum + weightOf(stem), 0))
  const order = [...videos.keys()].sort((a, b) => (videos[b]!.views ?? -1) - (videos[a]!.views ?? -1))
  const told: LeadingOn[] = []
  for (const i of order.slice(0, MOST_FROM)) {
    if (told.length === most) break
    yield
    const shared = new Map<number, number>()
    for (const stem of videos[i]!.stems) {
      const weight = weightOf(stem)
      for (const other of holders.get(stem)!) if (other !== i) shared.set(other, (shared.get(other) ?? 0) + weight)
    }
    const to = [...shared]
      .map(([other, weight]) => ({ other, closeness: weight / (weights[i]! + weights[other]! - weight) }))
      .filter(({ other, closeness }) => closeness >= LEAST_CLOSENESS && !isLed(videos[i]!.video, videos[other]!.video))
      .sort((a, b) => b.closeness - a.closeness || (videos[b.other]!.views ?? -1) - (videos[a.other]!.views ?? -1))
      .slice(0, MOST_TO)
      .map(({ other, closeness }): LeadTo => ({
        video: videos[other]!.video,
        title: videos[other]!.title,
        closeness: Math.min(1, closeness),
      }))
    const { video, title, views, stems } = videos[i]!
    const lacking = playlists
      .filter(list => list.stems.size && !list.holds.has(video) && [...list.stems].every(stem => stems.has(stem)))
      .map(list => ({ id: list.id, title: list.title }))
    if (to.length || lacking.length) told.push({ video, title, views, to, playlists: lacking })
  }
  return told
}
