import { fitCalibration, type Outcome } from '../../core/ranks/calibration'
import { MODEL_VERSION } from '../../core/modelVersion'
import { rankDay } from '../../core/ranks/standing'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import { viewsToWin } from '../../core/rivals/winnings'
import { phraseKey } from '../../core/text/words'
import { uncorrected, type Corrections } from '../../core/chance/recalibrated'
import type { Brief } from '../../shared/brief'
import type { BriefStore } from '../data/briefs'
import type { ForecastStore, KeptForecast, ToldForecast } from '../data/forecasts'
import type { PhraseStore } from '../data/phrases'
import type { RankStore } from '../data/ranks'
import type { ResultStore } from '../data/results'
import type { VideoDayStore } from '../data/videoDays'
import type { VideoStore } from '../data/videos'
import type { WorkspaceStore } from '../data/workspaces'
import type { OwnStanding } from '../demand/regionColumns'
import type { LearntModels } from '../rivals/learntModels'
import { pageForecast } from '../rivals/pageForecast'
import { videoOfBrief } from './videoOfBrief'

export interface ForecastDeps {
  chances?: Pick<LearntModels, 'hurdles' | 'hurdlesAsRead'>
  forecasts: ForecastStore
  phrases: Pick<PhraseStore, 'known' | 'textsById'>
  results: Pick<ResultStore, 'latest' | 'effective' | 'seats'>
  workspaces: Pick<WorkspaceStore, 'standing'>
  now: () => number
}

/** What is foretold of a phrase now; `null` where its page or the channel is not known. */
export function foretold(
  deps: Pick<ForecastDeps, 'chances' | 'phrases' | 'results'>,
  phrase: string,
  { region, language }: { region: string; language: string },
  own: OwnStanding,
  shares: readonly number[] | undefined,
): Omit<KeptForecast, 'moment' | 'at'> | null {
  const known = deps.phrases.known(phraseKey(phrase), region, language)
  const page = known && deps.results.latest(known.id, region)
  if (!known || !page?.complete) return null
  const told = pageForecast(deps, page, own, { phrase, language })
  if (!told.ahead) return null
  const { recalibration } = told.hurdles ? own.learnt![region]! : own.spread
  const views = viewsToWin(known.volume, told.ahead, shares)
  return {
    phraseId: known.id,
    region,
    chance: told.ahead.pageOne,
    raw: uncorrected(recalibration, told.ahead.pageOne),
    ranks: told.ahead.likely,
    views: views && [views.low, views.high],
    difficulty: known.difficulty,
    pageAt: page.at,
    source: page.source,
    learnt: told.hurdles !== null,
    model: MODEL_VERSION,
  }
}

/**
 * Keeps what is foretold of a brief's phrases now: of each the first time at a moment. Where nothing is foretold yet
 * nothing is kept.
 */
export function keepForecasts(deps: ForecastDeps, brief: Brief, moment: KeptForecast['moment']): void {
  const { own, settings } = deps.workspaces.standing(brief.workspaceId)
  const { lead, support } = brief.fields.tray
  if (!own || !lead) return
  const { language } = brief.fields
  const region = brief.fields.region ?? ''
  for (const phrase of [lead, ...support]) {
    const known = deps.phrases.known(phraseKey(phrase), region, language)
    if (!known || deps.forecasts.has(brief.id, known.id, region, moment)) continue
    const told = foretold(deps, phrase, { region, language }, own, settings.shares)
    if (told)
      deps.forecasts.put(
        { workspace: brief.workspaceId, brief: brief.id, video: null },
        { ...told, moment, at: deps.now() },
      )
  }
}

/** Forecasts of briefs that were handed over by hand belong to the videos whose addresses these name. */
export function linkForecasts(
  deps: Parameters<typeof videoOfBrief>[0] & { forecasts: ForecastStore; briefs: Pick<BriefStore, 'get'> },
): void {
  for (const id of deps.forecasts.briefsNamed()) {
    const brief = deps.briefs.get(id)
    const video = brief && videoOfBrief(deps, brief)
    if (video) deps.forecasts.out(id, video)
  }
}

/** Days after the release whose rank counts, and how much later it may have been looked up. */
export const OUTCOME_DAYS = 28
export const OUTCOME_LATER = 14
/** Days over which views are won. */
const WIN_DAYS = 90
const LEAST_KNOWN = 0.8

/** A forecast and what came. */
export interface CameOf extends ToldForecast {
  /** When its video came out, UTC milliseconds. */
  released: number
  /** The rank it had then; `null` where it was beyond what was read. */
  rank: number | null
  came: boolean
}
export interface OutcomeDeps {
  forecasts: Pick<ForecastStore, 'ofVideos'>
  ranks: Pick<RankStore, 'of'>
  videos: Pick<VideoStore, 'video'>
}

/**
 * Forecasts of a workspace of which it is known what came: where the video stood 28 days after its release, or up to
 * two weeks later. Of several for a phrase the last one before the release counts; what is told of a video that is out
 * is no forecast.
 */
export function outcomes({ forecasts, ranks, videos }: OutcomeDeps, workspace: string): CameOf[] {
  const found: CameOf[] = []
  const seen = new Set<string>()
  let video = ''
  let released: number | null = null
  let series = new Map<string, { day: number; rank: number | null; depth: number }[]>()
  for (const told of forecasts.ofVideos(workspace)) {
    if (told.video !== video) {
      video = told.video
      released = videos.video(video)?.published_at ?? null
      series =
        released === null
          ? new Map()
          : new Map(
              ranks
                .of({
                  video,
                  kind: 'site',
                  from: rankDay(released) + OUTCOME_DAYS,
                  to: rankDay(released) + OUTCOME_DAYS + OUTCOME_LATER,
                })
                .map(each => [`${each.phrase}\n${each.region}`, each.days]),
            )
    }
    const key = `${told.video}\n${told.phrase}\n${told.region}`
    if (released === null || told.at > released || seen.has(key)) continue
    const day = series.get(`${told.phrase}\n${told.region}`)?.find(({ depth }) => depth >= PAGE_SEATS)
    if (!day) continue
    seen.add(key)
    found.push({ ...told, released, rank: day.rank, came: day.rank !== null && day.rank <= PAGE_SEATS })
  }
  return found
}

/** Ranks come by the thousand while pages are looked up: what follows from them is worked out so often at most. */
const ANEW_MS = 60_000

/** How chances are to be corrected by what came of earlier ones, worked out anew some time after ranks came. */
export class Recalibrations {
  private readonly known = new Map<string, { found: Corrections; at: number; stale: boolean }>()

  /** @param anewAfter milliseconds that what was worked out holds at least. */
  constructor(
    private readonly deps: OutcomeDeps,
    private readonly anewAfter = ANEW_MS,
  ) {}

  /** `undefined` within while too few videos of a workspace are known. */
  of(workspace: string): Corrections {
    const known = this.known.get(workspace)
    if (known && !(known.stale && Date.now() - known.at >= this.anewAfter)) return known.found
    const came = outcomes(this.deps, workspace)
    const fit = (learnt: boolean) =>
      fitCalibration(
        came.filter(each => each.learnt === learnt).map(({ video, raw, came }): Outcome => ({ video, raw, came })),
      ) ?? undefined
    const found = { fixed: fit(false), learnt: fit(true) }
    this.known.set(workspace, { found, at: Date.now(), stale: false })
    return found
  }

  /** Ranks came, or a video did. */
  noted(): void {
    for (const known of this.known.values()) known.stale = true
  }
}

/** Views from search over the first ninety days of a video; `null` where too few of them are known. */
export function searchViews(
  { videoDays }: { videoDays: VideoDayStore },
  video: string,
  released: number,
): number | null {
  const from = rankDay(released)
  const told = videoDays.of(video, from, from + WIN_DAYS).flatMap(({ search }) => search ?? [])
  return told.length >= LEAST_KNOWN * WIN_DAYS ? (told.reduce((a, b) => a + b, 0) * WIN_DAYS) / told.length : null
}
