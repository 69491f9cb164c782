import { createHash } from 'node:crypto'
import { setImmediate as nextTurn } from 'node:timers/promises'
import { v7 as uuid } from 'uuid'
import type { LimitProfile } from '../../core/draft/limits'
import { editedText, MISFITS, withEdit, type EditedValue, type ManyEdit } from '../../core/draft/manyEdit'
import { counted } from '../../core/text/inWords'
import { MOST_EDITED, type EditRun, type FittingVideo, type ManyFits, type RunEdit } from '../../shared/editMany'
import type { JobState } from '../../shared/jobs'
import type { EditPart, KeptRun } from '../data/editRuns'
import { changes } from '../changes'
import { toSiteVideo } from '../data/videos'
import { Problem } from '../http/problem'
import type { Runtime } from '../runtime'
import { isServiceFault, withRetry } from '../services/retry'

export type EditManyDeps = Pick<
  Runtime,
  'editRuns' | 'jobs' | 'services' | 'videoChanges' | 'videos' | 'workspaces' | 'now'
>

/** Videos looked at between two turns of others. */
const AT_ONCE = 50
/** So many in a row that the site does not answer end it; the rest waits. */
const MOST_FAILED = 5
const CHANGED_THERE = 'It was changed on the site meanwhile. Nothing was overwritten.'

/** Names a text, or several, by which they are known again. */
export const seenOf = (...values: EditedValue[]) =>
  createHash('sha256').update(values.map(editedText).join('\0')).digest('base64url').slice(0, 22)

/** What a change would do in videos of a channel, by their texts as last seen. */
export async function manyFits(
  { videos }: Pick<EditManyDeps, 'videos'>,
  { channel, ids, edit, profile }: { channel: string; ids?: readonly string[]; edit: ManyEdit; profile: LimitProfile },
): Promise<ManyFits> {
  const fits: FittingVideo[] = []
  let more = 0
  const misfits = Object.fromEntries(MISFITS.map(each => [each, 0])) as ManyFits['misfits']
  const own = new Set(videos.codesOfChannel(channel))
  for (const [i, id] of [...new Set(ids ?? own)].entries()) {
    if (i % AT_ONCE === 0) await nextTurn()
    if (!own.has(id)) continue
    const video = toSiteVideo(videos.video(id)!)
    const before = video[edit.field]
    const made = withEdit(edit, before, profile)
    if ('misfit' in made) misfits[made.misfit]++
    else if (fits.length === MOST_EDITED) more++
    else fits.push({ videoId: id, title: video.title, before: before!, after: made.after, seen: seenOf(before!) })
  }
  return { fits, more, misfits }
}

/** Begins to make a change in videos. @throws Problem 409 where it fits none of them. */
export function startEdit(
  deps: EditManyDeps,
  workspace: string,
  edit: ManyEdit,
  { fits }: Pick<ManyFits, 'fits'>,
  seen: Readonly<Record<string, string>> | undefined,
): EditRun {
  const parts = fits
    .filter(each => seen?.[each.videoId] === undefined || seen[each.videoId] === each.seen)
    .map(({ videoId, before, after }) => ({ video: videoId, before, after }))
  if (!parts.length)
    throw new Problem(409, 'nothing-fits', 'The change fits none of these videos any more. Look again.')
  return runAnswer(deps, startRun(deps, workspace, edit, parts))
}

/** Begins to change videos, each as its part says. @throws Problem 409 while another change is under way. */
export function startRun(
  deps: EditManyDeps,
  workspace: string,
  edit: RunEdit,
  parts: readonly Pick<EditPart, 'video' | 'before' | 'after'>[],
): KeptRun {
  alone(deps)
  const run: KeptRun = { id: uuid(), workspaceId: workspace, at: deps.now(), edit, undoneAt: null }
  deps.editRuns.begin(run, parts)
  workOn(deps, run)
  return run
}

/** Takes a change back in every video where it still stands. @throws Problem 404 for an unknown one. */
export async function undoEdit(deps: EditManyDeps, workspace: string, id: string): Promise<EditRun> {
  const run = runOf(deps, workspace, id)
  const [running] = jobsOf(deps, id)
  // Both ways at once would cross: what is under way ends first.
  if (running && run.undoneAt === null) await endOf(deps, running.id)
  if (!jobsOf(deps, id).length) {
    alone(deps)
    deps.editRuns.takeBack(id, deps.now())
    workOn(deps, runOf(deps, workspace, id))
  }
  return runAnswer(deps, runOf(deps, workspace, id))
}

/** Goes on with what waits, or with taking back. @throws Problem 404 for an unknown one. */
export function resumeEdit(deps: EditManyDeps, workspace: string, id: string): EditRun {
  const run = runOf(deps, workspace, id)
  if (!jobsOf(deps, id).length) {
    alone(deps)
    workOn(deps, run)
  }
  return runAnswer(deps, run)
}

function runOf({ editRuns }: Pick<EditManyDeps, 'editRuns'>, workspace: string, id: string): KeptRun {
  const run = editRuns.get(id)
  if (run?.workspaceId === workspace) return run
  throw new Problem(404, 'no-such-change', 'This change is not remembered. It may be too old.')
}

/** A video is changed by one at a time: what one reads and writes, no other may write between. */
function alone(deps: Pick<EditManyDeps, 'jobs'>): void {
  if (jobsOf(deps, '').length)
    throw new Problem(409, 'busy', 'Another change is under way. Wait until it is done, or stop it.')
}

/** Stops a job, and waits until the video that it is at is done. */
const endOf = ({ jobs }: Pick<EditManyDeps, 'jobs'>, id: string) =>
  new Promise<void>(resolve => {
    jobs.listen(id, ({ name }) => {
      if (name === 'end') resolve()
    })
    jobs.stop(id)
  })

/** Jobs that are at work on a change; on any for ''. */
const jobsOf = ({ jobs }: Pick<EditManyDeps, 'jobs'>, id: string) =>
  jobs.list().filter(({ kind, id: job, state }) => kind === 'edit' && job.startsWith(id) && state === 'running')

/** How a change stands. */
export function runAnswer(
  { editRuns, jobs, videos }: Pick<EditManyDeps, 'editRuns' | 'jobs' | 'videos'>,
  { workspaceId: _, ...run }: KeptRun,
): EditRun {
  return {
    ...run,
    counts: editRuns.counts(run.id),
    kept: editRuns.reasons(run.id).map(({ video, problem }) => ({
      videoId: video,
      title: videos.video(video)?.title ?? video,
      problem,
    })),
    job: jobsOf({ jobs }, run.id)[0] ?? null,
  }
}

/** Works on a change, or on taking it back, in a job. @returns `null` where nothing is left to do. */
export function workOn(deps: EditManyDeps, run: KeptRun, job?: string): JobState | null {
  const counts = deps.editRuns.counts(run.id)
  const left = run.undoneAt === null ? counts.waiting : counts.changed
  if (!left) return null
  alone(deps)
  const title = `${run.undoneAt === null ? 'Changing' : 'Taking back a change of'} ${counted(left, 'video')}`
  const name = job ?? `${run.id}${run.undoneAt === null ? '' : '-back'}`
  return deps.jobs.start('edit', title, { run: run.id }, left, signal => steps(deps, run, signal), name)
}

async function* steps(deps: EditManyDeps, run: KeptRun, signal: AbortSignal): AsyncGenerator<EditPart> {
  const { editRuns } = deps
  const isBack = run.undoneAt !== null
  let failed = 0
  try {
    for (let place = -1; !signal.aborted;) {
      const part = editRuns.next(run.id, place, isBack ? 'changed' : 'waiting')
      if (!part) break
      place = part.place
      try {
        yield await step(deps, run, part, isBack)
        failed = 0
      } catch (error) {
        if (!isServiceFault(error)) throw error
        // It stays as it is, and is tried again when the work is taken up.
        if (++failed >= MOST_FAILED) throw new Error(`${(error as Error).message} The rest waits. Go on with it later.`)
      }
    }
  } finally {
    // Videos look different now, and their curves have new marks.
    changes.changedByItself('ranks')
  }
}

/** One video: only where its text is still what it was. */
async function step(
  { services, editRuns, videoChanges, videos, workspaces, now }: EditManyDeps,
  { id, workspaceId, edit: { field } }: KeptRun,
  part: EditPart,
  isBack: boolean,
): Promise<EditPart> {
  const [from, to] = isBack ? [part.after, part.before] : [part.before, part.after]
  const end = (state: EditPart['state'], problem: string | null = null): EditPart => {
    editRuns.set(id, part.place, state, problem)
    return { ...part, state, problem }
  }
  const stays = (problem: string) => end(isBack ? 'changed' : 'kept', problem)
  const { site } = services
  const language = workspaces.get(workspaceId)?.language ?? 'en'
  const { data: video, at } = await withRetry(() => site.video(part.video, language))
  if (!video) return stays('The site has no such video any more.')
  const there = video[field]
  if (there === null) return stays('The site does not tell this text.')
  const isThere = (value: EditedValue) => editedText(there) === editedText(value)
  // A break between the site's answer and ours leaves it done there.
  if (!isThere(to)) {
    if (!isThere(from)) {
      videos.saveVideos([video], at)
      return stays(CHANGED_THERE)
    }
    const { problems } = (await withRetry(() => site.update(part.video, { [field]: to }))).data
    if (problems.length) return stays(problems[0]!.message)
  }
  videoChanges.save(part.video, [{ at: now(), field, before: editedText(from), after: editedText(to) }])
  videos.saveVideos([{ ...video, [field]: to }], Math.max(at, now()))
  return end(isBack ? 'undone' : 'changed')
}
