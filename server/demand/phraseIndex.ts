import { INTENTS } from '../../core/demand/intentNames'
import { PlaceNames } from '../../core/demand/placeNames'
import type { WorthWeights } from '../../core/demand/worth'
import { WORTH_WEIGHTS } from '../../core/demand/worth'
import { Bits } from '../../core/search/bits'
import { intersectGroups } from '../../core/search/intersect'
import { atLeast, between, notAbove, withBit } from '../../core/search/scan'
import { mostWords, MOST_WORDS } from '../../core/search/mostWords'
import { nearSeed } from '../../core/search/near'
import { selectRange } from '../../core/search/selectRange'
import { listed } from '../../core/text/inWords'
import { phraseKey, words } from '../../core/text/words'
import { indexRows, type IndexRows } from '../data/indexRows'
import type { Db } from '../data/open'
import { keepLast } from './keepLast'
import { withoutChannel, type IndexAnswer, type IndexQuestion } from './indexQuestion'
import { LanguageIndex, type KeptIndex } from './languageIndex'
import { NO_INTENT, RISING, type RegionColumns } from './regionColumns'
import type { Section } from './snapshotFile'
import { lastKeys, sortKeys, sortName } from './sortKeys'

/**
 * So few hits are sorted outright. Of more, the first ones are found by walking down all phrases in the order wanted,
 * some steps at first: where hits stand far down, sorting up to so many of them is less work than walking to the end.
 */
const FEW = 1000
const STEPS = 60_000
const SORTED = 16_384
/** Sets of phrases kept: of seeds, and of filters. */
const CACHED = 48
/** Languages held at a time; one that was dropped is loaded again when it is asked for. */
const LANGUAGES = 6
/** So few phrases hold a seed's words that others near it are offered; so many of them. */
const HARDLY_ANY = 3
const NEAR = 12
/** Both kinds of source suggest a phrase. */
const BOTH = 3

/** So many phrases that changed at once are read as a range, if they are one. */
const RANGE = 32

/** Terms separated by commas, each as its words. */
const termsOf = (list: string | undefined) =>
  (list ?? '')
    .split(',')
    .map(term => words(term).map(word => word.norm))
    .filter(norms => norms.length)

/**
 * Phrases found by their words, filtered and sorted by any figure, from typed arrays in memory: half a
 * million hits take a few milliseconds. It reads the user's file through a connection that only
 * reads, and is told which phrases changed.
 */
export class PhraseIndex {
  private readonly rows: IndexRows
  private readonly languages = new Map<string, LanguageIndex>()
  /** A phrase that names one of them is looking near it. */
  private places: PlaceNames | null = null
  /** Sets of phrases by what makes them, each with the state of the index it was made in. */
  private readonly cached = new Map<string, { version: number; bits: Bits }>()
  private version = 0

  /** @param kept the index as it was kept; read from the tables where it was not. */
  constructor(
    db: Db,
    private readonly weights: WorthWeights = WORTH_WEIGHTS,
    private readonly kept: KeptIndex | null = null,
  ) {
    this.rows = indexRows(db)
  }

  /** Phrases in memory, of all languages. */
  get size(): number {
    return [...this.languages.values()].reduce((sum, { size }) => sum + size, 0)
  }
  /** The languages in memory. */
  held(): LanguageIndex[] {
    return [...this.languages.values()]
  }
  /** The parts to save: views of its arrays, valid until something changes or is asked. */
  sections(): Section[] {
    return [...this.languages.values()].flatMap(index => index.sections())
  }

  private language(code: string): LanguageIndex {
    const index =
      this.languages.get(code) ?? new LanguageIndex(code, this.rows, this.placeNames(), this.weights, this.kept)
    keepLast(this.languages, code, index, LANGUAGES)
    return index
  }

  placeNames(): PlaceNames {
    return (this.places ??= new PlaceNames(this.rows.places.all().map(([name]) => name)))
  }

  /** Reads the names of places again; intents are classified again. */
  placesChanged(): void {
    this.version++
    this.places = null
    for (const index of this.languages.values()) index.classifyIntents(this.placeNames())
  }

  /** Loads a language and a region before they are asked for. */
  load(language: string, region: string): number {
    const index = this.language(language)
    index.everywhere().settle(index.size, null)
    if (region) index.region(region).settle(index.size, null)
    return index.size
  }

  /** Takes in what changed of these phrases. */
  changed(ids: ArrayLike<number> & Iterable<number>): void {
    this.version++
    const [first, last] = [ids[0]!, ids[ids.length - 1]!]
    // New phrases get ids one after the other: they are read in one go, several times faster a row.
    if (ids.length >= RANGE && last - first === ids.length - 1) {
      for (const index of this.languages.values()) index.refreshRange(first, last)
      return
    }
    for (const id of ids) {
      const row = this.rows.phrase.get(id)
      // A language nobody has asked for yet is loaded whole when somebody does.
      if (row) this.languages.get(row[0])?.refresh(id, row[1], row[2])
    }
  }

  /** A step of what can be worked out before it is asked for. @returns whether there is more to do. */
  prepare(): boolean {
    let more = false
    for (const index of this.languages.values()) {
      index.vocabulary()
      more = index.tellIntents(4000) || more
    }
    return more
  }

  answer({ query: asked, looks, without, own, weights }: IndexQuestion): IndexAnswer {
    const query = own ? asked : withoutChannel(asked)
    const index = this.language(query.language)
    const region = index.region(query.region)
    const everywhere = index.everywhere()
    const caps = [...new Set([region, everywhere])].flatMap(each => {
      const news = each.settle(index.size, each === region ? own : null, weights ?? this.weights)
      return news ? [{ region: each.region, ...news }] : []
    })
    const seeds = query.seed.map((seed, i) => this.ofSeed(index, seed, looks[i] ?? null))
    const held = seeds.slice(1).reduce((all, each) => all.or(each), seeds[0]!.copy())
    const near = this.near(index, region, query, held)
    const passing = this.filtered(index, region, query, held)
    let withheld = 0
    for (const n of this.numbersOf(index, query.language, without))
      if (passing.has(n)) {
        passing.clear(n)
        withheld++
      }
    const total = passing.count()
    const from = query.offset
    const to = Math.min(total, from + query.limit)
    if (query.sort.column === 'phrase') index.settleTexts()
    const keys = sortKeys(index, region, everywhere, query)
    const items = total <= FEW ? passing.list(total) : this.first(index, region, query, passing, to, keys)
    const chosen = selectRange(items, [...keys, ...lastKeys(index, region)], from, to)
    return {
      total,
      withheld,
      ids: Array.from(chosen, n => index.ids[n]!),
      chances: Array.from(chosen, n => (own && !Number.isNaN(region.chance[n]!) ? region.chance[n]! : null)),
      near,
      wordings: Array.from(chosen, n => index.wording(n)),
      broughtBy: seeds.length > 1 ? Array.from(chosen, n => [...seeds.keys()].filter(i => seeds[i]!.has(n))) : [],
      cap: region.cap,
      caps,
    }
  }

  /** A set kept from an earlier question, unless something has changed since. */
  private set(index: LanguageIndex, key: string, make: () => Bits): Bits {
    const name = `${index.language} ${key}`
    const cached = this.cached.get(name)
    // What was asked for last is dropped last.
    this.cached.delete(name)
    const bits = cached?.version === this.version && cached.bits.size === index.size ? cached.bits : make()
    if (this.cached.size >= CACHED) this.cached.delete(this.cached.keys().next().value!)
    this.cached.set(name, { version: this.version, bits })
    return bits
  }

  /** Phrases that hold every one of some words; of `begun` ones a beginning is enough. */
  private holding(index: LanguageIndex, norms: readonly string[], begun = false): Bits {
    const whole = (norm: string) =>
      this.set(index, `word ${norm}`, () => new Bits(index.size).add(index.postings.of(norm)))
    const beginning = (norm: string) =>
      this.set(index, `begun ${norm}`, () =>
        index.postings
          .beginningWith(norm)
          .reduce((all, word) => all.add(index.postings.of(word)), new Bits(index.size)),
      )
    const word = begun ? beginning : whole
    const [first, ...others] = [...new Set(norms)]
    return others.reduce(
      (all, norm) => all.and(word(norm)),
      first === undefined ? new Bits(index.size) : word(first).copy(),
    )
  }

  /** Phrases that hold every word of a seed, and those of its look besides. */
  private ofSeed(index: LanguageIndex, seed: string, look: number | null): Bits {
    const norms = words(seed).map(word => word.norm)
    return this.set(index, `seed ${norms.join(' ')} ${look}`, () => {
      const hits = this.holding(index, norms)
      if (look !== null)
        for (const [id] of this.rows.ofLook.all(look)) {
          const n = index.numberOf(id)
          if (n >= 0) hits.set(n)
        }
      return hits
    })
  }

  /** Takes out what does not pass the filters. @param passing is changed, and given back. */
  private filtered(index: LanguageIndex, region: RegionColumns, query: IndexQuestion['query'], passing: Bits): Bits {
    const { minWords, maxWords, minVolume, maxDifficulty, questions, rising, both, block, season, intent } = query
    const { size } = index
    // Each set is kept under a name that tells it whole.
    const filter = (name: string, make: () => Bits) => {
      passing.and(this.set(index, name, make))
    }
    const inRegion = (name: string, make: () => Bits) => {
      filter(`${region.region} ${name}`, make)
    }
    const anyOf = (terms: string[][], begun: boolean) =>
      terms.map(norms => this.holding(index, norms, begun)).reduce((all, each) => all.or(each))
    const [contains, exclude] = [termsOf(query.contains), termsOf(query.exclude)]
    // Whoever looks for some words has seldom typed them to their ends; who does without some means those alone.
    if (contains.length) passing.and(anyOf(contains, true))
    if (exclude.length) passing.without(anyOf(exclude, false))
    if (minWords !== undefined || maxWords !== undefined) {
      const [least, most] = [minWords ?? 0, maxWords ?? 255]
      filter(`words ${least} ${most}`, () => between(index.words, least, most, size))
    }
    if (minVolume !== undefined)
      inRegion(`volume ${minVolume}`, () => atLeast(region.volume, region.volumeSteps, minVolume, size))
    // A phrase not assessed yet may still turn out easy: only a known difficulty rules it out. It stands as a 32-bit
    // float, and the bound is rounded alike.
    if (maxDifficulty !== undefined) {
      const most = Math.fround(maxDifficulty)
      inRegion(`difficulty ${most}`, () => notAbove(region.difficulty, most, size))
    }
    if (questions) filter('question', () => between(index.question, 1, 1, size))
    if (rising) inRegion('rising', () => between(region.direction, RISING, RISING, size))
    if (both) filter('both', () => between(index.via, BOTH, BOTH, size))
    if (block) inRegion('block', () => between(region.block, 1, 1, size))
    if (season) inRegion(`season ${season}`, () => withBit(region.peaks, 1 << (season - 1), size))
    if (intent) {
      index.tellIntents()
      const wanted = INTENTS.indexOf(intent)
      // The wording takes precedence over the results.
      inRegion(`intent ${intent}`, () =>
        between(index.intent, NO_INTENT, NO_INTENT, size)
          .and(between(region.intent, wanted, wanted, size))
          .or(between(index.intent, wanted, wanted, size)),
      )
    }
    return passing
  }

  /** What else the seeds may have meant, where hardly any phrase holds their words. */
  private near(
    index: LanguageIndex,
    region: RegionColumns,
    { seed, offset }: IndexQuestion['query'],
    held: Bits,
  ): { id: number; why: string; seed: number }[] {
    if (offset > 0) return []
    const found = seed.flatMap((each, i) => this.nearSeed(index, region, each, held).map(one => ({ ...one, seed: i })))
    return [...new Map(found.map(each => [each.id, each])).values()].slice(0, NEAR)
  }

  private nearSeed(
    index: LanguageIndex,
    region: RegionColumns,
    seed: string,
    held: Bits,
  ): { id: number; why: string }[] {
    const norms = words(seed).map(word => word.norm)
    if (norms.length > MOST_WORDS) return []
    const lists = (groups: readonly string[][]) => groups.map(group => group.map(norm => index.postings.of(norm)))
    // The sets of its words are there already: the seed itself was looked up by them.
    if (this.holding(index, norms).count() > HARDLY_ANY) return []
    const found = new Map<number, string>()
    /** Takes the most searched that were not found before. @returns whether there are enough. */
    const take = (numbers: Uint32Array, why: string) => {
      // Those found before may come again, and first.
      for (const n of selectRange(held.missing(numbers), lastKeys(index, region), 0, NEAR + found.size))
        if (found.size < NEAR && !found.has(n)) found.set(n, why)
      return found.size >= NEAR
    }
    const { readings, words: corrected, changes } = nearSeed(norms, index.vocabulary())
    const enough = readings.some(({ groups, why }) => take(intersectGroups(lists(groups)), why))
    if (!enough && norms.length > 1)
      for (const { left, numbers } of mostWords(lists(corrected), index.size)) {
        const changed = changes.filter((change, at) => change && !left.includes(at))
        const without = `without ${listed(left.map(at => `“${norms[at]!}”`))}`
        if (take(numbers, [...changed, without].join(', '))) break
      }
    return [...found].map(([n, why]) => ({ id: index.ids[n]!, why }))
  }

  private numbersOf(index: LanguageIndex, language: string, phrases: readonly string[]): Set<number> {
    return new Set(
      phrases
        .flatMap(phrase => {
          const id = this.rows.idOf.get(language, phraseKey(phrase))
          return id ? [index.numberOf(id[0])] : []
        })
        .filter(n => n >= 0),
    )
  }

  /**
   * Enough of those that pass to hold the first ones in the order wanted: the walk down all phrases in that order ends
   * as soon as it has met them, and those that changed since the order was made are added.
   */
  private first(
    index: LanguageIndex,
    region: RegionColumns,
    query: IndexQuestion['query'],
    passing: Bits,
    to: number,
    keys: ReturnType<typeof sortKeys>,
  ): Uint32Array {
    // Where numbers follow the texts the first ones in that order stand at an end.
    if (query.sort.column === 'phrase' && index.inTextOrder) return passing.list(to, query.sort.direction === 'desc')
    const order = region.order(sortName(query), index, keys, lastKeys(index, region))
    // Those that changed since, or came since, may stand anywhere: they are met apart.
    const loose: number[] = []
    for (const n of order.changed)
      if (passing.has(n)) {
        loose.push(n)
        passing.clear(n)
      }
    for (let n = order.sorted.length; n < index.size; n++)
      if (passing.has(n)) {
        loose.push(n)
        passing.clear(n)
      }
    const total = passing.count()
    let found = passing.firstOf(order.sorted, to, total > SORTED ? undefined : STEPS)
    if (found.length < Math.min(to, total) && total <= SORTED) found = passing.list(total)
    const items = new Uint32Array(found.length + loose.length)
    items.set(found)
    items.set(loose, found.length)
    return items
  }
}
