/** A day in milliseconds. */
export const DAY = 86_400_000
