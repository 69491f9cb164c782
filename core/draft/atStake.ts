/**
 * Searches a month that a text leaves unworked: those of its lead, times the part of its points that are missing. It
 * orders texts by where an hour of work is worth most; it is no forecast.
 *
 * @param searches of the lead, a month; `null` where they are not known. @param percent of the points, 0 to 100.
 * @returns `null` where either is not known.
 */
export const atStake = (searches: number | null, percent: number | null): number | null =>
  searches === null || percent === null ? null : searches * (1 - percent / 100)
