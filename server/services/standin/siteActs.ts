import type { VideoSite } from '../contract'
import type { Answering } from './answering'
import type { Days } from './days'
import type { OpenWorld } from './openWorld'
import { ownPlaylists } from './ownPlaylists'
import { acting, siteAccount, siteOwners } from './owners'
import { siteReleases } from './releases'
import { siteUploads } from './uploads'

type Acts = Pick<
  VideoSite,
  'account' | 'authorise' | 'startUpload' | 'sendPart' | 'upload' | 'publish' | 'update' | 'savePlaylist'
>

/** What the owner of a channel does there. Each act is done whole or not at all, and once for each request id. */
export function siteActs(world: OpenWorld, how: Answering, days: Days): Acts {
  const act = acting(world, days)
  const owners = siteOwners(world)
  const { savePlaylist, ...playlists } = ownPlaylists(world, how, owners, act)
  return {
    ...siteAccount(owners, how),
    ...siteUploads(world, how, owners, act),
    ...siteReleases(world, how, owners, playlists, days, act),
    savePlaylist,
  }
}
