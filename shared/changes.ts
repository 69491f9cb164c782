/** Kinds of things that screens show and others may change. */
export const KINDS = ['phrases', 'pages', 'briefs', 'lists', 'workspaces', 'jobs', 'ranks'] as const
export type Kind = (typeof KINDS)[number]

/** How often each kind has changed since the program `run` was started. */
export interface Revisions {
  run: string
  revisions: Record<Kind, number>
}

/** What changed of a kind since the last message. */
export interface Change {
  kind: Kind
  revision: number
  /** What it was, where that is known and little; else `null`. */
  ids: string[] | null
  /** The window that did it, where one did it all; it knows already. */
  by: string | null
}

/** The header by which a window names itself. */
export const WINDOW_HEADER = 'x-fonetra-window'
