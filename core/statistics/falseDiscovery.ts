/**
 * The share of false alarms among all that are at least as telling (Benjamini and Hochberg 1995).
 *
 * @param p of each test; `null` where there was none. @returns q of each, in order.
 */
export function falseDiscovery(p: readonly (number | null)[]): (number | null)[] {
  const known = p.flatMap((value, i) => (value === null ? [] : [{ value, i }])).sort((a, b) => b.value - a.value)
  const q: (number | null)[] = p.map(() => null)
  let least = 1
  known.forEach(({ value, i }, down) => {
    least = Math.min(least, (value * known.length) / (known.length - down))
    q[i] = least
  })
  return q
}
