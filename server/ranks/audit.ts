import { setImmediate as nextTurn } from 'node:timers/promises'
import { atStake } from '../../core/draft/atStake'
import type { Mend } from '../../core/draft/mends'
import type { LimitProfile } from '../../core/draft/limits'
import type { RuleSet } from '../../core/draft/ruleset'
import type { AUDIT_SORTS, AuditEdit, AuditLine, AuditRow } from '../../shared/audit'
import { toSiteVideo } from '../data/videos'
import type { Runtime } from '../runtime'
import type { VideoTexts } from '../rivals/wordedRanks'
import { inLanes } from '../threads/inLanes'
import { inTime, unknownWhereLate } from '../threads/inTime'
import type { TextToScore } from '../threads/scoringThread'
import { weighVideos, type Weighed, type WeighStores } from './weighVideos'

export interface AuditQuestion {
  workspace: string | undefined
  /** '' for everywhere. */
  region: string
  set: RuleSet
  profile: LimitProfile
  sort: (typeof AUDIT_SORTS)[number]
}
type Stores = { scoring: Pick<Runtime['scoring'], 'lanes' | 'mend'> } & WeighStores

/** How far it is is told after so many. */
const TOLD_EVERY = 50
/** Texts in one question to a thread: some tens of milliseconds. */
const TOGETHER = 8

/**
 * What the videos of a channel lack, worth most first; from what is kept. All are weighed before the first is told, as
 * the order takes that; their points and edits are worked out as they are told.
 *
 * @yields how far the weighing is, how many there are, then a row each.
 */
export async function* auditOf(
  stores: Stores,
  question: AuditQuestion,
  signal?: AbortSignal,
): AsyncGenerator<AuditLine> {
  const channel = stores.workspaces.get(question.workspace)?.channelId ?? null
  const weighed: Weighed[] = []
  if (channel !== null) {
    const codes = stores.videos.codesOfChannel(channel)
    await nextTurn()
    for await (const each of weighVideos(stores, question, codes)) {
      if (signal?.aborted) return
      if (weighed.push(each) % TOLD_EVERY === 0) yield { weighed: weighed.length, of: codes.length }
    }
  }
  yield { rows: weighed.length }
  // Points are known only once they are worked out: then the order waits for all of them.
  const byPoints = question.sort === 'stake' || question.sort === 'percent'
  if (!byPoints) weighed.sort(question.sort === 'views' ? byViews : byRelease)
  const rows = inLanes(weighed, { lanes: stores.scoring.lanes, together: TOGETHER }, (some, lane) =>
    mended(stores, question, some, lane),
  )
  if (!byPoints) {
    for await (const row of rows) {
      if (signal?.aborted) return
      yield row
    }
    return
  }
  const all: AuditRow[] = []
  for await (const row of rows) {
    if (signal?.aborted) return
    all.push(row)
  }
  const worth = ({ percent, searches }: AuditRow) =>
    (question.sort === 'stake' ? atStake(searches, percent) : percent === null ? null : 100 - percent) ?? -1
  yield* all.sort((a, b) => worth(b) - worth(a))
}

const byRelease = (a: Weighed, b: Weighed) => (b.row.publishedAt ?? 0) - (a.row.publishedAt ?? 0)
/** What is not known comes after what is; then those whose phrase is searched most. */
const byViews = ({ row: a }: Weighed, { row: b }: Weighed) =>
  (b.words?.expected ?? -Infinity) - (a.words?.expected ?? -Infinity) || (b.searches ?? -1) - (a.searches ?? -1)

/** Points, what lacks most, and the one edit that brings most. */
async function mended(
  { scoring, videos }: Stores,
  { set, profile }: AuditQuestion,
  some: Weighed[],
  lane: number,
): Promise<AuditRow[]> {
  // Texts are read anew: those of ten thousand videos are not kept in memory meanwhile.
  const texts = some.map(({ row }) => toSiteVideo(videos.video(row.videoId)!))
  const asked = texts.map(({ title, description, tags }, i): TextToScore => {
    const { lead, support, language } = some[i]!.lead
    const draft = { title, description: description ?? undefined, tags: tags ?? undefined }
    return { draft, phrases: { lead, support }, language }
  })
  const scored = await inTime(asked, list => scoring.mend(lane, list, set, profile), unknownWhereLate)
  const rows: AuditRow[] = []
  for (const [i, { row, viewsOf }] of some.entries()) {
    const each = scored[i]
    const edit = each ? await bestEdit(each.mends, texts[i]!, viewsOf) : null
    const words = row.words && edit?.views && edit.views.expected > row.words.expected ? edit.views : row.words
    rows.push({ ...row, words, percent: each?.percent ?? null, lacks: each?.lacks ?? null, edit })
  }
  return rows
}

/** By the views it brings where they are known and any brings some; else by points. */
async function bestEdit(
  mends: readonly Mend[],
  texts: VideoTexts,
  viewsOf: Weighed['viewsOf'],
): Promise<AuditEdit | null> {
  const edits: AuditEdit[] = []
  for (const each of mends) {
    if (viewsOf) await nextTurn()
    edits.push({
      ...each,
      before: texts[each.field],
      views: viewsOf && viewsOf({ ...texts, [each.field]: each.value }),
    })
  }
  edits.sort((a, b) => (b.views?.expected ?? 0) - (a.views?.expected ?? 0) || b.points - a.points)
  return edits[0] ?? null
}
