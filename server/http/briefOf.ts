import type { H3Event } from 'h3'
import type { Brief } from '../../shared/brief'
import type { Runtime } from '../runtime'
import { Problem } from './problem'
import { paramOf } from './route'

export const noSuchBrief = () =>
  new Problem(404, 'no-such-brief', 'This brief no longer exists. Choose another in the Library.')

/** The brief the path names. @throws Problem when there is none or it is deleted. */
export function briefOf(event: H3Event, { briefs }: Runtime): Brief {
  const brief = briefs.get(paramOf(event, 'id'))
  if (!brief || brief.deletedAt !== null) throw noSuchBrief()
  return brief
}
