/** A minute and a day in milliseconds. */
export const MINUTE = 60_000
export const DAY = 86_400_000
