/** A result that stands on the page of the lead phrase. */
export interface Neighbour {
  title: string
  /** The channel's name; '' where it is not known. */
  channel: string
}

/** What is known around a draft: a check may look at it, and does not apply where it knows nothing. */
export interface DraftContext {
  /** Results of the lead's page, best first; my own videos are left out. Empty where no page is kept. */
  page: readonly Neighbour[]
  /** Searches a month by `tagKey`; what is absent is unknown. */
  searches: Readonly<Record<string, number>>
  /** The first playlist the brief stands in; `null` where there is none. */
  playlist: { title: string; description: string } | null
  /** The channel's own name; '' where there is none. */
  ownName: string
  /** Texts that belong in every description of the workspace, as they would stand in it. */
  standing: readonly string[]
  /** The same texts as they were filled in when each was put into this brief; `null` for one that was not put live. */
  placed: readonly (string | null)[]
}

/** Nothing known. */
export const NO_CONTEXT: DraftContext = {
  page: [],
  searches: {},
  playlist: null,
  ownName: '',
  standing: [],
  placed: [],
}
