import { inZone } from '../../core/release/inZone'
import { leftOf, readiness } from '../../core/release/readiness'
import { LOOKED_BACK, usualAnswers } from '../../core/release/usual'
import { pictureName } from '../../core/thumbnail/picture'
import { DEFAULT_PROFILE } from '../../core/draft/limits'
import type { Brief } from '../../shared/brief'
import type { ReadinessAnswer } from '../../shared/release'
import { playlistsOf } from '../desk/playlistsOf'
import { knownProfile } from '../http/scoring'
import type { Runtime } from '../runtime'
import type { AccountLook } from '../../shared/release'

type Stores = Pick<
  Runtime,
  'briefItems' | 'briefReleases' | 'pictures' | 'publications' | 'workspaces' | 'workspaceItems' | 'now'
>

/** How far a brief is from its release. @param account what the account may do for its channel. */
export function readinessAnswer(
  stores: Stores,
  { id, workspaceId, fields }: Brief,
  { channel, told, problem }: AccountLook,
): ReadinessAnswer {
  const { briefItems, briefReleases, pictures, publications, workspaces, workspaceItems, now } = stores
  const { checklist } = workspaces.settings(workspaceId)
  const { timeZone } = workspaces.get(workspaceId)!
  const playlists = playlistsOf(workspaceItems, workspaceId, id).map(({ title }) => title)
  const kept = [fields.thumbnail, ...briefItems.list(id, 'thumbnail').map(({ value }) => value)]
    .filter(picture => picture !== null)
    .filter(picture => pictures.find(pictureName(picture)) !== null)
    .map(({ hash }) => hash)
  // A channel that the account does not name is none it may act for.
  const rights = channel ? channel.rights : told ? [] : null
  const points = readiness({
    fields,
    profile: knownProfile(stores, fields.profile) ?? DEFAULT_PROFILE,
    playlists,
    pictures: kept,
    rights,
    checklist,
    now: now(),
    inWords: at => inZone(at, timeZone),
  })
  return {
    points,
    left: leftOf(points).length,
    playlists,
    pictures: kept,
    published: publications.heldOf(id)?.state === 'out',
    account: {
      authorised: channel ? channel.authorised : told ? false : null,
      rights,
      at: channel?.at ?? null,
      problem,
    },
    usual: usualAnswers(briefReleases.sheets(workspaceId, id, LOOKED_BACK)),
    checklist,
    timeZone,
  }
}
