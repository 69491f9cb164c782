import { Problem } from './problem'

/** What keeps something from being deleted that was changed later. */
export const changedSince = (what: string) =>
  new Problem(409, 'changed-since', `This ${what} has changed since, so it was not deleted.`)
