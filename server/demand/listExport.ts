import { csvLines, CSV_MARK } from '../../core/formats/csv'
import type { ListLine, ListPhrase } from '../../shared/lists'
import type { PhraseRow } from '../../shared/phrases'

/** Phrases written at once; the event loop is free in between. */
const BATCH = 500
const HEADERS = ['phrase', 'note', 'volume', 'change', 'videos', 'difficulty', 'worth', 'source']

type RowFor = (phrase: string) => PhraseRow | null

/** A list as CSV, which can be imported again as it is, in pieces. @param tell what is known of a phrase. */
export async function* listAsCsv(phrases: readonly ListPhrase[], rowFor: RowFor): AsyncGenerator<string> {
  yield CSV_MARK + csvLines([HEADERS])
  yield* inPieces(phrases, batch =>
    csvLines(
      batch.map(({ phrase, note }) => {
        const row = rowFor(phrase)
        return [
          phrase,
          note,
          row?.volume ?? null,
          row?.change ?? null,
          row?.competition ?? null,
          row?.difficulty ?? null,
          row?.worth.anyone ?? null,
          row?.source ?? null,
        ]
      }),
    ),
  )
}

/** A list as JSON, a phrase a line, in pieces. */
export async function* listAsJson(
  { name, note }: Pick<ListLine, 'name' | 'note'>,
  phrases: readonly ListPhrase[],
  rowFor: RowFor,
): AsyncGenerator<string> {
  yield `${JSON.stringify({ format: 1, kind: 'fonetra-list', name, note }).slice(0, -1)},"phrases":[`
  const line = (each: ListPhrase) => {
    const row = rowFor(each.phrase)
    const { volume = null, difficulty = null } = row ?? {}
    return JSON.stringify({
      phrase: each.phrase,
      note: each.note,
      volume,
      difficulty,
      worth: row?.worth.anyone ?? null,
    })
  }
  yield* inPieces(phrases, (batch, isFirst) => `${isFirst ? '' : ','}\n${batch.map(line).join(',\n')}`)
  yield '\n]}\n'
}

async function* inPieces(
  phrases: readonly ListPhrase[],
  write: (batch: readonly ListPhrase[], isFirst: boolean) => string,
): AsyncGenerator<string> {
  for (let from = 0; from < phrases.length; from += BATCH) {
    yield write(phrases.slice(from, from + BATCH), from === 0)
    await new Promise(resolve => setImmediate(resolve))
  }
}
