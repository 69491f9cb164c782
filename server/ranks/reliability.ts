import { group } from 'd3-array'
import { LEAST_VIDEOS } from '../../core/ranks/calibration'
import { rangesHeld, reliabilityOf } from '../../core/ranks/reliability'
import type { ReliabilityAnswer } from '../../shared/forecasts'
import type { ForecastStore } from '../data/forecasts'
import type { VideoDayStore } from '../data/videoDays'
import { outcomes, searchViews, type OutcomeDeps, type Recalibrations } from './forecasts'

/** Forecasts that are listed. */
const LISTED = 300

export interface ReliabilityDeps extends OutcomeDeps {
  forecasts: Pick<ForecastStore, 'ofVideos' | 'waiting'>
  recalibrations: Pick<Recalibrations, 'of'>
  videoDays: VideoDayStore
}

/** How often what was told of a workspace's videos came true. */
export function reliabilityAnswer(deps: ReliabilityDeps, workspace: string): ReliabilityAnswer {
  const { forecasts, recalibrations, videos } = deps
  const came = outcomes(deps, workspace)
  const byVideo = group(came, ({ video }) => video)
  // What a video wins is the sum over its phrases: no site tells views by phrase.
  const ranges = [...byVideo].flatMap(([video, list]) => {
    const known = list.flatMap(({ views }) => (views ? [views] : []))
    const won = known.length === list.length ? searchViews(deps, video, list[0]!.released) : null
    if (won === null) return []
    return [{ low: sum(known.map(([low]) => low)), high: sum(known.map(([, high]) => high)), came: won }]
  })
  const by = recalibrations.of(workspace)
  const videosOf = (learnt: boolean) =>
    new Set(came.filter(each => each.learnt === learnt).map(({ video }) => video)).size
  return {
    ...reliabilityOf(came),
    videos: byVideo.size,
    needed: LEAST_VIDEOS,
    waiting: forecasts.waiting(workspace),
    corrected: {
      fixed: { videos: videosOf(false), by: by.fixed ?? null },
      learnt: { videos: videosOf(true), by: by.learnt ?? null },
    },
    views: rangesHeld(ranges),
    rows: came
      .sort((a, b) => b.at - a.at)
      .slice(0, LISTED)
      .map(({ phrase, region, video, at, chance, rank, came: is }) => ({
        phrase,
        region: region || null,
        videoId: video,
        title: videos.video(video)?.title ?? video,
        at,
        chance,
        rank,
        came: is,
      })),
  }
}
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0)
