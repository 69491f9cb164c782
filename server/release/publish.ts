import { open, readFile, rm } from 'node:fs/promises'
import { mkdirSync, existsSync, readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import {
  playlistsLedTo,
  unsendable,
  writtenSheet,
  writtenTexts,
  type DraftProblem,
} from '../../core/release/videoDraft'
import { pictureName } from '../../core/thumbnail/picture'
import type { Brief } from '../../shared/brief'
import type { JobState } from '../../shared/jobs'
import type { PublishAnswer } from '../../shared/publish'
import { playlistsOf } from '../desk/playlistsOf'
import { Problem } from '../http/problem'
import type { Runtime } from '../runtime'
import type { VideoDraft } from '../services/contract'
import { withRetry } from '../services/retry'
import { keepForecasts } from '../ranks/forecasts'
import { rightsFor } from './account'

export type SiteDraftFrom = Pick<Runtime, 'accounts' | 'pictures' | 'workspaceItems' | 'services'>
export type Publishing = Pick<
  Runtime,
  | 'accounts'
  | 'briefs'
  | 'chances'
  | 'forecasts'
  | 'jobs'
  | 'now'
  | 'outgoing'
  | 'phrases'
  | 'pictures'
  | 'publications'
  | 'results'
  | 'services'
  | 'videos'
  | 'workspaceItems'
  | 'workspaces'
>

/** A file is sent in parts of so many bytes; sites take 2 MB of each at most. */
const PART = 1024 * 1024

/** Where a file waits until the site has all of it. */
export const outgoingFile = (folder: string, publication: string) => join(folder, publication)

/** The folder of files on their way; what belongs to nothing under way is left over from a cut. */
export function openOutgoing(folder: string, sending: readonly string[]): string {
  if (existsSync(folder))
    for (const name of readdirSync(folder)) if (!sending.includes(name)) rmSync(join(folder, name), { force: true })
  mkdirSync(folder, { recursive: true })
  return folder
}

/** How a brief stands on its way out, and what keeps it from being sent. */
export function publishAnswer(
  { publications, jobs, workspaces, accounts }: Pick<Publishing, 'publications' | 'jobs' | 'workspaces' | 'accounts'>,
  { id, workspaceId, fields }: Brief,
): PublishAnswer {
  const { channelId, channelTitle, name } = workspaces.get(workspaceId)!
  const publication = publications.of(id)
  return {
    publication,
    job: publication && jobOf(jobs, publication.id),
    problems: unsendable(fields, rightsFor(accounts, channelId)),
    channel: channelId
      ? { id: channelId, title: channelTitle ?? name, authorised: accounts.get(channelId)?.authorised ?? null }
      : null,
  }
}

/** The newest job that works on a publication. */
export const jobOf = (jobs: Runtime['jobs'], publication: string): JobState | null =>
  jobs
    .list()
    .find(
      ({ id, kind }) =>
        kind === 'publish' && (jobs.input(id) as { publication?: string } | null)?.publication === publication,
    ) ?? null

/**
 * Begins the job that sends a publication, or answers with the one that does.
 * @returns `null` for one that has ended: out, refused or given up.
 */
export function startPublishing(runtime: Publishing, publication: string, id?: string): JobState | null {
  const { file, bytes, briefId, state } = runtime.publications.get(publication)!
  if (state !== 'sending') return null
  const running = jobOf(runtime.jobs, publication)
  if (running?.state === 'running') return running
  const { fields } = runtime.briefs.get(briefId)!
  // One step for each part, one for the texts.
  const total = Math.ceil(bytes / PART) + 1
  const title = `Publish “${fields.title || file}”`
  return runtime.jobs.start(
    'publish',
    title,
    { publication },
    total,
    signal => publishing(runtime, publication, signal),
    id ?? running?.id,
  )
}

/**
 * Sends a brief's video and its texts, going on where an earlier attempt was cut off. Every step is asked for under an
 * id that follows from the publication's: a site that has done it answers again, and does it once.
 *
 * @throws Error with what the site refused; the publication says it too, field by field.
 */
export async function* publishing(
  runtime: Publishing,
  id: string,
  signal: AbortSignal,
): AsyncGenerator<{ sent: number; bytes: number }> {
  const { publications, services, briefs, outgoing } = runtime
  const { site } = services
  const { briefId, channel, file, bytes, seconds } = publications.get(id)!
  const ask = <Answer>(call: () => Promise<Answer>) => withRetry(call, { signal })
  const path = outgoingFile(outgoing, id)
  async function refuse(problems: DraftProblem[]): Promise<never> {
    publications.end(id, { state: 'refused', problems })
    await rm(path, { force: true })
    throw new Error(problems[0]!.message)
  }
  // Cut off between its being asked for and its file being put in place.
  if (!existsSync(path))
    return refuse([{ field: 'file', message: 'The file of the video is not here. Publish it again.' }])

  const started = (await ask(() => site.startUpload(`${id}/file`, channel, { name: file, bytes, seconds }))).data
  if (!started.upload) return refuse(started.problems)
  let { id: upload, received } = started.upload
  const handle = await open(path, 'r')
  try {
    const part = Buffer.alloc(PART)
    // What was sent before a cut counts as done.
    for (let done = 0; done + PART <= received; done += PART) yield { sent: done + PART, bytes }
    while (received < bytes) {
      const { bytesRead } = await handle.read(part, 0, PART, received)
      if (!bytesRead) throw new Error('The file of the video is shorter than it was. Publish it again.')
      const packed = part.subarray(0, bytesRead).toString('base64')
      const answer = (await ask(() => site.sendPart(upload, received, packed))).data
      if (!answer.upload) return refuse(answer.problems)
      ;({ id: upload, received } = answer.upload)
      publications.sent(id, received)
      yield { sent: received, bytes }
    }
  } finally {
    await handle.close()
  }

  const rights = rightsFor(runtime.accounts, channel)
  const brief = briefs.get(briefId)
  if (!brief || brief.deletedAt !== null) throw new Error('The brief was deleted. Nothing was published.')
  // The brief may have been worked on while the file went out.
  const owed = unsendable(brief.fields, rights)
  if (owed.length) return refuse(owed)
  const member = playlistsOf(runtime.workspaceItems, brief.workspaceId, briefId).map(playlist => playlist.id)
  const wanted = [...member, ...playlistsLedTo(brief.fields)]
  const { draft, there, problems } = await siteDraft(runtime, brief, channel, wanted, ask)
  if (problems.length) return refuse(problems)
  const at = typeof brief.fields.releaseAt === 'number' ? brief.fields.releaseAt : null
  const sheet = writtenSheet(brief.fields, rights)
  const playlists = member.flatMap(each => there.get(each) ?? [])
  // Before it is out: where there is no room for what is foretold, nothing is published either.
  keepForecasts(runtime, brief, 'published')
  const answer = await ask(() => site.publish(id, upload, { ...draft, sheet, playlists }, at))
  const { id: video, visibleFrom, problems: refused } = answer.data
  if (video === null) return refuse(refused)
  publications.end(id, { state: 'out', video, visibleFrom, source: answer.source })
  runtime.forecasts.out(briefId, video)
  await rm(path, { force: true })
  yield { sent: bytes, bytes }
}

/**
 * A brief’s texts in the site's terms, with its picture, and with the playlists here as playlists there: each is made
 * once, under an id that follows from its own.
 *
 * @param wanted playlists that have to be there. @returns the site's ids of them, by those here.
 */
export async function siteDraft(
  { accounts, pictures, workspaceItems, services }: SiteDraftFrom,
  brief: Brief,
  channel: string,
  wanted: readonly string[],
  ask: <Answer>(call: () => Promise<Answer>) => Promise<Answer> = call => withRetry(call),
): Promise<{ draft: Omit<VideoDraft, 'playlists' | 'sheet'>; there: Map<string, string>; problems: DraftProblem[] }> {
  const { site } = services
  const { fields } = brief
  const rights = rightsFor(accounts, channel)
  const there = new Map<string, string>()
  const problems: DraftProblem[] = []
  for (const id of new Set(wanted)) {
    const found = workspaceItems.get(id, 'playlist')
    if (!found) {
      problems.push({ field: 'playlist', message: 'A playlist it leads to was deleted here. Choose another one.' })
      continue
    }
    const { title, description, entries } = found.item.value
    const videos = entries.filter(({ kind }) => kind === 'video').map(entry => entry.id)
    const saved = await ask(() => site.savePlaylist(`playlist/${id}`, null, { channel, title, description, videos }))
    if (saved.data.id === null)
      problems.push(
        ...saved.data.problems.map(({ message }) => ({ field: 'playlist', message: `“${title}”: ${message}` })),
      )
    else there.set(id, saved.data.id)
  }
  const { thumbnail } = fields
  const file = thumbnail && (!rights || rights.includes('thumbnails')) ? pictures.find(pictureName(thumbnail)) : null
  const texts = await writtenTexts(fields, id => there.get(id) ?? id)
  return {
    draft: {
      ...texts,
      thumbnail: file ? `data:image/${thumbnail!.format};base64,${(await readFile(file)).toString('base64')}` : null,
    },
    there,
    problems,
  }
}

/** @throws Problem that says what keeps a brief from being sent. */
export function assertSendable(answer: PublishAnswer): void {
  const { channel, problems, publication } = answer
  if (!channel)
    throw new Problem(422, 'no-channel', 'Choose your channel in the Library first: that is where the video goes.')
  if (publication?.state === 'out')
    throw new Problem(409, 'is-out', 'This brief is out already. Apply its text to the video instead.', { publication })
  if (publication?.state === 'sending')
    throw new Problem(409, 'is-on-its-way', 'This brief is on its way already. Go on with that.', { publication })
  if (problems.length) throw new Problem(422, 'not-ready', problems[0]!.message, { problems })
}
