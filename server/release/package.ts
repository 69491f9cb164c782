import { setImmediate as nextTurn } from 'node:timers/promises'
import type { BriefFileItems } from '../../core/brief/briefFile'
import { packageFiles, writePackage } from '../../core/release/package'
import { inZone } from '../../core/release/inZone'
import type { Brief } from '../../shared/brief'
import { playlistsOf } from '../desk/playlistsOf'
import type { Runtime } from '../runtime'
import { rightsFor } from './account'
import { readFile } from 'node:fs/promises'
import { pictureName } from '../../core/thumbnail/picture'

/** What goes along with a brief in its file. */
export const fileItemsOf = (briefItems: Runtime['briefItems'], brief: string): BriefFileItems => ({
  localised: briefItems.list(brief, 'localised').map(({ value }) => value),
  posts: briefItems.list(brief, 'post').map(({ value }) => value),
})

/** A brief as a package: a ZIP file with everything that is handed over. */
export async function briefPackage(
  {
    accounts,
    workspaces,
    workspaceItems,
    briefItems,
    pictures,
  }: Pick<Runtime, 'accounts' | 'workspaces' | 'workspaceItems' | 'briefItems' | 'pictures'>,
  brief: Brief,
  now: number,
): Promise<Uint8Array> {
  const { name, channelId, channelTitle, timeZone } = workspaces.get(brief.workspaceId)!
  const { thumbnail } = brief.fields
  const file = thumbnail && pictures.find(pictureName(thumbnail))
  return writePackage(
    packageFiles({
      brief,
      ...fileItemsOf(briefItems, brief.id),
      playlists: playlistsOf(workspaceItems, brief.workspaceId, brief.id).map(({ title }) => title),
      picture: file ? await readFile(file) : null,
      rights: rightsFor(accounts, channelId),
      channel: channelTitle ?? name,
      inWords: at => inZone(at, timeZone),
      now,
    }),
    now,
    nextTurn,
  )
}
