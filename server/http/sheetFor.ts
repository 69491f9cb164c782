import type { Runtime } from '../runtime'

/** The viewer of a sheet: the workspace's channel, its settings, and the places it knows. */
export function sheetFor({ places, workspaces }: Runtime, workspace: string | undefined) {
  const { own, settings } = workspaces.standing(workspace)
  return { own, settings, places: places.names() }
}
