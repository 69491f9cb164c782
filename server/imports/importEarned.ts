import { setImmediate as nextTurn } from 'node:timers/promises'
import { inDigits } from '../../core/text/inWords'
import type { ImportProgress } from '../../shared/imports'
import type { EarnedLine, EarnedStore } from '../data/earned'
import type { DaysResult } from './importDays'
import { namedColumns } from './readDayTable'
import type { EarnedEvent } from './readEarned'
import { Refusals } from './refusals'

export interface ImportEarnedOptions {
  workspace: string
  /** The id of the video that a line names, by its id, title or link; a word why there is none. */
  videoOf: (named: string, link: string) => { id: string } | { reason: string }
  /** Ends it after the batch at work; what was kept stays. */
  signal?: AbortSignal
  report?: (progress: ImportProgress) => void
}

/** Lines written in one go. */
const BATCH = 500
/** Days, videos and links of one table. */
const MOST = 300_000

/**
 * Keeps what a table of earnings tells. Lines of one day, video, kind and link are added up over the whole table, as
 * orders come a line each; they replace what was told of them before, so that importing the same table again changes
 * nothing.
 */
export async function importEarned(
  earned: EarnedStore,
  events: AsyncIterable<EarnedEvent>,
  { workspace, videoOf, signal, report }: ImportEarnedOptions,
): Promise<DaysResult> {
  const refusals = new Refusals()
  const answer = { accepted: 0, updated: 0, totals: 0, columns: {} as Record<string, string> }
  const lines = new Map<string, EarnedLine>()
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
    for (const { line, row } of event.list) {
      const video = videoOf(row.video, row.link)
      if ('reason' in video) {
        refusals.add([{ line, reason: video.reason }])
        continue
      }
      for (const { kind, count, value } of row.told) {
        const key = JSON.stringify([video.id, row.day, kind, row.link])
        const has = lines.get(key)
        if (!has) {
          if (lines.size >= MOST) refusals.add([{ line, reason: 'The table is too long. Split it by year.' }])
          else lines.set(key, { video: video.id, day: row.day, kind, link: row.link, count, value })
          continue
        }
        // A part whose value is not told leaves the value of all unknown.
        if (!has.count || !count) has.value = has.value ?? value
        else has.value = value === null || has.value === null ? null : value + has.value
        has.count += count
      }
    }
    answer.totals += event.totals
    report?.({ part: event.part / 2, said: `${inDigits(lines.size)} lines read` })
    if (signal?.aborted) break
    await nextTurn()
  }
  const all = [...lines.values()]
  for (let from = 0; from < all.length && !signal?.aborted; from += BATCH) {
    const saved = earned.save(workspace, all.slice(from, from + BATCH))
    answer.accepted += saved.accepted
    answer.updated += saved.updated
    report?.({
      part: 0.5 + Math.min(1, (from + BATCH) / all.length) / 2,
      said: `${inDigits(answer.accepted + answer.updated)} lines imported`,
    })
    await nextTurn()
  }
  const videos = [...new Set(all.map(({ video }) => video))]
  return { kind: 'imported', answer: { ...answer, videos, ...refusals.summary() } }
}
