import { parentPort } from 'node:worker_threads'
import { readArchive, type ArchiveEvent, type ArchiveQuestion } from '../archive/readArchive'
import { writeArchive } from '../archive/writeArchive'
import type { ColumnMap } from '../../core/formats/phraseList'
import { handedOver } from '../imports/listBatch'
import type { DayTableQuestion } from '../imports/readDayTable'
import { readDays, type DaysEvent } from '../imports/readDays'
import { readEarned, type EarnedEvent, type EarnedQuestion } from '../imports/readEarned'
import { readList, type ListEvent } from '../imports/readList'
import { readPages, type PagesEvent, type PagesQuestion } from '../imports/readPages'
import { readPlaces, type PlacesEvent, type PlacesQuestion } from '../imports/readPlaces'
import { giveWay } from './giveWay'

/** A file to be read, and what it is read as. */
export interface ImportQuestions {
  phrases: { file: string; columns: ColumnMap | null; ask?: boolean }
  pages: PagesQuestion
  places: PlacesQuestion
  days: DayTableQuestion
  earned: EarnedQuestion
  archive: ArchiveQuestion
  /** Not read but written: `file` is the data file. */
  archived: { file: string }
}
export interface ImportEvents {
  phrases: ListEvent
  pages: PagesEvent
  places: PlacesEvent
  days: DaysEvent
  earned: EarnedEvent
  archive: ArchiveEvent
  archived: { kind: 'piece'; bytes: Uint8Array }
}
export type ImportKind = keyof ImportQuestions

/**
 * What the thread says. It reads ahead of the one who writes, but never far: a file of any length takes little memory.
 */
export type ImportMessage =
  | { event: ImportEvents[ImportKind] }
  | { end: true }
  | { problem: string; /** Whether the thread itself ended by it. */ ended: boolean }

/**
 * As many phrases as are put in order at once: the next ones are read while these are written. Pages and videos are
 * larger.
 */
const AHEAD: Record<ImportKind, number> = {
  ...{ phrases: 100, pages: 8, places: 8, days: 8, earned: 8 },
  ...{ archive: 8, archived: 32 },
}

/** Messages to the thread: what to read, or that one of its events was taken. */
export type ImportOrder =
  { [Kind in ImportKind]: { kind: Kind; question: ImportQuestions[Kind] } }[ImportKind] | 'taken'

giveWay()
const port = parentPort!
let waiting = 0
let wake: (() => void) | undefined

function eventsOf({ kind, question }: Exclude<ImportOrder, 'taken'>): AsyncIterable<ImportEvents[ImportKind]> {
  switch (kind) {
    case 'phrases':
      return readList(question.file, question.columns, question.ask)
    case 'pages':
      return readPages(question)
    case 'places':
      return readPlaces(question)
    case 'days':
      return readDays(question)
    case 'earned':
      return readEarned(question)
    case 'archive':
      return readArchive(question)
    case 'archived':
      return writeArchive(question)
  }
}

async function run(order: Exclude<ImportOrder, 'taken'>): Promise<void> {
  waiting = 0
  const events = eventsOf(order)
  for await (const event of events) {
    port.postMessage({ event } satisfies ImportMessage, event.kind === 'batch' ? handedOver(event.batch) : [])
    waiting++
    while (waiting >= AHEAD[order.kind])
      await new Promise<void>(resolve => {
        wake = resolve
      })
  }
  port.postMessage({ end: true } satisfies ImportMessage)
}

port.on('message', (order: ImportOrder) => {
  if (order !== 'taken')
    return void run(order).catch((error: unknown) => {
      port.postMessage({ problem: (error as Error).message, ended: false } satisfies ImportMessage)
    })
  waiting--
  wake?.()
})
