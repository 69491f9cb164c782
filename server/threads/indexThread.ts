/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import { fitViews, type ViewsModel } from '../../core/rivals/upsets'
import { indexRows } from '../data/indexRows'
import { phraseStore } from '../data/phrases'
import { videoStore } from '../data/videos'
import { KeptSnapshot } from '../demand/keptSnapshot'
import { IndexKeeping } from '../demand/indexKeeping'
import { PhraseIndex } from '../demand/phraseIndex'
import { answerPhrases, type RowsQuestion } from '../demand/rows'

/**
 * The index of phrases in a thread of its own, over a connection that only reads. What a person changed is taken in
 * before the next question; what a long import changed is taken in between questions, and none waits for all of it.
 */
const { file, snapshot, least } = workerData as { file: string; snapshot: string; least: number }
const db = new Database(file, { readonly: true })
db.pragma('cache_size = -6000')
const kept = new KeptSnapshot(db, snapshot)
const index = new PhraseIndex(db, undefined, kept)
const keeping = new IndexKeeping(index, indexRows(db), kept, snapshot, least)
const phrases = phraseStore(db)

/**
 * What can be worked out before it is asked for is done when nothing has changed for a while, in small steps, so that
 * no question waits for it.
 */
const QUIET = 1500
let timer: NodeJS.Timeout | undefined
function wake(): void {
  clearTimeout(timer)
  timer = setTimeout(prepare, QUIET)
}
function prepare(): void {
  if (index.prepare()) timer = setTimeout(prepare, 0)
}

/** Counts what changes the index or reads it: what is being written stays as it is in between alone. */
let work = 0
function change(ids: Int32Array): void {
  work++
  kept.note(ids)
  index.changed(ids)
}

/** So many phrases changed at once are an import's. */
const MANY = 500
/** What imports changed, not taken in yet. Only that it changed is told: what is read then is what stands by then. */
const backlog: Int32Array[] = []
function takeIn(): void {
  const ids = backlog.shift()
  if (ids) change(ids)
  if (backlog.length) setImmediate(takeIn)
  else wake()
}

const videos = videoStore(db)
/** The model of views is fitted anew when a twentieth more videos are known. */
let model: { fitted: ViewsModel | null; videos: number } | null = null
const MODEL_GROWTH = 1.05

const thread = {
  viewsModel(): ViewsModel | null {
    const n = videos.count()
    if (!model || n > model.videos * MODEL_GROWTH) model = { fitted: fitViews([...videos.observed()]), videos: n }
    return model.fitted
  },
  /** Loads what the first question will want. @returns how many phrases there are. */
  load(language: string, region: string): number {
    work++
    const size = index.load(language, region)
    wake()
    return size
  },
  changed(ids: Int32Array): void {
    if (ids.length >= MANY) {
      keeping.manyChanged()
      if (backlog.push(ids) === 1) setImmediate(takeIn)
      return
    }
    change(ids)
    wake()
  },
  /** Whether something of the index is worth keeping and not kept. */
  isToKeep: (): Promise<boolean> => keeping.isDue(),
  /**
   * Writes the index beside the database. It gives way to whoever asks or changes something meanwhile.
   * @param mark what the file is known by. @returns whether it is written.
   */
  async keep(mark: string): Promise<boolean> {
    if (backlog.length) return false
    const began = work
    return keeping.keep(mark, () => work !== began)
  },
  /** Answers once nothing is left to be taken in. */
  async settled(): Promise<void> {
    while (backlog.length) await new Promise(resolve => setImmediate(resolve))
  },
  placesChanged(): void {
    work++
    index.placesChanged()
    wake()
  },
  /** The answer as JSON, ready to be sent, with the caps worked out anew. */
  answer(
    question: RowsQuestion,
    waited: number,
  ): { json: string; caps: { region: string; cap: number; known: number }[] } {
    work++
    const startedAt = performance.now() - waited
    const { caps, ...answer } = answerPhrases(index, phrases, question, startedAt)
    return { json: JSON.stringify({ ...answer, tookMs: performance.now() - startedAt }), caps }
  },
  /** The phrases alone, for what is done with many of them. */
  texts(question: RowsQuestion): string[] {
    work++
    return phrases.textsById(index.answer(question).ids)
  },
}
export type IndexThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
