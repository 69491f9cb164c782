import { fittingSnapshot, MOST_FOLLOWED } from '../data/indexSnapshots'
import type { Db } from '../data/open'
import type { KeptIndex } from './languageIndex'
import { openSnapshot, type Section, type SnapshotReader } from './snapshotFile'

/**
 * The index as it was kept beside the database, with the phrases that changed since: before this start as the tables
 * noted it, and from now on as `note` is told.
 */
export class KeptSnapshot implements KeptIndex {
  private reader: SnapshotReader | null = null
  private readonly since = new Set<number>()
  private names: ReadonlySet<string> = new Set()

  /** @param path where it is kept. */
  constructor(db: Db, path: string) {
    const fitting = fittingSnapshot(db)
    if (!fitting) return
    this.reader = openSnapshot(path, fitting.mark)
    this.names = new Set(this.reader?.names)
    for (const id of fitting.changed) this.since.add(id)
  }

  /** Whether phrases changed since it was kept. */
  get isBehind(): boolean {
    return this.since.size > 0
  }
  /** Whether a part of the index is kept. */
  holds = (name: string): boolean => this.names.has(name)
  /** Another file is there now. This one stays open: what was read of it goes on from here. */
  nowHolds(names: readonly string[]): void {
    this.names = new Set(names)
  }

  note(ids: Iterable<number>): void {
    if (!this.reader) return
    for (const id of ids) this.since.add(id)
    // To read so many again takes as long as to read all of them.
    if (this.since.size > MOST_FOLLOWED) this.close()
  }

  section(name: string): Section | null {
    return this.reader?.section(name) ?? null
  }
  changed(): Iterable<number> {
    return this.since
  }

  private close(): void {
    this.reader?.close()
    this.reader = null
    this.since.clear()
  }
}
