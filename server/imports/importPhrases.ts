import type { ImportProgress } from '../../shared/imports'
import type { ImportAnswer } from '../../shared/phrases'
import type { SourceFigure } from '../data/figures'
import type { PhraseStore } from '../data/phrases'
import { unpackBatch, type PackedBatch } from './listBatch'
import type { ListEvent } from './readList'
import { Refusals } from './refusals'
import { inDigits } from '../../core/text/inWords'

export type ImportResult =
  { kind: 'imported'; answer: ImportAnswer } | { kind: 'unknown-columns'; headers: string[]; sample: string[][] }

export interface ImportOptions {
  /** Where a line names no region: '' for everywhere. */
  region: string
  language: string
  /** The source's name, as figures will show it. */
  source: string
  /** Told the phrases of each batch once they are kept: for a list they go into. */
  into?: (texts: string[]) => void
  /** Ends it after the batch at work. */
  signal?: AbortSignal
  /** Told how far it is, after each batch. */
  report?: (progress: ImportProgress) => void
  now?: () => number
}

/** A batch's rows as figures; those that name no region tell of this one. */
const figuresOf = (batch: PackedBatch, region: string): SourceFigure[] =>
  unpackBatch(batch).map(({ phrase, volume, change, competition, advertiser, region: given, months }) => ({
    phrase,
    region: given ?? region,
    volume,
    change,
    competition,
    advertiser,
    months: months ?? undefined,
    keyed: true,
  }))

/**
 * Keeps the phrases of a list as they are read, in transactions of at most 2,000 rows with the
 * event loop free between them, so that an autosave never waits for the whole.
 *
 * @throws Error with a message for the user when the file cannot be read; what was written stays.
 */
export async function importPhrases(
  phrases: PhraseStore,
  events: AsyncIterable<ListEvent>,
  options: ImportOptions,
): Promise<ImportResult> {
  const { region, language, source, into, signal, report, now = Date.now } = options
  const refusals = new Refusals()
  const answer = { accepted: 0, updated: 0, columns: {} as Record<string, string> }
  const at = now()
  for await (const event of events) {
    if (event.kind === 'unknown-columns')
      return { kind: 'unknown-columns', headers: event.headers, sample: event.sample }
    if (event.kind === 'columns') {
      for (const [column, index] of Object.entries(event.map))
        answer.columns[column] = event.headers[index] ?? `column ${index + 1}`
      continue
    }
    if (event.kind === 'refused') {
      refusals.add(event.lines)
      continue
    }
    const figures = figuresOf(event.batch, region)
    const saved = phrases.save(figures, language, { name: source, kind: 'import' }, at)
    answer.accepted += saved.accepted
    answer.updated += saved.updated
    into?.(figures.map(each => each.phrase))
    report?.({ part: event.part, said: `${inDigits(answer.accepted + answer.updated)} phrases imported` })
    await new Promise(resolve => setImmediate(resolve))
    if (signal?.aborted) break
  }
  phrases.settle()
  return { kind: 'imported', answer: { ...answer, ...refusals.summary() } }
}
