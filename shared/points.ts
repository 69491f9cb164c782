import { z } from 'zod'
import type { PointsRelation } from '../core/ranks/pointsAndOutcomes'
import { regionInput } from '../core/text/inputs'
import { workspaceInput } from './api/inputs'

export const pointsQuery = z.object({ workspace: workspaceInput, region: regionInput })

/** Whether points go with what became of one’s own videos. */
export interface PointsAnswer {
  /** Videos that are old enough and of which it is known what they are for. */
  videos: number
  sets: { id: string; name: string; outcomes: PointsRelation[] }[]
}
