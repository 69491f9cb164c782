import { dirname, join } from 'node:path'
import { v4 as uuid } from 'uuid'
import type { ViewsModel } from '../../core/rivals/upsets'
import { MOST_FOLLOWED, type IndexSnapshotStore } from '../data/indexSnapshots'
import type { PhraseStore } from '../data/phrases'
import type { IndexThread } from '../threads/indexThread'
import { restartingThread } from '../threads/restartingThread'
import type { RowsQuestion } from './rows'

/** The file beside the database in which the index is kept. It can be deleted at any time. */
export const SNAPSHOT = 'index.snapshot'
/** Changed phrases sent to the index in one message. */
const BATCH = 4000

/** The index of phrases as the routes see it. */
export interface PhraseSearch {
  /** The answer to a question, as JSON. */
  answer: (question: RowsQuestion) => Promise<string>
  texts: (question: RowsQuestion) => Promise<string[]>
  /** Tells that figures of these phrases changed. Many at once may be taken in later than the next question. */
  changed: (ids: readonly number[]) => void
  /** Waits until the index has taken in all changes. */
  settled: () => Promise<void>
  placesChanged: () => void
  /** What size and age let expect of a video's views, from everything observed. */
  viewsModel: () => Promise<ViewsModel | null>
  load: (language: string, region: string) => Promise<number>
  close: () => Promise<void>
}

/** After so long without a change or a question the index is kept beside the database. */
const QUIET = 15_000
/** Fewer phrases, or figures of a region, are read from the tables faster than anybody notices. */
export const LEAST_KEPT = 50_000

/**
 * Starts the index over a user's file.
 * @param entry the built thread. @param snapshots where it is noted which kept index fits.
 */
export function startSearch(
  entry: string,
  file: string,
  putCap: PhraseStore['putCap'],
  snapshots: IndexSnapshotStore,
  { quiet = QUIET, least = LEAST_KEPT } = {},
): PhraseSearch {
  const thread = restartingThread<IndexThread>('The index of phrases', entry, {
    workerData: { file, snapshot: join(dirname(file), SNAPSHOT), least },
    resourceLimits: { maxOldGenerationSizeMb: 2048, maxYoungGenerationSizeMb: 16 },
  })
  // Changes are gathered for a moment: an assessment of three hundred phrases is one message, not three hundred.
  let due: number[] = []
  let timer: NodeJS.Immediate | undefined
  const send = () => {
    if (timer) clearImmediate(timer)
    timer = undefined
    const all = due
    due = []
    // One that does not run reads everything anew when it is asked.
    if (!thread.running()) return
    for (let from = 0; from < all.length; from += BATCH) {
      const ids = Int32Array.from(all.slice(from, from + BATCH))
      thread.ask(remote => remote.changed(ids)).catch(() => undefined)
    }
  }
  let keeping: NodeJS.Timeout | undefined
  /** Phrases that changed, since somebody looked whether they are too many to be followed. */
  let noted = 0
  /** Keeps the index when all has been quiet for a while. */
  const keepSoon = () => {
    clearTimeout(keeping)
    keeping = setTimeout(() => {
      keep().catch((error: unknown) => {
        // It is read from the tables at the next start, as if it had never been kept.
        console.error('The index of phrases could not be kept:', error)
      })
    }, quiet).unref()
  }
  async function keep(): Promise<void> {
    if (!thread.running() || !(await thread.ask(remote => remote.isToKeep()))) return
    const mark = uuid()
    const begun = snapshots.begin()
    noted = 0
    send()
    if (await thread.ask(remote => remote.keep(mark))) snapshots.fits(mark, begun)
    else keepSoon()
  }
  function unfollow(): void {
    noted = 0
    try {
      snapshots.unfollowMany()
    } catch (error) {
      // A full disk, say: that they are followed on costs time alone, and what changed is saved already.
      console.error('Changes of phrases are followed on:', error)
    }
  }
  return {
    async answer(question) {
      const startedAt = performance.now()
      keepSoon()
      send()
      const { json, caps } = await thread.ask(remote => remote.answer(question, performance.now() - startedAt))
      for (const each of caps) putCap(each.region, each.cap, each.known)
      return json
    },
    texts(question) {
      send()
      return thread.ask(remote => remote.texts(question))
    },
    changed(ids) {
      for (const id of ids) due.push(id)
      timer ??= setImmediate(send)
      noted += ids.length
      if (noted > MOST_FOLLOWED) unfollow()
      keepSoon()
    },
    async settled() {
      send()
      // One that ends reads everything anew when it is asked.
      if (thread.running()) await thread.ask(remote => remote.settled()).catch(() => undefined)
    },
    viewsModel: () => thread.ask(remote => remote.viewsModel()),
    placesChanged() {
      if (thread.running()) thread.ask(remote => remote.placesChanged()).catch(() => undefined)
    },
    load(language, region) {
      keepSoon()
      return thread.ask(remote => remote.load(language, region))
    },
    close() {
      clearTimeout(keeping)
      return thread.close()
    },
  }
}
