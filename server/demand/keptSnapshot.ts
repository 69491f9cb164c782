import { fittingSnapshot, MOST_FOLLOWED } from '../data/indexSnapshots'
import type { Db } from '../data/open'
import type { KeptIndex } from './languageIndex'
import { openSnapshot, type Section, type SnapshotReader } from './snapshotFile'

/** The column of a part in which the phrases stand that changed before it was copied from an earlier file. */
const BEHIND = 'behind'

/**
 * The index as it was kept beside the database, with the phrases that changed since: before this start as the tables
 * noted it, and from now on as `note` is told.
 */
export class KeptSnapshot implements KeptIndex {
  private reader: SnapshotReader | null = null
  private since = new Set<number>()
  /** What changed since another file was begun. */
  private sinceBegun: Set<number> | null = null

  /** @param path where it is kept. */
  constructor(
    db: Db,
    private readonly path: string,
  ) {
    const fitting = fittingSnapshot(db)
    if (!fitting) return
    this.reader = openSnapshot(path, fitting.mark)
    for (const id of fitting.changed) this.since.add(id)
  }

  /** Whether phrases changed since it was kept. */
  get isBehind(): boolean {
    return this.since.size > 0
  }
  /** Whether a part of the index is kept. */
  holds = (name: string): boolean => this.reader?.names.includes(name) ?? false

  /**
   * Has another file written, and goes on with that.
   * @param mark the other file's. @param write says whether it is written.
   */
  async moveOn(mark: string, write: () => Promise<boolean>): Promise<boolean> {
    const sinceBegun = (this.sinceBegun = new Set<number>())
    try {
      if (!(await write())) return false
    } finally {
      this.sinceBegun = null
    }
    this.reader?.close()
    this.reader = openSnapshot(this.path, mark)
    this.since = sinceBegun
    return true
  }

  note(ids: Iterable<number>): void {
    for (const id of ids) {
      if (this.reader) this.since.add(id)
      this.sinceBegun?.add(id)
    }
    // To read so many again takes as long as to read all of them.
    if (this.since.size > MOST_FOLLOWED) this.close()
  }

  read(name: string): { section: Section; changed: Iterable<number> } | null {
    if (!this.holds(name)) return null
    const found = this.reader?.section(name)
    if (!found) {
      // Other parts count phrases as this one did.
      this.close()
      return null
    }
    const { [BEHIND]: behind, ...columns } = found.columns
    return { section: { ...found, columns }, changed: new Set([...(behind ?? []), ...this.since]) }
  }

  /** The parts that another file takes over, with what changed since: those that are not held in memory. */
  *copies(isHeld: (name: string) => boolean): Generator<Section, void> {
    for (const name of this.reader?.names ?? []) {
      const part = isHeld(name) ? null : this.read(name)
      const behind = Uint32Array.from(part?.changed ?? [])
      if (part && behind.length <= MOST_FOLLOWED)
        yield { ...part.section, columns: { ...part.section.columns, [BEHIND]: behind } }
    }
  }

  private close(): void {
    this.reader?.close()
    this.reader = null
    this.since.clear()
  }
}
