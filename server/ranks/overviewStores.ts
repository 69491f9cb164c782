import { accountStore } from '../data/accountChannels'
import { aimedStore } from '../data/aimed'
import { briefItemStore } from '../data/briefItems'
import { briefReleaseStore } from '../data/briefReleases'
import { briefStore } from '../data/briefs'
import { chanceModelStore } from '../data/chanceModels'
import { channelSeriesStore } from '../data/channelSeries'
import { earnedStore } from '../data/earned'
import { forecastStore } from '../data/forecasts'
import type { Db } from '../data/open'
import { phraseStore } from '../data/phrases'
import { pictureFolder, pictureStore } from '../data/pictures'
import { placeStore } from '../data/places'
import { plannedChangeStore } from '../data/plannedChanges'
import { publicationStore } from '../data/publications'
import { putOffStore } from '../data/putOff'
import { rankStore } from '../data/ranks'
import { resultStore } from '../data/results'
import { trialStore } from '../data/trials'
import { videoBriefStore } from '../data/videoBriefs'
import { videoChangeStore } from '../data/videoChanges'
import { videoDayStore } from '../data/videoDays'
import { videoStore } from '../data/videos'
import { watchStore } from '../data/watches'
import { workspaceItemStore } from '../data/workspaceItems'
import { workspaceStore } from '../data/workspaces'
import { LearntModels } from '../rivals/learntModels'
import { Recalibrations } from './forecasts'

/**
 * What overviews are read from, by a connection that writes nothing, where others write meanwhile.
 *
 * @param file the user's, beside which pictures are kept. @param now the services' time.
 * @returns the stores, with what they remember read anew where something was written since the last time.
 */
export function overviewStores(db: Db, file: string, now: () => number) {
  const learnt = new LearntModels(chanceModelStore(db))
  const ranks = rankStore(db)
  const videos = videoStore(db)
  const recalibrations = new Recalibrations({ forecasts: forecastStore(db), ranks, videos })
  const briefItems = briefItemStore(db)
  const stores = {
    accounts: accountStore(db),
    aimed: aimedStore(db),
    briefItems,
    briefReleases: briefReleaseStore(db),
    briefs: briefStore(db, Date.now, briefItems),
    chances: learnt,
    channelSeries: channelSeriesStore(db),
    earned: earnedStore(db),
    phrases: phraseStore(db, now),
    pictures: pictureStore(pictureFolder(file)),
    places: placeStore(db),
    plannedChanges: plannedChangeStore(db),
    publications: publicationStore(db),
    putOff: putOffStore(db),
    ranks,
    results: resultStore(db),
    trials: trialStore(db),
    videoBriefs: videoBriefStore(db),
    videoChanges: videoChangeStore(db),
    videoDays: videoDayStore(db),
    videos,
    watches: watchStore(db, ranks),
    workspaceItems: workspaceItemStore(db),
    workspaces: workspaceStore(
      db,
      videos,
      now,
      (...of) => learnt.ownValues(...of),
      workspace => recalibrations.of(workspace),
    ),
    now,
  }
  const version = () => db.pragma('data_version', { simple: true })
  let seen = version()
  return () => {
    const is = version()
    if (is !== seen) {
      seen = is
      learnt.load()
      recalibrations.noted()
      stores.places = placeStore(db)
    }
    return stores
  }
}
export type OverviewStores = ReturnType<ReturnType<typeof overviewStores>>
