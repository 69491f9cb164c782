import { readCaptions } from '../../core/captions/read'
import { writeCaptions } from '../../core/captions/write'
import { fieldOf } from '../../core/brief/brief'
import { playlistsLedTo, unsendable, writtenSheet } from '../../core/release/videoDraft'
import type { Brief } from '../../shared/brief'
import { APPLIED, type Applied, type ApplyAnswer, type ApplyRow } from '../../shared/publish'
import { Problem } from '../http/problem'
import type { VideoDraft } from '../services/contract'
import { withRetry } from '../services/retry'
import { rightsFor } from './account'
import type { Runtime } from '../runtime'
import { siteDraft, type SiteDraftFrom } from './publish'

/** Captions in one form, so that only what is said and when is compared. */
async function plainCaptions(text: string): Promise<string> {
  const { cues, timed } = await readCaptions(text)
  return timed ? writeCaptions(cues, 'webvtt') : ''
}
const inLines = (tags: readonly string[]) => tags.join('\n')
const inWords = (brief: Brief, field: 'cards' | 'endScreen' | 'sheet' | 'thumbnail') =>
  fieldOf(field).shown(brief.fields[field])

/** A brief beside a video that is there, as the site has it now. @throws Problem 404 where there is none. */
export async function applyAnswer(runtime: SiteDraftFrom, brief: Brief, videoId: string): Promise<ApplyAnswer> {
  const { services, accounts } = runtime
  const { fields } = brief
  const { site } = services
  const answer = await withRetry(() => site.video(videoId, fields.language))
  const video = answer.data
  if (!video) throw new Problem(404, 'no-such-video', 'The site has no such video. Choose another one.')
  const captions = (await withRetry(() => site.captions(videoId, fields.language))).data
  const there: Record<Applied, string | null> = {
    title: video.title,
    description: video.description,
    tags: video.tags === null ? null : inLines(video.tags),
    captions: captions ? await plainCaptions(captions.text) : '',
    // What a site does not tell of a video cannot be compared, only set.
    thumbnail: null,
    cards: null,
    endScreen: null,
    sheet: null,
  }
  const draft: Record<Applied, string> = {
    title: fields.title,
    description: fields.description,
    tags: inLines(fields.tags),
    captions: await plainCaptions(fields.captions),
    thumbnail: inWords(brief, 'thumbnail'),
    cards: inWords(brief, 'cards'),
    endScreen: inWords(brief, 'endScreen'),
    sheet: inWords(brief, 'sheet'),
  }
  const rows = APPLIED.map((field): ApplyRow => ({
    field,
    there: there[field],
    draft: draft[field],
    differs: there[field] !== draft[field],
  }))
  const problems = unsendable(fields, rightsFor(accounts, video.channel.id)).filter(
    ({ field }) => field !== 'hour' && field !== 'title',
  )
  return { videoId, title: video.title, channel: video.channel, rows, problems, source: answer.source, at: answer.at }
}

/**
 * Changes parts of a video to what the brief says. What changed there since it was seen is not written over.
 *
 * @param seen what stood there when the parts were chosen.
 * @returns how both stand afterwards. @throws Problem 409 where it changed, 422 with what the site refused.
 */
export async function apply(
  runtime: SiteDraftFrom & Pick<Runtime, 'videoChanges' | 'now'>,
  brief: Brief,
  {
    videoId,
    fields,
    seen,
  }: { videoId: string; fields: readonly Applied[]; seen: Partial<Record<Applied, string | null>> },
): Promise<ApplyAnswer> {
  const now = await applyAnswer(runtime, brief, videoId)
  const changed = now.rows.filter(({ field, there }) => fields.includes(field) && (seen[field] ?? null) !== there)
  if (changed.length)
    throw new Problem(409, 'changed-there', 'The video was changed on the site meanwhile. Nothing was overwritten.', {
      now,
    })
  const owed = fields.includes('sheet') ? now.problems[0] : undefined
  if (owed) throw new Problem(422, 'not-ready', owed.message, { problems: now.problems })
  const patch = await partOf(runtime, brief, now.channel.id, fields)
  const { problems } = (await withRetry(() => runtime.services.site.update(videoId, patch))).data
  if (problems.length) throw new Problem(422, 'refused', problems[0]!.message, { problems })
  const at = runtime.now()
  runtime.videoChanges.save(
    videoId,
    now.rows
      .filter(({ field, differs }) => differs && fields.includes(field))
      .map(({ field, there, draft }) => ({ at, field, before: there, after: draft })),
  )
  return applyAnswer(runtime, brief, videoId)
}

/** The parts of a brief that were chosen, in the site's terms. */
async function partOf(
  runtime: SiteDraftFrom,
  brief: Brief,
  channel: string,
  fields: readonly Applied[],
): Promise<Partial<VideoDraft>> {
  // Playlists are made there only for what leads to them.
  const leads = fields.includes('cards') || fields.includes('endScreen')
  const { draft, problems } = await siteDraft(runtime, brief, channel, leads ? playlistsLedTo(brief.fields) : [])
  if (problems.length) throw new Problem(422, 'not-ready', problems[0]!.message, { problems })
  const whole: Partial<VideoDraft> = { ...draft }
  if (fields.includes('sheet')) whole.sheet = writtenSheet(brief.fields, rightsFor(runtime.accounts, channel))
  return Object.fromEntries(fields.map(field => [field, whole[field]]))
}
