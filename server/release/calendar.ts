import { createEvents, type EventAttributes } from 'ics'
import { processingTime } from '../../core/release/processing'
import type { PlannedRelease } from '../data/briefReleases'

/** Where the length of a video is not known, it stands in a calendar for so many minutes. */
const USUAL_MINUTES = 15

/**
 * Releases as an iCalendar file, each under the id of its brief, so that a calendar which reads the file again moves
 * what moved.
 *
 * @param inWords an hour as the channel's clock shows it.
 */
export function releaseCalendar(
  releases: readonly PlannedRelease[],
  channel: string,
  inWords: (at: number) => string,
): string {
  const events = releases.map(({ id, topic, title, tray, seconds, lines, releaseAt, videoAddress, updatedAt }) => ({
    uid: `${id}@fonetra`,
    calName: `Releases of ${channel}`,
    productId: 'fonetra',
    title: title || topic || 'Untitled',
    description: [
      tray.lead ? `Lead: ${tray.lead}` : '',
      videoAddress ? '' : `Have it uploaded by ${inWords(releaseAt - processingTime({ seconds, lines }))}.`,
    ]
      .filter(Boolean)
      .join('\n'),
    start: releaseAt,
    startInputType: 'utc' as const,
    startOutputType: 'utc' as const,
    duration: { minutes: seconds === null ? USUAL_MINUTES : Math.max(1, Math.ceil(seconds / 60)) },
    lastModified: updatedAt,
    ...(videoAddress ? { url: videoAddress } : {}),
  })) satisfies EventAttributes[]
  if (!events.length) return EMPTY
  const { error, value } = createEvents(events)
  if (error) throw error
  return value!
}

/** The library writes no calendar without events. */
const EMPTY = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:fonetra', 'END:VCALENDAR', ''].join('\r\n')
