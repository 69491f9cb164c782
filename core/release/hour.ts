import type { BriefFields } from '../brief/brief'
import { counted } from '../text/inWords'
import { MINUTE } from '../time'
import { done, open, unanswered, type Found } from './point'
import { processingTime } from './processing'

/**
 * How the hour of a release stands: chosen, and far enough away for the site to have the video ready by then.
 * With a video that is out there is nothing left to choose.
 *
 * @param inWords an hour as the channel's clock shows it.
 */
export function hourState(
  { releaseAt, seconds, lines, videoAddress }: Pick<BriefFields, 'releaseAt' | 'seconds' | 'lines' | 'videoAddress'>,
  now: number,
  inWords: (at: number) => string,
): Found {
  if (videoAddress) return done('The video is out.')
  const takes = processingTime({ seconds, lines })
  const minutes = counted(takes / MINUTE, 'minute')
  if (releaseAt === null) return unanswered('Choose an hour, or release it as soon as it is ready.')
  if (releaseAt === 'now') return done(`As soon as it is ready: allow some ${minutes} after the upload.`)
  if (releaseAt <= now) return open(`${inWords(releaseAt)} is over. Choose another hour.`)
  if (releaseAt - takes <= now)
    return open(`${inWords(releaseAt)} is near: the site needs some ${minutes} after the upload. Choose a later hour.`)
  return done(`${inWords(releaseAt)}. Have it uploaded by ${inWords(releaseAt - takes)}.`)
}
