import * as Comlink from 'comlink'
import type { PhraseSearch } from '../demand/search'
import type { OverviewAsked, OverviewName, OverviewThread } from './overviewThread'
import { restartingThread } from './restartingThread'

/** Answers that read a whole channel, worked out in a thread of its own. */
export interface Overviews {
  /** The answer as JSON. From what is kept; nothing is asked of services. @throws ThreadEnded */
  tell: <Name extends OverviewName>(name: Name, workspace: string, ...more: OverviewAsked<Name>) => Promise<string>
  close: () => Promise<void>
}

/**
 * Starts the thread when it is first asked.
 * @param entry the built thread. @param file the user's. @param now the services' time.
 */
export function startOverviews(
  entry: string,
  file: string,
  search: Pick<PhraseSearch, 'answer'>,
  now: () => number,
): Overviews {
  const thread = restartingThread<OverviewThread>('The overview of the channel', entry, {
    workerData: { file },
    resourceLimits: { maxYoungGenerationSizeMb: 16 },
  })
  type Tell = OverviewThread['tell']
  return {
    async tell(name, workspace, ...more) {
      /** What kept the index from answering, as it is: what comes back from a thread is a bare error. */
      let problem: unknown
      const answer = Comlink.proxy(async (...question: Parameters<PhraseSearch['answer']>) => {
        try {
          return await search.answer(...question)
        } catch (error) {
          problem = error
          throw error
        }
      })
      try {
        return await thread.ask(({ tell }) => (tell as unknown as Tell)(name, now(), answer, workspace, more))
      } catch (error) {
        throw problem ?? error
      }
    },
    close: thread.close,
  }
}
