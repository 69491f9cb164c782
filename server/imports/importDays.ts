import { VIEW_SOURCES } from '../../core/formats/dayColumns'
import type { DayRow } from '../../core/formats/dayTable'
import { inDigits } from '../../core/text/inWords'
import type { DaysImported, ImportProgress } from '../../shared/imports'
import type { Referrer, ToldDay, VideoDayStore } from '../data/videoDays'
import { namedColumns } from './readDayTable'
import type { DaysEvent } from './readDays'
import { Refusals } from './refusals'

export interface ImportDaysOptions {
  source: string
  /** The id of the video that a line names, by its id or title; a word why there is none. */
  videoOf: (named: string) => { id: string } | { reason: string }
  /** Ends it after the batch at work; what was kept stays. */
  signal?: AbortSignal
  report?: (progress: ImportProgress) => void
  now: number
}
export type DaysResult =
  | { kind: 'imported'; answer: DaysImported }
  | { kind: 'unknown-columns'; headers: string[]; sample: string[][] }
  | { kind: 'unknown-order'; example: string }

/**
 * Keeps day figures as they are read. Importing the same file again changes nothing, so that an import that was cut off
 * is simply repeated.
 */
export async function importDays(
  days: VideoDayStore,
  events: AsyncIterable<DaysEvent>,
  { source, videoOf, signal, report, now }: ImportDaysOptions,
): Promise<DaysResult> {
  const refusals = new Refusals()
  const answer = { accepted: 0, updated: 0, totals: 0, columns: {} as Record<string, string> }
  const videos = new Set<string>()
  for await (const event of events) {
    if (event.kind === 'unknown-columns' || event.kind === 'unknown-order') return event
    if (event.kind === 'columns') {
      answer.columns = namedColumns(event)
      continue
    }
    if (event.kind === 'refused') {
      refusals.add(event.lines)
      continue
    }
    const rows: ToldDay[] = []
    const referrers: Referrer[] = []
    for (const { line, row } of event.list) {
      const video = videoOf(row.video)
      if ('reason' in video) refusals.add([{ line, reason: video.reason }])
      else if (!row.referrer) rows.push({ ...figuresOf(row), video: video.id })
      else if (row.views === null) refusals.add([{ line, reason: 'The views of this line are missing.' }])
      else referrers.push({ video: video.id, day: row.day, name: row.referrer, views: row.views })
      if (!('reason' in video)) videos.add(video.id)
    }
    const saved = days.save(rows, referrers, { source, at: now })
    answer.accepted += saved.accepted + referrers.length
    answer.updated += saved.updated
    answer.totals += event.totals
    report?.({ part: event.part, said: `${inDigits(answer.accepted + answer.updated)} days imported` })
    if (signal?.aborted) break
    await new Promise(resolve => setImmediate(resolve))
  }
  return { kind: 'imported', answer: { ...answer, videos: [...videos], ...refusals.summary() } }
}

const figuresOf = (row: DayRow): Omit<ToldDay, 'video'> => ({
  day: row.day,
  impressions: row.impressions,
  clicks: row.clicks,
  views: row.views,
  watchedSeconds: row.watchedSeconds,
  ...(Object.fromEntries(VIEW_SOURCES.map(each => [each, row[each]])) as Pick<DayRow, (typeof VIEW_SOURCES)[number]>),
})
