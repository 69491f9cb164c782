/// <reference path="./comlink-node.d.ts" />
import Database from 'better-sqlite3'
import * as Comlink from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { parentPort, workerData } from 'node:worker_threads'
import type { PhraseSearch } from '../demand/search'
import { nextAnswer } from '../next/next'
import { channelRanks } from '../ranks/channelRanks'
import { earnedAnswer } from '../ranks/earned'
import { filmingPlanOf } from '../ranks/filmingPlan'
import { leadingOnOf } from '../ranks/leadingOn'
import { openPhrasesOf } from '../ranks/openPhrases'
import { outVideosOf } from '../ranks/outVideos'
import { overviewStores, type OverviewStores } from '../ranks/overviewStores'
import { giveWay } from './giveWay'

// What reads a whole channel takes its time: it is done beside the server, which goes on answering, by a connection of
// its own that writes nothing.
const { file } = workerData as { file: string }
const db = new Database(file, { readonly: true })
db.pragma('cache_size = -48000')

/** How far the services' time is ahead of this machine's. */
let ahead = 0
const stores = overviewStores(db, file, () => Date.now() + ahead)

type Stores = OverviewStores & { search: Pick<PhraseSearch, 'answer'> }

/** What can be asked, each of a workspace. */
const overviews = {
  next: nextAnswer,
  earned: earnedAnswer,
  filmingPlan: filmingPlanOf,
  leadingOn: leadingOnOf,
  openPhrases: openPhrasesOf,
  outVideos: outVideosOf,
  channelRanks: ({ channelSeries }: Stores, _: string, question: Parameters<typeof channelRanks>[1]) =>
    channelRanks(channelSeries, question),
} satisfies Record<string, (stores: Stores, workspace: string, ...more: never[]) => unknown>

export type OverviewName = keyof typeof overviews
/** What is asked beside the workspace. */
export type OverviewAsked<Name extends OverviewName> =
  Parameters<(typeof overviews)[Name]> extends [unknown, unknown, ...infer More] ? More : []

const thread = {
  /**
   * An overview as JSON.
   * @param at the services' time. @param search asks the index of phrases.
   */
  async tell<Name extends OverviewName>(
    name: Name,
    at: number,
    search: PhraseSearch['answer'],
    workspace: string,
    more: OverviewAsked<Name>,
  ): Promise<string> {
    ahead = at - Date.now()
    const overview = overviews[name] as (stores: Stores, workspace: string, ...more: unknown[]) => unknown
    try {
      return JSON.stringify(await overview({ ...stores(), search: { answer: search } }, workspace, ...more))
    } finally {
      ;(search as unknown as Comlink.Remote<PhraseSearch['answer']>)[Comlink.releaseProxy]()
    }
  },
}
export type OverviewThread = typeof thread

Comlink.expose(thread, nodeEndpoint(parentPort!))
giveWay()
