/** How far an import is. `part` is what is done of the whole, 0 to 1, or `null` while the whole is not known. */
export interface ImportProgress {
  part: number | null
  said: string
}

/** What an import streams, a line each: how far it is, and at the end its answer or why there is none. */
export type ImportLine<Answer> =
  ImportProgress | { answer: Answer } | { status: number; error: { code: string; message: string; details: unknown } }

/** What an import of result pages, videos and channels took in. */
export interface PagesImported {
  videos: number
  channels: number
  pages: number
  /** Pages saved earlier with the same content. */
  known: number
  rejected: { line: number; reason: string }[]
  rejectedMore: number
}
/** What an import of day figures took in: days new and known before, and lines of totals that were left out. */
export interface DaysImported {
  accepted: number
  updated: number
  totals: number
  /** The column each figure was read from. */
  columns: Record<string, string>
  /** Ids of the videos it told of. */
  videos: string[]
  rejected: { line: number; reason: string }[]
  rejectedMore: number
}
/** What an import of places took in. */
export interface PlacesImported {
  accepted: number
  rejected: { line: number; reason: string }[]
  rejectedMore: number
}
