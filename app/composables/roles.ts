import type { Role } from '../../shared/access'

/** What each role may do, in words. */
export const ROLE_WORDS: Record<Role, string> = {
  owner: 'owner: everything',
  editor: 'editor: writes',
  reader: 'reader: reads only',
}
