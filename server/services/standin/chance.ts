// Looked up once: where the global object is guarded, as test runners do, `Math` at every step takes most of the time.
const { cos, imul, log, PI, sqrt } = Math

export { seeded } from '../../../core/random'

/** FNV-1a: a 32-bit number from a text, so that a phrase keeps its luck whatever stands beside it. */
export function hash(text: string): number {
  let h = 0x811c9dc5
  for (let i = 0; i < text.length; i++) h = imul(h ^ text.charCodeAt(i), 0x01000193)
  return h >>> 0
}

/** A standard normal number from two uniform ones (Box and Muller). */
export const normal = (random: () => number) => sqrt(-2 * log(1 - random())) * cos(2 * PI * random())

/** Picks an index with probability in proportion to cumulated weights. */
export function pickCumulated(cumulated: Float64Array, random: () => number): number {
  const wanted = random() * cumulated[cumulated.length - 1]!
  let low = 0
  let high = cumulated.length - 1
  while (low < high) {
    const middle = (low + high) >> 1
    if (cumulated[middle]! > wanted) high = middle
    else low = middle + 1
  }
  return low
}
