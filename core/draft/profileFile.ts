import { readJsonFile } from '../formats/jsonFile'
import type { LimitProfile } from './limits'
import { limitProfileSchema, type OwnProfile } from './profileSchema'

/** Limits as a file: themselves. */
export const writeProfile = (profile: LimitProfile): string => `${JSON.stringify(profile, null, 2)}\n`

/** @throws FileFault that names each fault with its line; of a limit, the line of its group. */
export function readProfile(text: string): OwnProfile {
  const { format: _, id: __, name, ...limits } = readJsonFile(text, limitProfileSchema).value
  return { ...limits, name: name.trim() || 'Limits' }
}
