import { z } from 'zod'
import { languageInput, phraseInput, regionInput } from '../../core/text/inputs'
import type { Runtime } from '../runtime'

/** One phrase in a region, scored for a workspace. */
export const phraseQuestion = z.object({
  phrase: phraseInput,
  region: regionInput,
  language: languageInput.default('en'),
  workspace: z.string().max(60).optional(),
})

/** For viewer a sheet is made: the workspace's channel, what is set for it, and the places it knows. */
export function sheetFor({ places, workspaces }: Runtime, workspace: string | undefined) {
  const { own, settings } = workspaces.standing(workspace)
  return { own, settings, places: places.names() }
}
