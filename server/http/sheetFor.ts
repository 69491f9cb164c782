import type { Runtime } from '../runtime'

/** The viewer of a sheet: the workspace's channel, its settings, and the places it knows. */
export function sheetFor({ chances, places, workspaces }: Runtime, workspace: string | undefined) {
  const { own, settings, workspace: home } = workspaces.standing(workspace)
  const channel = home ? { id: home.channelId, subscribers: home.subscribers } : undefined
  return { own, settings, places: places.names(), chances, channel }
}
