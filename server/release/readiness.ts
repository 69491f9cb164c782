import { inZone } from '../../core/release/inZone'
import { leftOf, readiness, type ReadinessFrom } from '../../core/release/readiness'
import type { ChannelRight } from '../../core/release/rights'
import { mostSay, type Proposed } from '../../core/release/proposed'
import { LOOKED_BACK, usualAnswers } from '../../core/release/usual'
import { pictureName } from '../../core/thumbnail/picture'
import { DEFAULT_PROFILE } from '../../core/draft/limits'
import type { Brief } from '../../shared/brief'
import type { AccountLook, ReadinessAnswer } from '../../shared/release'
import { playlistsOf } from '../desk/playlistsOf'
import { knownProfile } from '../http/scoring'
import type { Runtime } from '../runtime'

type Around = Pick<Runtime, 'briefItems' | 'pictures' | 'workspaces' | 'workspaceItems' | 'now'>
type Stores = Around & Pick<Runtime, 'briefReleases' | 'phrases' | 'publications' | 'results'>

/** What a brief's points follow from. @param rights what the account may do; `null` where nobody told. */
export function readinessFrom(
  stores: Around,
  { id, workspaceId, fields }: Pick<Brief, 'id' | 'workspaceId' | 'fields'>,
  rights: readonly ChannelRight[] | null,
): ReadinessFrom {
  const { briefItems, pictures, workspaces, workspaceItems, now } = stores
  const { timeZone } = workspaces.get(workspaceId)!
  return {
    fields,
    profile: knownProfile(stores, fields.profile) ?? DEFAULT_PROFILE,
    playlists: playlistsOf(workspaceItems, workspaceId, id).map(({ title }) => title),
    pictures: [fields.thumbnail, ...briefItems.list(id, 'thumbnail').map(({ value }) => value)]
      .filter(picture => picture !== null)
      .filter(picture => pictures.find(pictureName(picture)) !== null)
      .map(({ hash }) => hash),
    rights,
    checklist: workspaces.settings(workspaceId).checklist,
    now: now(),
    inWords: at => inZone(at, timeZone),
  }
}

/** Seats of a page that are looked at. */
const PAGE = 20

/** What most videos on the kept page of a brief's lead are said to be. */
function categoryOfPage({ phrases, results }: Stores, { fields }: Brief): Proposed | null {
  const { tray, region, language } = fields
  const known = tray.lead ? phrases.known(tray.lead, region ?? '', language) : null
  const page = known ? results.effective(known.id, region ?? '') : null
  if (!page) return null
  return mostSay(
    results
      .seats(page, PAGE)
      .filter(({ off }) => !off)
      .map(({ category }) => category),
  )
}

/** How far a brief is from its release. @param account what the account may do for its channel. */
export function readinessAnswer(
  stores: Stores,
  brief: Brief,
  { channel, told, problem }: AccountLook,
): ReadinessAnswer {
  const { briefReleases, publications, workspaces } = stores
  const { id, workspaceId } = brief
  // A channel that the account does not name is none it may act for.
  const rights = channel ? channel.rights : told ? [] : null
  const from = readinessFrom(stores, brief, rights)
  const points = readiness(from)
  return {
    points,
    left: leftOf(points).length,
    playlists: [...from.playlists],
    pictures: [...from.pictures],
    published: publications.heldOf(id)?.state === 'out',
    account: {
      authorised: channel ? channel.authorised : told ? false : null,
      rights,
      at: channel?.at ?? null,
      problem,
    },
    proposedCategory: categoryOfPage(stores, brief),
    usual: usualAnswers(briefReleases.sheets(workspaceId, id, LOOKED_BACK)),
    checklist: from.checklist,
    timeZone: workspaces.get(workspaceId)!.timeZone,
  }
}
