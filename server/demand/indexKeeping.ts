import { inTurns } from '../threads/inTurns'
import type { IndexRows } from '../data/indexRows'
import type { KeptSnapshot } from './keptSnapshot'
import { regionName } from './languageIndex'
import type { PhraseIndex } from './phraseIndex'
import { writeSnapshot, type Section } from './snapshotFile'

/** Phrases whose figures are counted in one go. */
const COUNTED = 20_000

/** Work in steps that ends before its time, with `null`, when it is to be given up. */
function* unless<Result>(
  given: () => boolean,
  work: Generator<undefined, Result>,
): Generator<undefined, Result | null> {
  for (;;) {
    if (given()) return null
    const { done, value } = work.next()
    if (done) return value
    yield
  }
}

/**
 * Keeps an index of phrases beside the database: what is held in memory, what was kept before and nobody looked at
 * since, and regions that nobody has looked at yet, so that the first look at any of them need not read the tables.
 */
export class IndexKeeping {
  /** Regions with many figures; `null` while they are not counted. */
  private large: string[] | null = null
  /** Imports so far: what was counted while one came may lack its regions. */
  private imports = 0

  /** @param path of the file. @param least phrases, and figures of a region, that are worth being kept. */
  constructor(
    private readonly index: PhraseIndex,
    private readonly rows: Pick<IndexRows, 'countRange' | 'lastId'>,
    private readonly kept: KeptSnapshot,
    private readonly path: string,
    private readonly least: number,
  ) {}

  /** An import may have brought figures of other regions. */
  manyChanged(): void {
    this.large = null
    this.imports++
  }

  /** Whether something of the index is worth keeping and is not kept as it stands. */
  async isDue(): Promise<boolean> {
    if (this.index.size < this.least) return false
    if (this.kept.isBehind) return true
    await this.countLarge()
    const wanted = [...this.index.sections().map(({ name }) => name), ...this.ahead().map(({ name }) => name)]
    return wanted.some(name => !this.kept.holds(name))
  }

  /**
   * Writes the file.
   * @param mark what it is known by. @param given whether to give it up: the index is asked, or changes.
   * @returns whether it is written.
   */
  async keep(mark: string, given: () => boolean): Promise<boolean> {
    await this.countLarge()
    return this.kept.moveOn(mark, async () => !given() && writeSnapshot(this.path, mark, this.parts(given), given))
  }

  private async countLarge(): Promise<void> {
    while (!this.large) {
      const before = this.imports
      const found = await inTurns(this.largeRegions())
      if (before === this.imports) this.large = found
    }
  }
  private *largeRegions(): Generator<undefined, string[]> {
    const figures = new Map<string, number>()
    const last = this.rows.lastId.get() ?? 0
    for (let id = 1; id <= last; id += COUNTED) {
      for (const [region, n] of this.rows.countRange.iterate(id, id + COUNTED - 1))
        figures.set(region, (figures.get(region) ?? 0) + n)
      yield
    }
    return [...figures].filter(([, n]) => n >= this.least).map(([region]) => region)
  }

  /** The large regions of languages in memory. */
  private ahead() {
    return this.index
      .held()
      .filter(({ size }) => size >= this.least)
      .flatMap(language =>
        (this.large ?? []).map(region => ({ language, region, name: regionName(language.language, region) })),
      )
  }

  private async *parts(given: () => boolean): AsyncGenerator<Section, void> {
    const written = new Set<string>()
    for (const part of this.index.sections()) {
      written.add(part.name)
      yield part
    }
    for (const part of this.kept.copies(name => written.has(name))) {
      written.add(part.name)
      yield part
    }
    for (const { language, region, name } of this.ahead())
      if (!written.has(name)) {
        const part = await inTurns(unless(given, language.regionToKeep(region)))
        if (!part) return
        yield part
      }
  }
}
