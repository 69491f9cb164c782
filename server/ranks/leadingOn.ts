import { setImmediate as nextTurn } from 'node:timers/promises'
import { leadingOn, type LeadingOn, type LeadingVideo, type PlaylistAbout } from '../../core/ranks/leadingOn'
import { stemsOf } from '../../core/titles/closeness'
import { rankDay } from '../../core/ranks/standing'
import type { Runtime } from '../runtime'
import { inTurns } from '../threads/inTurns'

/** The newest videos that are looked at. */
const MOST_VIDEOS = 2000
/** Videos that are told, and days whose views are counted. */
const MOST = 100
const DAYS = 28
/** Videos that are read between two turns of others. */
const AT_ONCE = 50

/** Which videos of a workspace’s channel should lead to which others; from what is kept, nothing is asked. */
export async function leadingOnOf(
  {
    briefs,
    videoBriefs,
    videoDays,
    videos,
    workspaceItems,
    workspaces,
    now,
  }: Pick<Runtime, 'briefs' | 'videoBriefs' | 'videoDays' | 'videos' | 'workspaceItems' | 'workspaces' | 'now'>,
  workspace: string,
): Promise<{ rows: (LeadingOn & { brief: string | null })[]; videos: number }> {
  const { channelId, language } = workspaces.get(workspace)!
  const own = channelId === null ? [] : videos.titlesOfChannel(channelId, MOST_VIDEOS)
  const today = rankDay(now())
  const read: LeadingVideo[] = []
  for (const [i, { code, title }] of own.entries()) {
    if (i % AT_ONCE === 0) await nextTurn()
    const days = videoDays.of(code, today - DAYS, today).flatMap(({ views }) => views ?? [])
    const stems = stemsOf(title, language)
    read.push({ video: code, title, stems, views: days.length ? days.reduce((sum, views) => sum + views, 0) : null })
  }
  const briefOf = videoBriefs(workspace)
  /** What a video’s brief leads to, by cards and end screen: the site does not tell them. */
  const led = new Map<string, ReadonlySet<string>>()
  const ledBy = (video: string) => {
    let found = led.get(video)
    if (!found) {
      const id = briefOf(video)?.id
      const fields = id === undefined ? null : (briefs.get(id)?.fields ?? null)
      const targets = [...(fields?.cards ?? []), ...(fields?.endScreen?.elements ?? [])].map(({ target }) => target)
      led.set(video, (found = new Set(targets)))
    }
    return found
  }
  const isLed = (from: string, to: string) =>
    ledBy(from).has(to) || (videos.video(from)!.description?.includes(to) ?? false)
  const ofBrief = new Map(own.map(({ code }) => [briefOf(code)?.id, code]))
  const playlists = workspaceItems.list(workspace, 'playlist').map(({ id, value }): PlaylistAbout => ({
    ...{ id, title: value.title || value.lead },
    stems: stemsOf(value.lead || value.title, value.language),
    holds: new Set(value.entries.map(entry => ofBrief.get(entry.id) ?? entry.id)),
  }))
  const rows = await inTurns(leadingOn(read, isLed, playlists, MOST))
  return { rows: rows.map(row => ({ ...row, brief: briefOf(row.video)?.id ?? null })), videos: own.length }
}
