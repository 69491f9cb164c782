import type { ViewSource } from '../../core/formats/dayColumns'

/** Where views come from, in words. */
export const SOURCE_NAMES: Record<ViewSource, string> = {
  search: 'Search',
  suggested: 'Beside another video',
  subscribers: 'Home and feeds',
  web: 'Other sites',
  elsewhere: 'Elsewhere',
}
