import { join } from 'node:path'
import type { Kind } from '../shared/changes'
import { changes } from './changes'
import { places } from './folders'
import { accessStore, type AccessStore } from './data/accessKeys'
import { accountStore, type AccountStore } from './data/accountChannels'
import { briefTrayStore, type BriefTrayStore } from './data/briefTrays'
import { audienceStore, type AudienceStore } from './data/audiences'
import { briefReleaseStore, type BriefReleaseStore } from './data/briefReleases'
import { briefItemStore, type BriefItemStore } from './data/briefItems'
import { evidenceStore, type EvidenceStore } from './data/evidence'
import { briefStore, type BriefStore } from './data/briefs'
import { openUserFile, type Db } from './data/open'
import { outletVisits } from './data/outletVisits'
import { phraseStore, type PhraseStore } from './data/phrases'
import { rankStore, type RankStore } from './data/ranks'
import { watchStore, type WatchStore } from './data/watches'
import { RankWatch } from './ranks/rankWatch'
import { resultStore, type ResultStore } from './data/results'
import { listStore, type ListStore } from './data/lists'
import { playlistPageStore, type PlaylistPageStore } from './data/playlistPages'
import { pictureFolder, pictureStore, type PictureStore } from './data/pictures'
import { placeStore, type PlaceStore } from './data/places'
import { publicationStore, type PublicationStore } from './data/publications'
import { openOutgoing } from './release/publish'
import { sourceStore, type SourceStore } from './data/sources'
import { rivalSetStore, type RivalSetStore } from './data/rivalSets'
import { videoChangeStore, type VideoChangeStore } from './data/videoChanges'
import { videoDayStore, type VideoDayStore } from './data/videoDays'
import { videoStore, type VideoStore } from './data/videos'
import { workspaceItemStore, type WorkspaceItemStore } from './data/workspaceItems'
import { workspaceStore, type WorkspaceStore } from './data/workspaces'
import { SNAPSHOT, startSearch, type PhraseSearch } from './demand/search'
import { Jobs } from './jobs/jobs'
import { aimedStore, type AimedStore } from './data/aimed'
import { findableStore, type FindableStore } from './data/findables'
import { indexSnapshotStore } from './data/indexSnapshots'
import { forecastStore, type ForecastStore } from './data/forecasts'
import { linkForecasts, Recalibrations } from './ranks/forecasts'
import { Chances } from './rivals/chances'
import { channelSeriesStore, type ChannelSeriesStore } from './data/channelSeries'
import { editRunStore, type EditRunStore } from './data/editRuns'
import { earnedStore, type EarnedStore } from './data/earned'
import { plannedChangeStore, type PlannedChangeStore } from './data/plannedChanges'
import { trialStore, type TrialStore } from './data/trials'
import { putOffStore, type PutOffStore } from './data/putOff'
import { videoBriefStore, type VideoBriefStore } from './data/videoBriefs'
import { chanceModelStore } from './data/chanceModels'
import { startLearning } from './threads/startLearning'
import { startOverviews, type Overviews } from './threads/startOverviews'
import { startReading } from './threads/startReading'
import { startFileWork, type FileWork } from './threads/startFileWork'
import { startPictures, type PictureWork } from './threads/startPictures'
import { startEvidence, type EvidenceWork } from './threads/startEvidence'
import { startScoring, type Scoring } from './threads/startScoring'
import type { PageReader } from './rivals/pageReader'
import { askedStore, type AskedStore } from './data/asked'
import { attachedStore, type AttachedStore } from './data/attached'
import { dailyBackups, type DailyBackups } from './data/dailyBackups'
import { openingProblem } from './data/dataProblem'
import { retention } from './data/retention'
import { connectStandin } from './services/connect'
import { switchboard, type Switchboard } from './services/switchboard'

/** Everything a route works with, opened once. */
export interface Runtime {
  db: Db
  briefs: BriefStore
  briefItems: BriefItemStore
  briefTrays: BriefTrayStore
  briefReleases: BriefReleaseStore
  access: AccessStore
  accounts: AccountStore
  audiences: AudienceStore
  phrases: PhraseStore
  results: ResultStore
  videos: VideoStore
  workspaces: WorkspaceStore
  workspaceItems: WorkspaceItemStore
  rivalSets: RivalSetStore
  lists: ListStore
  places: PlaceStore
  playlistPages: PlaylistPageStore
  sources: SourceStore
  /** The index of phrases, in a thread of its own. */
  search: PhraseSearch
  /** Reads result pages, in a thread of its own. */
  reader: PageReader & { close: () => Promise<void> }
  /** What takes reading a whole channel, in a thread of its own. */
  overviews: Overviews
  /** What was learnt from the pages kept of how sites rank. */
  chances: Chances
  services: Switchboard
  /** The time by which ages of what was observed are counted, UTC milliseconds. */
  now: () => number
  attached: AttachedStore
  asked: AskedStore
  scoring: Scoring
  evidence: EvidenceStore
  /** Goes through the pages kept, in threads of its own. */
  evidenceWork: EvidenceWork
  fileWork: FileWork
  findables: FindableStore
  forecasts: ForecastStore
  aimed: AimedStore
  /** What came of forecasts corrects later ones. */
  recalibrations: Recalibrations
  pictures: PictureStore
  publications: PublicationStore
  ranks: RankStore
  channelSeries: ChannelSeriesStore
  editRuns: EditRunStore
  earned: EarnedStore
  plannedChanges: PlannedChangeStore
  trials: TrialStore
  putOff: PutOffStore
  videoBriefs: VideoBriefStore
  videoChanges: VideoChangeStore
  videoDays: VideoDayStore
  watches: WatchStore
  /** Looks watched pages up when they are due. */
  rankWatch: RankWatch
  outletVisits: ReturnType<typeof outletVisits>
  /** Where files wait until a site has all of them. */
  outgoing: string
  /** Unpacks, looks at and writes pictures, in a thread of its own. */
  pictureWork: PictureWork
  jobs: Jobs
  backups: DailyBackups
  /** The built entry of the threads that read files. */
  importThread: string
  /** Where uploads wait while they are read. */
  uploads: string
}

/**
 * Opens everything in the data folder.
 * @param isCurrent whether it is still what requests work with: what ends with its closing is no failure.
 * @throws DataProblem with what keeps it from being opened.
 */
export async function openAll(isCurrent: (opening: Runtime) => boolean): Promise<Runtime> {
  const { data, file, world, migrations, workers } = places()
  const limit = Number(process.env.FONETRA_DATA_LIMIT_MB ?? 0)
  const db = await openUserFile(file, { migrations, ...(limit ? { limitBytes: limit * 1024 * 1024 } : {}) })
  try {
    const changed =
      (kind: Kind) =>
      (ids: readonly number[], byPerson = false) => {
        search.changed(ids)
        if (kind === 'pages') chances.noted(ids)
        if (byPerson) changes.changed(kind)
      }
    const attached = attachedStore(db, join(data, 'service.key'))
    const services = switchboard(
      connectStandin(join(workers, 'standin.mjs'), world),
      attached.isNone() ? 'none' : attached.get(),
    )
    const phrases = phraseStore(db, services.now, changed('phrases'))
    const putCap: typeof phrases.putCap = (...cap) => {
      phrases.putCap(...cap)
    }
    const search = startSearch(join(workers, 'index.mjs'), file, putCap, indexSnapshotStore(db))
    const chances = new Chances(
      chanceModelStore(db, ids => {
        search.changed(ids)
      }),
      startLearning(join(workers, 'chance.mjs'), file),
      services.now,
    )
    const videos = videoStore(db)
    const asked = askedStore(db, services.now)
    const fileWork = startFileWork(join(workers, 'file.mjs'), file, join(data, SNAPSHOT))
    const briefItems = briefItemStore(db)
    const publications = publicationStore(db)
    const ranks = rankStore(db, () => {
      recalibrations.noted()
    })
    const forecasts = forecastStore(db)
    const recalibrations = new Recalibrations({ forecasts, ranks, videos })
    const opening: Runtime = {
      db,
      briefs: briefStore(db, Date.now, briefItems),
      briefItems,
      briefTrays: briefTrayStore(db),
      briefReleases: briefReleaseStore(db),
      access: accessStore(db),
      accounts: accountStore(db),
      audiences: audienceStore(db),
      phrases,
      results: resultStore(db, changed('pages')),
      videos,
      workspaces: workspaceStore(
        db,
        videos,
        services.now,
        (...of) => chances.ownValues(...of),
        workspace => recalibrations.of(workspace),
      ),
      workspaceItems: workspaceItemStore(db),
      rivalSets: rivalSetStore(db),
      lists: listStore(db, phrases),
      places: placeStore(db),
      playlistPages: playlistPageStore(db),
      sources: sourceStore(db, changed('phrases')),
      search,
      reader: startReading(join(workers, 'reading.mjs'), file),
      overviews: startOverviews(join(workers, 'overview.mjs'), file, search, services.now),
      chances,
      services,
      now: services.now,
      attached,
      asked,
      scoring: startScoring(join(workers, 'scoring.mjs')),
      evidence: evidenceStore(db),
      evidenceWork: startEvidence(join(workers, 'evidence.mjs'), file),
      fileWork,
      findables: findableStore(db),
      forecasts,
      aimed: aimedStore(db),
      recalibrations,
      publications,
      ranks,
      channelSeries: channelSeriesStore(db),
      editRuns: editRunStore(db),
      earned: earnedStore(db),
      plannedChanges: plannedChangeStore(db),
      trials: trialStore(db),
      putOff: putOffStore(db),
      videoBriefs: videoBriefStore(db),
      videoChanges: videoChangeStore(db),
      videoDays: videoDayStore(db),
      watches: watchStore(db, ranks),
      rankWatch: new RankWatch(
        () => opening,
        () => {
          changes.changed('ranks')
        },
      ),
      outletVisits: outletVisits(db),
      outgoing: openOutgoing(join(data, 'outgoing'), publications.sending()),
      pictures: pictureStore(pictureFolder(file)),
      pictureWork: startPictures(join(workers, 'picture.mjs')),
      jobs: new Jobs(db, () => {
        changes.changed('jobs')
      }),
      backups: dailyBackups(fileWork.copy, file, async () => {
        await retention(db).thin()
        await fileWork.removeUnusedPictures(Date.now())
      }),
      importThread: join(workers, 'import.mjs'),
      uploads: data,
    }
    asked.forgetOld()
    forecasts.settle()
    linkForecasts(opening)
    void opening.places.loadNames()
    opening.briefs.forgetOldEdits()
    chances.noted()
    opening.rankWatch.begin()
    // Ages are right from the first question on; a world that cannot be asked says so when it is.
    void services.clock().catch(() => undefined)
    // One that is closed while it loads is no failure.
    void search.load('en', '').catch((error: unknown) => {
      if (isCurrent(opening)) console.error('The index of phrases could not be loaded:', error)
    })
    return opening
  } catch (error) {
    db.close()
    throw openingProblem(error, file)
  }
}
