import { DateTime } from 'luxon'

/** A time in a zone; in UTC where the zone is unknown. @param zone an IANA name. */
const timeIn = (at: number, zone: string): DateTime => {
  const local = DateTime.fromMillis(at, { zone, locale: 'en' })
  return local.isValid ? local : DateTime.fromMillis(at, { zone: 'utc', locale: 'en' })
}

/**
 * An hour as a clock in a zone shows it.
 * @param at UTC milliseconds. @param zone an IANA name; UTC where it is unknown.
 * @example inZone(1795813948391, 'Europe/London') // 'Fri 27 Nov 2026, 21:12'
 */
export const inZone = (at: number, zone: string): string => timeIn(at, zone).toFormat('ccc d LLL yyyy, HH:mm')

/** The same without its year: 'Fri 27 Nov, 21:12'. */
export const shortInZone = (at: number, zone: string): string => timeIn(at, zone).toFormat('ccc d LLL, HH:mm')

/** Date and time of day as a clock in a zone shows them. */
export interface LocalHour {
  /** `yyyy-mm-dd` */
  date: string
  /** `hh:mm` */
  time: string
}

export function localHour(at: number, zone: string): LocalHour {
  const local = timeIn(at, zone)
  return { date: local.toFormat('yyyy-MM-dd'), time: local.toFormat('HH:mm') }
}

/**
 * The hour that a clock in a zone shows, UTC milliseconds; `null` for what no clock shows. Of an hour that comes twice
 * when clocks go back it is the first; one that is left out when they go forward becomes the one an hour later.
 */
export function fromLocal({ date, time }: LocalHour, zone: string): number | null {
  const local = DateTime.fromISO(`${date}T${time}`, { zone })
  if (!local.isValid) return null
  return Math.min(...local.getPossibleOffsets().map(each => each.toMillis()))
}
