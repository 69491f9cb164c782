import type { WorkspaceFacts } from '../data/workspaces'
import type { Runtime } from '../runtime'
import { Problem } from './problem'

/** The workspace named, or the first. @throws Problem for an unknown one. */
export function workspaceOf({ workspaces }: Runtime, id: string | undefined): WorkspaceFacts {
  const found = workspaces.get(id)
  if (!found) throw new Problem(404, 'no-such-workspace', 'This workspace no longer exists. Choose another at the top.')
  return found
}
