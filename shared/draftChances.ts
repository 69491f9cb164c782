/** How likely a phrase's page one is for my channel's video; `null` where its page or my channel is not known. */
export interface DraftChance {
  phrase: string
  /** With the text as it is worded now, 0 to 1. */
  asWorded: number | null
  /** With the phrase word for word in title, first line and a tag. */
  inFull: number | null
  /** Whether a whole result page of the phrase is saved. */
  known: boolean
}
