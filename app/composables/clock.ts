/**
 * The time by which ages of what was observed are counted. It is the machine's, unless the clock of the simulated
 * services was moved on: then what they said today is from a day that is still to come here.
 */
let ahead = 0

/** @param serverNow the time the server counts by, UTC milliseconds. */
export function setClock(serverNow: number): void {
  const difference = serverNow - Date.now()
  // A clock that is a little off is none that was moved.
  ahead = difference > 3_600_000 ? difference : 0
}

/** UTC milliseconds. */
export const now = () => Date.now() + ahead
