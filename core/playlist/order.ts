/** How the videos of a playlist follow one another. */
export const ORDERS = ['hand', 'newest', 'oldest', 'searches', 'easiest', 'title'] as const
export type PlaylistOrder = (typeof ORDERS)[number]

/** What an order may go by; `null` where it is unknown. */
export interface Orderable {
  title: string
  /** When it came out, UTC milliseconds; a brief is not out yet, and so younger than anything. */
  publishedAt: number | null
  planned: boolean
  /** Searches a month for its lead, and how hard that is, 0 to 100. */
  searches: number | null
  difficulty: number | null
}

/** Falling or rising; what is unknown stands at the end either way. */
const by = (figure: (of: Orderable) => number | null, sign: 1 | -1) => (a: Orderable, b: Orderable) => {
  const [left, right] = [figure(a), figure(b)]
  if (left === null || right === null) return Number(left === null) - Number(right === null)
  return left === right ? 0 : sign * (left < right ? -1 : 1)
}
const age = ({ planned, publishedAt }: Orderable) => (planned ? Infinity : publishedAt)

/**
 * Entries in the order of a rule; those that are equal by it stay as they were put by hand.
 * @param language by whose alphabet titles are ordered; numbers in them count as numbers.
 */
export function ordered<Entry extends Orderable>(
  entries: readonly Entry[],
  order: PlaylistOrder,
  language: string,
): Entry[] {
  switch (order) {
    case 'hand':
      return [...entries]
    case 'newest':
      return [...entries].sort(by(age, -1))
    case 'oldest':
      return [...entries].sort(by(age, 1))
    case 'searches':
      return [...entries].sort(by(each => each.searches, -1))
    case 'easiest':
      return [...entries].sort(by(each => each.difficulty, 1))
    case 'title': {
      const { compare } = new Intl.Collator(language, { numeric: true, sensitivity: 'base' })
      return [...entries].sort((a, b) => compare(a.title, b.title))
    }
  }
}
