import type { ListedPhrase } from '../../core/formats/phraseList'

const NUMBERS = ['volume', 'change', 'competition', 'advertiser'] as const

/**
 * Phrases of a list column by column, as they go from one thread to another: a text, some arrays of numbers whose
 * memory is handed over, and what few lists have. Sent as objects, two thousand rows take ten times as long.
 */
export interface PackedBatch {
  /** The phrases, one a line. */
  phrases: string
  /** Unknown is NaN. */
  volume: Float64Array<ArrayBuffer>
  change: Float64Array<ArrayBuffer>
  competition: Float64Array<ArrayBuffer>
  advertiser: Float64Array<ArrayBuffer>
  /** `null` where no row names one. */
  regions: (string | null)[] | null
  months: ((number | null)[] | null)[] | null
}

/** What is handed over, not copied, when a batch is sent. */
export const handedOver = (batch: PackedBatch): ArrayBuffer[] => NUMBERS.map(name => batch[name].buffer)

/** So many texts are made to stand for themselves in one go. */
const OWN = 2000

/**
 * Rows gathered until there are enough to be put in the order of their phrases. They stand column by column from the
 * start: two hundred thousand of them take some twenty megabytes.
 */
export class ListWindow {
  private readonly texts: string[] = []
  /**
   * Texts cut out of a larger one only point into it: they keep it in memory, and comparing them takes four times as
   * long.
   */
  private cut: string[] = []
  private readonly numbers: Record<(typeof NUMBERS)[number], Float64Array>
  private regions: (string | null)[] | null = null
  private months: ((number | null)[] | null)[] | null = null

  get hasMonths(): boolean {
    return this.months !== null
  }

  /** @param room the most rows it can take. */
  constructor(private readonly room: number) {
    const column = () => new Float64Array(room)
    this.numbers = { volume: column(), change: column(), competition: column(), advertiser: column() }
  }

  get size(): number {
    return this.texts.length + this.cut.length
  }
  get full(): boolean {
    return this.size === this.room
  }

  add(row: ListedPhrase): void {
    const n = this.size
    this.cut.push(row.phrase)
    if (this.cut.length === OWN) this.own()
    for (const name of NUMBERS) this.numbers[name][n] = row[name] ?? Number.NaN
    if (row.region !== null) this.regions ??= []
    if (row.months !== null) this.months ??= []
    if (this.regions) this.regions[n] = row.region
    if (this.months) this.months[n] = row.months
  }

  private own(): void {
    for (const text of JSON.parse(JSON.stringify(this.cut)) as string[]) this.texts.push(text)
    this.cut = []
  }

  /**
   * Hands everything on in batches of so many; it is empty then. What fits in one stays as it came, more is put in the
   * order of the phrases, of equal ones the later last.
   */
  *batches(most: number): Generator<PackedBatch> {
    this.own()
    const { texts, numbers, regions, months } = this
    const order = Uint32Array.from(texts, (_, n) => n)
    if (order.length > most) order.sort((a, b) => (texts[a]! < texts[b]! ? -1 : texts[a]! > texts[b]! ? 1 : 0))
    for (let from = 0; from < order.length; from += most) {
      const part = order.subarray(from, from + most)
      const column = (name: (typeof NUMBERS)[number]) => {
        const values = new Float64Array(part.length)
        const all = numbers[name]
        for (let i = 0; i < part.length; i++) values[i] = all[part[i]!]!
        return values
      }
      yield {
        // A phrase is in the form of its key: one line, whatever its cell held.
        phrases: Array.from(part, n => texts[n]!).join('\n'),
        volume: column('volume'),
        change: column('change'),
        competition: column('competition'),
        advertiser: column('advertiser'),
        regions: regions && Array.from(part, n => regions[n] ?? null),
        months: months && Array.from(part, n => months[n] ?? null),
      }
    }
    this.texts.length = 0
    this.regions = this.months = null
  }
}

export function unpackBatch({
  phrases,
  volume,
  change,
  competition,
  advertiser,
  regions,
  months,
}: PackedBatch): ListedPhrase[] {
  if (!volume.length) return []
  const orNull = (value: number) => (Number.isNaN(value) ? null : value)
  return phrases.split('\n').map((phrase, i) => ({
    phrase,
    volume: orNull(volume[i]!),
    change: orNull(change[i]!),
    competition: orNull(competition[i]!),
    advertiser: orNull(advertiser[i]!),
    region: regions?.[i] ?? null,
    months: months?.[i] ?? null,
  }))
}
