import { seeded } from './chance'

/**
 * What makes people click a result and stay with it, as far as the text does. The site's own business, like its
 * ranking: the product learns of it only by what ranks and by how often it is clicked.
 */
const BOUNDS = {
  number: [0.01, 0.07],
  question: [-0.01, 0.05],
  brackets: [-0.01, 0.04],
  capitals: [-0.08, -0.02],
  long: [-0.06, -0.01],
} as const

/** What each trait of a title adds to its clicks. @param seed the world's. */
export function appealOf(seed: number): (title: string) => number {
  const random = seeded(seed ^ 0xa99ea1)
  const weight = Object.fromEntries(
    Object.entries(BOUNDS).map(([name, [low, high]]) => [name, low + (high - low) * random()]),
  ) as Record<keyof typeof BOUNDS, number>
  return title => {
    const letters = title.replace(/[^\p{L}]/gu, '')
    const capitals = title.replace(/[^\p{Lu}]/gu, '').length
    return (
      (/\d/u.test(title) ? weight.number : 0) +
      (title.includes('?') ? weight.question : 0) +
      (/[([]/u.test(title) ? weight.brackets : 0) +
      (capitals > letters.length / 2 ? weight.capitals : 0) +
      (title.length > 70 ? weight.long : 0)
    )
  }
}

const words = (text: string) => text.toLowerCase().match(/[\p{L}\p{N}]{4,}/gu) ?? []

/**
 * The part of a title's words that are spoken in the video, 0 to 1. A title whose words never come up promises what
 * the video lacks, and viewers leave.
 */
export function truthOf(title: string, captions: string): number {
  const spoken = new Set(words(captions).map(word => word.slice(0, 5)))
  const promised = words(title)
  return promised.length ? promised.filter(word => spoken.has(word.slice(0, 5))).length / promised.length : 1
}
