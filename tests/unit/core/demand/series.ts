import { normal, seeded } from '../../../../server/services/standin/chance'

/** Made-up series with known answers. `noise` is the standard deviation of the log. */
export function series({
  level = 1000,
  swing = 0,
  peak = 3,
  growth = 0,
  noise = 0,
  seed = 1,
  lastMonth = 9,
  length = 36,
} = {}): number[] {
  const random = seeded(seed)
  return Array.from({ length }, (_, i) => {
    const month = (((lastMonth - (length - 1 - i)) % 12) + 12) % 12
    return (
      level *
      Math.exp(swing * Math.cos((2 * Math.PI * (month - peak)) / 12)) *
      Math.pow(1 + growth, (i - length + 12) / 12) *
      Math.exp(noise * normal(random))
    )
  })
}
