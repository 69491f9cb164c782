// Looked up once: where the global object is guarded, as test runners do, `Math` at every step takes most of the time.
const { imul } = Math

/** A seeded source of numbers in [0, 1): mulberry32, the same on every machine. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let z = state
    z = imul(z ^ (z >>> 15), z | 1)
    z ^= z + imul(z ^ (z >>> 7), z | 61)
    return ((z ^ (z >>> 14)) >>> 0) / 4_294_967_296
  }
}
