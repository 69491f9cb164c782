/** Numbers from 0 to 1 that look random and are the same each run. */
export function drawn(seed: number): () => number {
  let state = seed
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0
    return state / 2 ** 32
  }
}
