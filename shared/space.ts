/** What takes space in the data file. */
export const SPACE_KINDS = ['texts', 'figures', 'pages', 'rest'] as const
export type SpaceKind = (typeof SPACE_KINDS)[number]

/**
 * Bytes of the data file by what they hold; `free` is room that is used again before the file grows, `index` the index
 * of phrases kept beside it.
 */
export type SpaceAnswer = Record<SpaceKind | 'free' | 'index', number>
