import type { Part } from './trades/trade'

/** What a phrase is about: enough for somebody to make a video for it. */
export interface About {
  kind: 'name' | 'do' | 'fault' | 'buy' | 'learn' | 'compare' | 'local'
  /** The part as the phrase names it. */
  name: string
  /** Keys of the trade's tables. */
  task: string | null
  fault: string | null
  /** What it is said to be on or for. */
  whole: string | null
  /** “for beginners”, “without tools”. */
  ending: string | null
  town: string | null
}

/** A phrase somebody might type, with how much is searched for it against others. */
export interface Grown {
  text: string
  weight: number
  part: Part
  about: About
}

/** What a phrase is about, where most of it is not said. */
export const about = (kind: About['kind'], name: string, more: Partial<About> = {}): About => ({
  kind,
  name,
  task: null,
  fault: null,
  whole: null,
  ending: null,
  town: null,
  ...more,
})
