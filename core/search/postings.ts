import { eachWord } from '../text/words'

/** So many links, and such a part of all, stand before they are built in. */
const LOOSE = 200_000
const LOOSE_PART = 0.1

/** Postings as plain columns: the words by their numbers, their lists one after the other, and where each begins. */
export interface KeptPostings {
  words: string[]
  lists: Uint32Array<ArrayBuffer>
  listFrom: Uint32Array<ArrayBuffer>
}

/**
 * Which phrases hold which word: phrases are numbered, each word has an ascending list of numbers.
 * Most stands in a compact form, one array for all lists. New phrases, whose numbers are larger than all before,
 * are linked behind the lists of their words, and built in when there are many of them.
 */
export class Postings {
  private readonly wordIds = new Map<string, number>()
  /** Lists of the compact part: word w's phrases are `lists[listFrom[w]]` up to `lists[listFrom[w + 1]]`. */
  private lists = new Uint32Array(1024)
  private listFrom = new Uint32Array(1)
  /** What was added since: of each word the first and last link of a chain of phrases, plus one; 0 for none. */
  private first = new Uint32Array(256)
  private last = new Uint32Array(256)
  private linked = new Uint32Array(256)
  private nextLink = new Uint32Array(256)
  private links = 0
  size = 0

  /** @param loose so many links stand before they are built in. */
  constructor(private readonly loose = LOOSE) {}

  /** Adds a phrase. @returns its number, one more than the last. */
  add(text: string): number {
    const n = this.size++
    eachWord(text, norm => {
      let id = this.wordIds.get(norm)
      if (id === undefined) this.wordIds.set(norm, (id = this.wordIds.size))
      this.link(id, n)
    })
    if (this.links > Math.max(this.loose, LOOSE_PART * this.listFrom.at(-1)!)) this.build()
    return n
  }

  private link(word: number, n: number): void {
    while (word >= this.first.length) [this.first, this.last] = [grown(this.first), grown(this.last)]
    const before = this.last[word]!
    // A word that comes twice in a phrase counts once.
    if (before && this.linked[before - 1] === n) return
    if (this.links === this.linked.length) [this.linked, this.nextLink] = [grown(this.linked), grown(this.nextLink)]
    const at = this.links++
    this.linked[at] = n
    this.nextLink[at] = 0
    if (before) this.nextLink[before - 1] = at + 1
    else this.first[word] = at + 1
    this.last[word] = at + 1
  }

  /** Builds in what was added since, so that lists are read without being copied: after many were added at once. */
  compact(): void {
    if (this.links) this.build()
  }

  private linksOf(word: number): number {
    let count = 0
    for (let link = this.first[word] ?? 0; link; link = this.nextLink[link - 1]!) count++
    return count
  }

  /** Copies a word's chain behind what stands there. */
  private unchain(word: number, into: Uint32Array, at: number): void {
    for (let link = this.first[word] ?? 0; link; link = this.nextLink[link - 1]!) into[at++] = this.linked[link - 1]!
  }

  /**
   * Builds the chains into the lists, in their place: from the last word to the first each list moves up by what comes
   * before it.
   */
  private build(): void {
    const words = this.wordIds.size
    const from = new Uint32Array(words + 1)
    const old = (word: number) => (word < this.listFrom.length ? this.listFrom[word]! : this.listFrom.at(-1)!)
    for (let w = 0; w < words; w++) from[w + 1] = from[w]! + old(w + 1) - old(w) + this.linksOf(w)
    while (this.lists.length < from[words]!) this.lists = grown(this.lists)
    for (let w = words - 1; w >= 0; w--) {
      this.lists.copyWithin(from[w]!, old(w), old(w + 1))
      this.unchain(w, this.lists, from[w]! + old(w + 1) - old(w))
    }
    this.listFrom = from
    this.first.fill(0)
    this.last.fill(0)
    this.links = 0
  }

  /**
   * Everything as plain columns, to be saved: views of this object's arrays, valid until more is added. Call `compact`
   * first.
   */
  columns(): KeptPostings {
    return {
      words: [...this.wordIds.keys()],
      lists: this.lists.subarray(0, this.listFrom.at(-1)),
      listFrom: this.listFrom,
    }
  }

  /** The same as it was kept. @param size phrases that were added. */
  static from({ words, lists, listFrom }: KeptPostings, size: number): Postings {
    const postings = new Postings()
    for (const [id, word] of words.entries()) postings.wordIds.set(word, id)
    postings.lists = lists.length ? lists : new Uint32Array(1024)
    postings.listFrom = listFrom
    postings.size = size
    return postings
  }

  /** How many words there are. */
  get vocabularySize(): number {
    return this.wordIds.size
  }

  /** Every word with how many phrases hold it. */
  *words(): Generator<[norm: string, phrases: number]> {
    for (const [norm, id] of this.wordIds)
      yield [norm, (id + 1 < this.listFrom.length ? this.listFrom[id + 1]! - this.listFrom[id]! : 0) + this.linksOf(id)]
  }

  /** The words (normalised) that begin with these letters. */
  beginningWith(letters: string): string[] {
    return [...this.wordIds.keys()].filter(norm => norm.startsWith(letters))
  }

  /** Phrases that hold a word (normalised), ascending; to be read before more are added. */
  of(norm: string): Uint32Array {
    const id = this.wordIds.get(norm)
    if (id === undefined) return new Uint32Array(0)
    const base =
      id + 1 < this.listFrom.length ? this.lists.subarray(this.listFrom[id], this.listFrom[id + 1]) : new Uint32Array(0)
    const more = this.linksOf(id)
    if (!more) return base
    const all = new Uint32Array(base.length + more)
    all.set(base)
    this.unchain(id, all, base.length)
    return all
  }
}

function grown(array: Uint32Array<ArrayBuffer>): Uint32Array<ArrayBuffer> {
  const larger = new Uint32Array(array.length * 2)
  larger.set(array)
  return larger
}
