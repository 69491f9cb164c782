/** Strengths by rank as the store keeps them: 32-bit floats, little end first. */
export function packStrengths(strengths: readonly number[]): Buffer {
  const bytes = Buffer.alloc(strengths.length * 4)
  strengths.forEach((strength, i) => bytes.writeFloatLE(strength, i * 4))
  return bytes
}

export function unpackStrengths(bytes: Buffer): number[] {
  return Array.from({ length: bytes.length >> 2 }, (_, i) => bytes.readFloatLE(i << 2))
}
