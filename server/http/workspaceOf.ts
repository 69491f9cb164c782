import type { Workspace } from '../../shared/workspace'
import type { Runtime } from '../runtime'
import { Problem } from './problem'

/** The workspace named, or the first. @throws Problem for an unknown one. */
export function workspaceOf({ workspaces }: Runtime, id: string | undefined): Workspace {
  const found = workspaces.get(id)
  if (!found) throw new Problem(404, 'no-such-workspace', 'This workspace no longer exists. Choose another at the top.')
  return found
}
