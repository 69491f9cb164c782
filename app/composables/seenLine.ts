import type { RivalRow } from '../../shared/rivals'

/** One line of the list of videos: mine, or a result. */
export type SeenLine = { key: string; mine: true } | { key: string; mine: false; row: RivalRow }
