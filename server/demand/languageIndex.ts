import { intentOf, isQuestion } from '../../core/demand/intent'
import { INTENTS, type Intent } from '../../core/demand/intentNames'
import type { PlaceNames } from '../../core/demand/placeNames'
import type { WorthWeights } from '../../core/demand/worth'
import { Vocabulary } from '../../core/search/vocabulary'
import { Postings } from '../../core/search/postings'
import { wordCount } from '../../core/text/words'
import type { IndexRows } from '../data/indexRows'
import { keepLast } from './keepLast'
import { NO_INTENT, RegionColumns } from './regionColumns'
import type { Section } from './snapshotFile'

/** Texts read in one go. */
const STEP = 1000
/** Regions held at a time: of a million phrases each takes some sixty megabytes. */
const REGIONS = 8
/** The columns of phrases that are kept as they stand. */
const KEPT = ['numbers', 'ids', 'text', 'words', 'via', 'question'] as const
interface KeptMeta {
  size: number
  lastId: number
  base: number
  numbered: boolean
  words: string[]
}
/** An index as it was kept. */
export interface KeptIndex {
  /** @returns a part, and the phrases that changed since; `null` where it is not kept. */
  read: (name: string) => { section: Section; changed: Iterable<number> } | null
}
/** The part of a region. */
export const regionName = (language: string, key: string) => `${language}/${key}`
/** Figures read in one go. */
const FIGURES = 2000
/** The place among the texts of a phrase that has none yet: behind all others. */
const LATE = 0xfffffffe

/**
 * The phrases of one language. Numbers are given in the order of the texts, later ones as they come. The texts
 * themselves stay in the store: a million of them would take more memory than all else here.
 */
export class LanguageIndex {
  readonly postings: Postings
  /** A phrase's number by its id, plus one; 0 for none of this language. */
  numbers = new Uint32Array(1024)
  ids = new Uint32Array(1024)
  /**
   * Where a phrase stands among the others by text: odd for those loaded, in order; what came later stands between two.
   */
  text = new Uint32Array(1024)
  words = new Uint8Array(1024)
  via = new Uint8Array(1024)
  question = new Uint8Array(1024)
  intent = new Uint8Array(1024)
  /** The largest id, and the one up to which intents are classified. */
  private lastId = 0
  private intentsTold = 0
  /** So many stand in order, numbered so or not. */
  private base = 0
  private numbered = true
  private known: Vocabulary | null = null
  readonly regions = new Map<string, RegionColumns>()

  constructor(
    readonly language: string,
    private readonly rows: IndexRows,
    private places: PlaceNames,
    private readonly weights: WorthWeights,
    /** What was kept of it; read from the tables where there is nothing. */
    private readonly kept: KeptIndex | null = null,
  ) {
    const own = kept?.read(language)
    if (own) {
      this.postings = this.restore(own.section)
      for (const id of own.changed) {
        const row = rows.phrase.get(id)
        if (row?.[0] === language) this.refresh(id, row[1], row[2])
      }
      return
    }
    this.postings = new Postings()
    for (const [id, text] of rows.phrases.iterate(language)) this.add(id, text, 2 * this.base++ + 1)
    this.postings.compact()
    for (const [id, via] of rows.via.iterate(language)) this.via[this.numberOf(id)] = via
    // Whoever asks first for what is near does not wait for it.
    this.vocabulary()
  }

  private restore({ meta, columns }: Section): Postings {
    const { size, lastId, base, numbered, words } = meta as KeptMeta
    Object.assign(this, { lastId, base, numbered })
    for (const name of KEPT) Object.assign(this, { [name]: columns[name] })
    this.intent = new Uint8Array(this.ids.length)
    const { lists, listFrom } = columns as Record<string, Uint32Array<ArrayBuffer>>
    return Postings.from({ words, lists: lists!, listFrom: listFrom! }, size)
  }

  /** Its parts to save: views of its arrays, valid until something changes. */
  sections(): Section[] {
    this.postings.compact()
    const { words, ...postings } = this.postings.columns()
    const { size, lastId, base, numbered } = this
    const own: Section = {
      name: this.language,
      meta: { size, lastId, base, numbered, words } satisfies KeptMeta,
      columns: { ...postings, ...Object.fromEntries(KEPT.map(name => [name, this[name]])) },
    }
    return [own, ...[...this.regions].map(([key, region]) => this.regionSection(key, region))]
  }

  private regionSection(key: string, region: RegionColumns): Section {
    const { meta, columns } = region.section(this.size)
    return { name: regionName(this.language, key), meta: { figures: meta, base: this.base }, columns }
  }
  private restoreRegion(columns: RegionColumns, section: Section): void {
    const { figures, base } = section.meta as { figures: unknown; base: number }
    columns.restore({ ...section, meta: figures }, this.size)
    // Texts found their places since: among phrases searched alike the order is another.
    if (base !== this.base) columns.forget('last')
  }

  get size(): number {
    return this.postings.size
  }

  /** Made with the index, and anew when a twentieth more words are held. */
  vocabulary(): Vocabulary {
    const words = this.postings.vocabularySize
    if (!this.known || words > this.known.size * 1.05) this.known = new Vocabulary(this.postings.words(), this.language)
    return this.known
  }

  /** Whether numbers follow the order of the texts. */
  get inTextOrder(): boolean {
    return this.numbered && this.size === this.base
  }
  /** −1 for a phrase of another language, or none. */
  numberOf(id: number): number {
    return (this.numbers[id] ?? 0) - 1
  }
  private readonly numbersOf = (id: number) => this.numberOf(id)

  private add(id: number, text: string, at: number): number {
    const n = this.postings.add(text)
    if (n >= this.ids.length) {
      const room = this.ids.length * 2
      const more = <Kind extends Uint32Array | Uint8Array>(old: Kind): Kind => {
        const larger = new (old.constructor as new (length: number) => Kind)(room)
        larger.set(old)
        return larger
      }
      this.ids = more(this.ids)
      this.text = more(this.text)
      this.words = more(this.words)
      this.via = more(this.via)
      this.question = more(this.question)
      this.intent = more(this.intent)
    }
    if (id >= this.numbers.length) {
      const larger = new Uint32Array(Math.max(id + 1, this.numbers.length * 2))
      larger.set(this.numbers)
      this.numbers = larger
    }
    this.numbers[id] = n + 1
    this.ids[n] = id
    this.text[n] = at
    this.words[n] = Math.min(255, wordCount(text))
    this.question[n] = Number(isQuestion(text))
    this.lastId = Math.max(this.lastId, id)
    return n
  }

  /** Where a new text stands: right behind the one before it among those in order, as all new ones there do. */
  private after(text: string): number {
    const [id] = this.rows.before.get(this.language, text) ?? []
    if (id === undefined) return 0
    const n = this.numberOf(id)
    const at = n < 0 ? LATE : this.text[n]!
    return at + (at & 1)
  }

  /** Reads again what is known of a phrase, or takes in a new one. */
  refresh(id: number, text: string, via: number): void {
    let n = this.numberOf(id)
    if (n < 0) n = this.add(id, text, this.after(text))
    this.via[n] = via
    for (const region of this.regions.values()) {
      region.grow(this.size)
      region.refresh(this.rows, id, n)
    }
  }

  /**
   * The same for phrases whose ids follow one another; new ones find their place among the texts when it is asked for.
   */
  refreshRange(first: number, last: number): void {
    for (const [id, language, text, via] of this.rows.phraseRange.all(first, last)) {
      if (language === this.language)
        this.via[this.numberOf(id) < 0 ? this.add(id, text, LATE) : this.numberOf(id)] = via
    }
    for (const region of this.regions.values()) {
      region.grow(this.size)
      region.refreshRange(this.rows, first, last, this.numbersOf)
    }
  }

  /** Puts phrases that came later in their place among the texts, for sorting by them. */
  settleTexts(): void {
    if (this.size === this.base) return
    let at = 0
    for (const [id] of this.rows.inOrder.iterate(this.language)) {
      const n = this.numberOf(id)
      if (n >= 0) this.text[n] = 2 * at++ + 1
    }
    this.numbered = false
    for (const region of this.regions.values()) region.forget('')
    this.base = this.size
  }

  /** The searches everywhere, which stand beside every region. */
  everywhere(): RegionColumns {
    return this.regions.get('') ?? this.region('', true)
  }

  region(code: string, volumesAlone = false): RegionColumns {
    const key = volumesAlone ? `${code} volumes` : code
    let columns = this.regions.get(key)
    if (!columns) {
      columns = new RegionColumns(code, this.weights, volumesAlone)
      const own = this.kept?.read(regionName(this.language, key))
      if (own) this.restoreRegion(columns, own.section)
      else for (const step of this.readFigures(columns)) void step
      columns.loadPages(this.rows, this.numbersOf)
      for (const id of own?.changed ?? []) {
        const n = this.numberOf(id)
        if (n >= 0) columns.refresh(this.rows, id, n)
      }
    }
    columns.grow(this.size)
    // What is told of everywhere stands beside every region.
    keepLast(this.regions, key, columns, REGIONS, each => each === '' || each === ' volumes')
    return columns
  }

  /** Reads a region's figures from the tables, in steps. */
  private *readFigures(columns: RegionColumns): Generator<undefined, void> {
    columns.grow(this.size)
    for (let id = 1; id <= this.lastId; id += FIGURES) {
      columns.takeFigures(this.rows, id, id + FIGURES - 1, this.numbersOf)
      yield
    }
  }

  /** A region's part to save, read from the tables in steps. It is not held then, and its cap is not worked out. */
  *regionToKeep(code: string): Generator<undefined, Section> {
    const columns = new RegionColumns(code, this.weights)
    yield* this.readFigures(columns)
    return this.regionSection(code, columns)
  }

  /** What a phrase's wording asks for, `null` for nothing, `undefined` while that is not told. */
  wording(n: number): Intent | null | undefined {
    if (this.ids[n]! > this.intentsTold) return undefined
    return this.intent[n] === NO_INTENT ? null : INTENTS[this.intent[n]!]
  }

  classifyIntents(places: PlaceNames): void {
    this.places = places
    this.intentsTold = 0
  }

  /**
   * What each phrase's wording asks for, in the order of their ids and up to so many further.
   * @returns whether there is more to do.
   */
  tellIntents(most = Infinity): boolean {
    for (let left = most; left > 0 && this.intentsTold < this.lastId;) {
      const step = Math.min(left, STEP)
      const texts = this.rows.textsBetween.all(this.intentsTold, this.lastId, this.language, step)
      for (const [id, text] of texts) {
        const n = this.numberOf(id)
        if (n < 0) continue
        const found = intentOf(text, this.places, [], this.language)
        this.intent[n] = found ? INTENTS.indexOf(found.intent) : NO_INTENT
      }
      this.intentsTold = texts.length < step ? this.lastId : texts.at(-1)![0]
      left -= step
    }
    return this.intentsTold < this.lastId
  }
}
