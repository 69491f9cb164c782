import { setImmediate as nextTurn } from 'node:timers/promises'
import { belongsTo, newPlaylists, standsFor } from '../../core/playlist/belongs'
import { playlistDifficulty } from '../../core/playlist/difficulty'
import { playlistFaults } from '../../core/playlist/faults'
import { ordered } from '../../core/playlist/order'
import type { Playlist } from '../../core/playlist/playlist'
import { phraseKey } from '../../core/text/words'
import type {
  PlaylistAnswer,
  PlaylistLine,
  PlaylistPageAnswer,
  PlaylistRow,
  PlaylistSuggestions,
} from '../../shared/playlists'
import type { SavedPlaylist } from '../../shared/workspaceItems'
import type { BriefStore } from '../data/briefs'
import type { BriefTray, BriefTrayStore } from '../data/briefTrays'
import type { PhraseStore } from '../data/phrases'
import type { PlaylistPage, PlaylistPageStore } from '../data/playlistPages'
import type { ResultStore } from '../data/results'
import type { VideoStore } from '../data/videos'
import type { WorkspaceItemStore } from '../data/workspaceItems'
import type { WorkspaceStore } from '../data/workspaces'
import { told } from '../http/workspaceItem'

export interface PlaylistStores {
  phrases: PhraseStore
  results: ResultStore
  videos: VideoStore
  workspaces: WorkspaceStore
  workspaceItems: WorkspaceItemStore
  briefTrays: BriefTrayStore
  playlistPages: PlaylistPageStore
}

/** Phrases that groups are made of; the most searched of more. */
const MOST_PHRASES = 3000
/** Phrases read in one go. */
const AT_ONCE = 200

/** The percents of briefs that stand in a playlist no longer hold: it changed. */
export function rescorePlaylist({ briefs }: { briefs: BriefStore }, ...values: readonly Playlist[]): void {
  briefs.rescoreThese(
    values.flatMap(({ entries }) => entries.flatMap(({ kind, id }) => (kind === 'brief' ? [id] : []))),
  )
}

type Where = Pick<Playlist, 'region' | 'language'>

/** How hard a phrase is among playlists, as the page kept of it says. */
function leadDifficulty({ videos }: PlaylistStores, phrase: string, page: PlaylistPage | null, language: string) {
  return page?.complete
    ? (playlistDifficulty(
        phrase,
        page.playlists.map(({ title, description, channel }) => ({
          title,
          description,
          subscribers: videos.channel(channel.id)?.subscribers ?? null,
        })),
        language,
      )?.page ?? null)
    : null
}

function lineOf(stores: PlaylistStores, playlist: SavedPlaylist): PlaylistLine {
  const { phrases, playlistPages } = stores
  const { lead, region, language } = playlist
  const page = lead ? playlistPages.get(phraseKey(lead), region ?? '', language) : null
  return {
    ...playlist,
    searches: lead ? (phrases.known(lead, region ?? '', language)?.volume ?? null) : null,
    difficulty: leadDifficulty(stores, lead, page, language),
  }
}

/** The playlists of a workspace. */
export const playlistLines = (stores: PlaylistStores, workspace: string): PlaylistLine[] =>
  stores.workspaceItems.list(workspace, 'playlist').map(item => lineOf(stores, told(item)))

/** By video: the most searched phrase that it is about and on whose first page it stands. */
function foundFor({ videos, phrases }: PlaylistStores, channel: string, { region, language }: Where) {
  const best = new Map<string, { phrase: string; volume: number }>()
  for (const { phrase, code, title } of videos.standingOf(channel, region ?? '', language)) {
    if (!standsFor(phrase, title, language)) continue
    const volume = phrases.known(phrase, region ?? '', language)?.volume ?? -1
    if (volume > (best.get(code)?.volume ?? -2)) best.set(code, { phrase, volume })
  }
  return best
}

/** What playlists of one place hold, with what is known of each: looked up once for all of them. */
function knownRows(stores: PlaylistStores, workspace: string, where: Where) {
  const { videos, phrases, workspaces, briefTrays } = stores
  const { region, language } = where
  const channel = workspaces.get(workspace)?.channelId ?? null
  const trays = new Map(briefTrays.of(workspace).map(tray => [tray.id, tray]))
  const leads = channel === null ? new Map<string, { phrase: string }>() : foundFor(stores, channel, where)
  const row = (kind: PlaylistRow['kind'], id: string, tray?: BriefTray): PlaylistRow => {
    const video = kind === 'video' ? videos.video(id) : null
    const lead = tray ? tray.lead : (leads.get(id)?.phrase ?? '')
    const known = lead ? phrases.known(lead, region ?? '', language) : null
    return {
      kind,
      id,
      title: tray ? tray.title || tray.topic : (video?.title ?? ''),
      lead,
      searches: known?.volume ?? null,
      difficulty: known?.difficulty ?? null,
      publishedAt: video?.published_at ?? null,
      planned: kind === 'brief',
      gone: kind === 'brief' ? !tray : !video,
    }
  }
  return {
    trays,
    channel,
    rowsOf: ({ entries }: Pick<Playlist, 'entries'>) =>
      entries.map(({ kind, id }) => row(kind, id, kind === 'brief' ? trays.get(id) : undefined)),
  }
}

/** A playlist with what is in it, in its order, and what is wrong with that. */
export function playlistAnswer(stores: PlaylistStores, workspace: string, playlist: SavedPlaylist): PlaylistAnswer {
  const { language, order } = playlist
  const { trays, rowsOf } = knownRows(stores, workspace, playlist)
  const rows = ordered(rowsOf(playlist), order, language)
  const others = stores.workspaceItems
    .list(workspace, 'playlist')
    .filter(({ id }) => id !== playlist.id)
    .map(({ value }) => value.title)
  return {
    ...lineOf(stores, playlist),
    rows,
    faults: playlistFaults(
      playlist,
      rows.map(row => ({ ...row, phrases: trays.get(row.id)?.support ?? [] })),
      others,
      language,
    ),
  }
}

/** What the page kept of a phrase says of the playlists found for it. */
export function playlistPageAnswer(
  stores: PlaylistStores,
  { phrase, region, language, workspace }: { phrase: string; region: string; language: string; workspace: string },
  problem: string | null,
): PlaylistPageAnswer {
  const { playlistPages, videos, workspaces } = stores
  const page = playlistPages.get(phraseKey(phrase), region, language)
  const own = workspaces.get(workspace)?.channelId ?? null
  return {
    phrase: phraseKey(phrase),
    at: page?.at ?? null,
    source: page?.source ?? null,
    difficulty: leadDifficulty(stores, phrase, page, language),
    rows: (page?.playlists ?? []).map(({ id, title, description, channel, videos: held, updatedAt }, i) => ({
      rank: i + 1,
      id,
      title,
      description,
      channelId: channel.id,
      channel: channel.title,
      subscribers: videos.channel(channel.id)?.subscribers ?? null,
      videos: held.length,
      updatedAt,
      mine: channel.id === own,
    })),
    problem,
  }
}

/** Playlists a brief belongs to, and those that could be made of what is won together. */
export async function playlistSuggestions(
  stores: PlaylistStores,
  { workspace, brief, region, language }: { workspace: string; brief?: string | undefined } & Where,
): Promise<PlaylistSuggestions> {
  const { phrases, results, videos, workspaceItems } = stores
  const where = { region, language }
  const { trays, channel, rowsOf } = knownRows(stores, workspace, where)
  const pages = new Map<string, { volume: number | null; ids: number[] }>()
  const kept = (phrase: string) => {
    let page = pages.get(phrase)
    if (!page) {
      const known = phrase ? phrases.known(phrase, region ?? '', language) : null
      page = { volume: known?.volume ?? null, ids: known ? results.firstPage(known.id, region ?? '') : [] }
      pages.set(phrase, page)
    }
    return page
  }
  const lists = workspaceItems
    .list(workspace, 'playlist')
    .map(({ id, value }) => ({ id, ...value }))
    .filter(list => list.region === region && list.language === language)

  const mine = new Map<string, { briefs: string[]; videos: string[] }>()
  const entriesOf = (phrase: string) => {
    let own = mine.get(phrase)
    if (!own) mine.set(phrase, (own = { briefs: [], videos: [] }))
    return own
  }
  for (const tray of trays.values())
    if (tray.region === region && tray.language === language)
      for (const phrase of [tray.lead, ...tray.support].filter(Boolean).map(phraseKey))
        entriesOf(phrase).briefs.push(tray.id)
  if (channel !== null)
    for (const { phrase, code, title } of videos.standingOf(channel, region ?? '', language))
      if (standsFor(phrase, title, language)) entriesOf(phrase).videos.push(code)

  const asked = brief === undefined ? undefined : trays.get(brief)
  const belongs = asked
    ? belongsTo(
        { lead: asked.lead, page: kept(asked.lead).ids, phrases: [asked.lead, ...asked.support] },
        lists
          .filter(({ entries }) => !entries.some(({ kind, id }) => kind === 'brief' && id === brief))
          .map(({ id, lead, title, ...list }) => ({
            id,
            lead,
            title,
            entries: rowsOf(list)
              .filter(row => row.lead)
              .map(row => ({ lead: row.lead, page: kept(row.lead).ids })),
          })),
        language,
      ).map(each => ({ ...each, title: lists.find(({ id }) => id === each.playlist)!.title }))
    : []

  const known: { phrase: string; volume: number | null; ids: number[] }[] = []
  for (const phrase of mine.keys()) {
    known.push({ phrase, ...kept(phrase) })
    // Others get their turn.
    if (known.length % AT_ONCE === 0) await nextTurn()
  }
  const clustered = known.sort((a, b) => (b.volume ?? -1) - (a.volume ?? -1)).slice(0, MOST_PHRASES)
  const titleOf = (kind: 'brief' | 'video', id: string) => {
    const tray = trays.get(id)
    return kind === 'brief' ? tray?.title || tray?.topic || '' : (videos.video(id)?.title ?? '')
  }
  const named = (kind: 'brief' | 'video') => (id: string) => ({ kind, id, title: titleOf(kind, id) })
  const groups = newPlaylists(
    clustered,
    mine,
    lists.map(({ lead, entries }) => ({ lead, entries: new Set(entries.map(({ id }) => id)) })),
    language,
  ).map(({ briefs, videos: of, ...group }) => ({
    ...group,
    entries: [...briefs.map(named('brief')), ...of.map(named('video'))],
  }))
  return { belongs, groups }
}
