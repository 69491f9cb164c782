/** How many of some texts hold each word; what search engines call document frequency. */
export interface Rarity {
  texts: number
  /** Words of a text in the mean. */
  length: number
  /** Stems that at least two texts hold. */
  holders: ReadonlyMap<string, number>
}

// Looked up once; see core/random.
const { log, max } = Math

/** A stem that hardly any text lacks tells this much all the same. */
const LEAST = 0.01

/** Counts the stems of texts, each given once with its own stems and how many words it has. */
export function rarityOf(texts: Iterable<{ stems: Iterable<string>; words: number }>): Rarity {
  const counts = new Map<string, number>()
  let [count, words] = [0, 0]
  for (const text of texts) {
    count++
    words += text.words
    for (const stem of text.stems) counts.set(stem, (counts.get(stem) ?? 0) + 1)
  }
  for (const [stem, held] of counts) if (held < 2) counts.delete(stem)
  return { texts: count, length: count ? words / count : 1, holders: counts }
}

/** How many texts hold a stem; one that was seen at most once counts half. */
export const holdersOf = ({ holders }: Rarity, stem: string) => holders.get(stem) ?? 0.5

/** How much a stem tells: the log of texts without it to texts with it (Robertson and Zaragoza 2009). */
export function rareness(rarity: Rarity, stem: string): number {
  const held = holdersOf(rarity, stem)
  return max(LEAST, log((rarity.texts - held + 0.5) / (held + 0.5)))
}
