import { restartingThread } from './restartingThread'
import type { PictureThread } from './pictureThread'

/** Milliseconds after which a picture is given up: one that takes longer was made to. */
const LONGEST = 20_000

export type PictureWork = ReturnType<typeof startPictures>

/**
 * What unpacks, looks at and writes pictures, started when it is first needed.
 * @param entry the built thread.
 */
export function startPictures(entry: string) {
  const thread = restartingThread<PictureThread>('The thread that reads pictures', entry, {
    resourceLimits: { maxOldGenerationSizeMb: 128, maxYoungGenerationSizeMb: 16 },
  })
  type Asked = PictureThread
  return {
    candidate: (...given: Parameters<Asked['candidate']>) => thread.ask(remote => remote.candidate(...given), LONGEST),
    page: (...given: Parameters<Asked['page']>) => thread.ask(remote => remote.page(...given), LONGEST),
    scaled: (...given: Parameters<Asked['scaled']>) => thread.ask(remote => remote.scaled(...given), LONGEST),
    mend: (...given: Parameters<Asked['mend']>) => thread.ask(remote => remote.mend(...given), LONGEST),
    close: thread.close,
  }
}
