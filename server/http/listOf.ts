import type { H3Event } from 'h3'
import type { ListLine } from '../../shared/lists'
import type { Runtime } from '../runtime'
import { Problem } from './problem'
import { paramOf } from './route'

export const noSuchList = () =>
  new Problem(404, 'no-such-list', 'This list no longer exists. Choose another in the Library.')

/** The phrase list the path names. @throws Problem when there is none. */
export function listOf(event: H3Event, { lists }: Runtime): ListLine {
  const list = lists.list(paramOf(event, 'id'))
  if (!list) throw noSuchList()
  return list
}
