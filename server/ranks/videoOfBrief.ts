import type { Brief } from '../../shared/brief'
import { briefIdOf } from '../../shared/audit'
import { idsInAddress } from '../data/videoBriefs'
import type { Runtime } from '../runtime'

type Stores = Pick<Runtime, 'publications' | 'videos' | 'workspaces'>

/** Ids that follow from a name have this version. */
const NAMED = '5'

/**
 * The video that a brief came out as, by the site’s id: published from here, a video of the channel whose address it
 * names, or the one it was made to mend. `null` where none is known.
 */
export function videoOfBrief(
  { publications, videos, workspaces }: Stores,
  { id, workspaceId, fields }: Pick<Brief, 'id' | 'workspaceId'> & { fields: Pick<Brief['fields'], 'videoAddress'> },
): string | null {
  const published = publications.of(id)
  if (published?.state === 'out' && published.video) return published.video
  const channel = workspaces.get(workspaceId)?.channelId ?? null
  if (channel === null) return null
  const named = idsInAddress(fields.videoAddress).find(part => videos.video(part)?.channel_id === channel)
  if (named) return named
  if (id[14] !== NAMED) return null
  return videos.codesOfChannel(channel).find(video => briefIdOf(workspaceId, video) === id) ?? null
}
