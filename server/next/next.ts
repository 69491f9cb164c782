import { handful, type Proposal } from '../../core/next/proposal'
import type { NextAnswer } from '../../shared/next'
import type { OpenPhraseStores } from '../ranks/openPhrases'
import { ofBriefs } from './briefs'
import { plannedDue } from './planned'
import { trialsDue } from './trials'
import { firstWeeksLow, phrasesToFilm, ranksFallen, wordsToMend } from './ranks'

type Stores = Parameters<typeof ofBriefs>[0] &
  Parameters<typeof ranksFallen>[0] &
  Parameters<typeof trialsDue>[0] &
  Parameters<typeof plannedDue>[0] &
  OpenPhraseStores

/** What is worth doing today over all briefs and videos of a workspace; from what is kept, nothing is asked. */
export async function nextAnswer(stores: Stores, workspace: string): Promise<NextAnswer> {
  const { videos, putOff, workspaces, now } = stores
  const { channelId, region } = workspaces.get(workspace)!
  const briefs = ofBriefs(stores, workspace)
  const own = new Set(channelId === null ? [] : videos.codesOfChannel(channelId))
  const of = { workspace, region: region ?? '', own }
  const fallen = await ranksFallen(stores, of)
  const words = await wordsToMend(stores, of)
  const low = channelId === null ? [] : await firstWeeksLow(stores, channelId)
  const film = await phrasesToFilm(stores, of)
  const trials = await trialsDue(stores, workspace)
  const all: Proposal[] = [
    ...briefs.proposals,
    ...plannedDue(stores, workspace),
    ...trials,
    ...fallen.proposals,
    ...low,
    ...words.proposals,
    ...film,
  ]
  const off = putOff.of(workspace, now())
  return {
    rows: handful(all.filter(({ key }) => !off.has(key))),
    off: all.filter(({ key }) => off.has(key)),
    looked: { briefs: briefs.looked, videos: own.size, ranks: fallen.looked, words: words.looked },
  }
}
