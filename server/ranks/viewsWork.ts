import { counted } from '../../core/text/inWords'
import type { JobState } from '../../shared/jobs'
import type { Jobs } from '../jobs/jobs'
import { lookAtViews, viewsAreDue, type ViewsDeps } from './views'

/** Videos asked for at once, and in one job: the newest ones. */
const AT_ONCE = 4
const MOST = 500
/** So many in a row that fail end it. */
const MOST_FAILED = 3 * AT_ONCE

/** A video whose figures were asked for. */
export interface ViewsLooked {
  video: string
  problem: string | null
}

/**
 * Asks the site for the figures of a channel's videos, in a job, where they are due: a video is judged beside the
 * others.
 * @param told called when figures came. @returns `null` where nothing is due, or it is under way.
 */
export function startViews(
  deps: ViewsDeps & { jobs: Jobs },
  channel: string | null,
  told: () => void,
  id?: string,
): JobState | null {
  const { videos, jobs, mayAsk = true, ownDataOnly } = deps
  if (channel === null || !mayAsk || ownDataOnly) return null
  if (jobs.list().some(({ kind, state }) => kind === 'views' && state === 'running')) return null
  const due = videos
    .titlesOfChannel(channel, MOST)
    .filter(({ code }) => viewsAreDue(deps, code))
    .map(({ code }) => code)
  if (!due.length) return null
  // Work that the end of the program cut off is taken up under its own name.
  const cutOff = jobs.list().find(({ kind, state }) => kind === 'views' && state === 'interrupted')
  const title = `Views of ${counted(due.length, 'video')}`
  return jobs.start(
    'views',
    title,
    { channel },
    due.length,
    signal => viewsWork(deps, due, signal, told),
    id ?? cutOff?.id,
  )
}

async function* viewsWork(
  deps: ViewsDeps,
  due: readonly string[],
  signal: AbortSignal,
  told: () => void,
): AsyncGenerator<ViewsLooked> {
  let failed = 0
  try {
    for (let from = 0; from < due.length && !signal.aborted; from += AT_ONCE) {
      const looked = await Promise.all(
        due.slice(from, from + AT_ONCE).map(async video => ({ video, problem: await lookAtViews(deps, video) })),
      )
      yield* looked
      failed = looked.some(({ problem }) => problem === null) ? 0 : failed + looked.length
      if (failed >= MOST_FAILED) throw new Error(`${looked[0]!.problem!} The rest is asked for again later.`)
    }
  } finally {
    told()
  }
}
