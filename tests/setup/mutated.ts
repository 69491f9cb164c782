/** How far in a file its head may reach, in bytes: what is broken there breaks the most. */
const HEAD = 200

/**
 * A copy of a file with up to six things wrong, half of them in its head: bytes changed, filled, moved or cut off.
 * @param random from 0 to 1, as a seeded source gives it.
 */
export function mutated(whole: Uint8Array, random: () => number): Uint8Array {
  const any = (most: number) => Math.floor(random() * most)
  let bytes = Uint8Array.from(whole)
  const wrong = 1 + any(6)
  for (let i = 0; i < wrong && bytes.length; i++) {
    const at = any(any(2) ? Math.min(HEAD, bytes.length) : bytes.length)
    const kind = any(8)
    if (kind < 4) bytes[at] = any(256)
    else if (kind < 6) bytes.fill(any(2) ? 0xff : 0, at, at + any(12))
    else if (kind < 7) bytes.copyWithin(at, any(bytes.length), any(bytes.length))
    else bytes = bytes.slice(0, any(4) ? Math.max(at, HEAD) : at)
  }
  return bytes
}
