import type { FoundKind } from '../../shared/find'
import { AREAS } from './areas'
import { NEXT } from './lastPlace'
import { RANK_PARTS, RANK_VIEWS } from './ranksViews'

/** Where something is looked at. */
export interface Place {
  path: string
  query?: Record<string, string>
}
/** What each kind of thing is called where it is found. */
export const FOUND_NAMES: Record<FoundKind, string> = {
  brief: 'Brief',
  video: 'Video',
  phrase: 'Phrase',
  list: 'Phrase list',
  playlist: 'Playlist',
  block: 'Block',
  tagList: 'Tag list',
  ruleSet: 'Rule set',
  limitProfile: 'Limits',
  endLayout: 'End screen layout',
  outlet: 'Outlet',
}

/** Where a thing that was found is looked at. @param region of phrases; `null` for everywhere. */
export function placeOf(kind: FoundKind, id: string, region: string | null): Place {
  if (kind === 'brief') return { path: '/desk', query: { brief: id } }
  if (kind === 'video') return { path: '/ranks', query: { video: id } }
  if (kind === 'phrase') return { path: '/demand', query: { seed: id, phrase: id, ...(region ? { region } : {}) } }
  if (kind === 'list') return { path: '/library', query: { tab: 'lists', list: id } }
  if (kind === 'playlist') return { path: '/library', query: { tab: 'playlists', playlist: id } }
  if (kind === 'block') return { path: '/desk', query: { side: 'blocks' } }
  if (kind === 'tagList') return { path: '/desk', query: { side: 'tags' } }
  if (kind === 'endLayout') return { path: '/release', query: { part: 'video' } }
  if (kind === 'outlet') return { path: '/release', query: { part: 'spread' } }
  return { path: '/desk', query: kind === 'limitProfile' ? { limits: id } : { rules: id } }
}

/** Screens and settings by their names, with other words that they are looked for by. */
export const NAMED_PLACES: readonly { text: string; also: string; to: Place }[] = [
  { text: 'What next', also: 'today home start', to: { path: NEXT } },
  ...AREAS.map(({ name, path, question }) => ({ text: name, also: question, to: { path } })),
  ...RANK_VIEWS.slice(1).map(({ side, title }) => ({
    text: title,
    also: 'ranks',
    to: { path: '/ranks', query: { view: side } },
  })),
  ...Object.entries(RANK_PARTS).flatMap(([view, parts]) =>
    parts.slice(1).map(({ side, title }) => ({
      text: title,
      also: 'ranks',
      to: { path: '/ranks', query: { view, of: side } },
    })),
  ),
  ...[
    ['texts', 'Many texts', 'score all videos csv'],
    ['playlists', 'Playlists', ''],
    ['lists', 'Phrase lists', 'import keywords'],
    ['sources', 'Sources', 'services import feed own data clock demo key'],
    ['places', 'Places', 'towns cities population'],
    ['channels', 'Channels', 'workspace weights worth curve rate currency time zone client settings'],
    ['data', 'Data', 'backup restore space disk settings'],
    ['access', 'Access', 'keys team sign in settings'],
  ].map(([tab, text, also]) => ({ text: text!, also: also!, to: { path: '/library', query: { tab: tab! } } })),
  ...[
    ['thumbnail', 'Thumbnail', 'picture'],
    ['video', 'Cards and end', 'end screen cards'],
    ['when', 'When', 'calendar hour season'],
    ['hand-over', 'Hand over', 'upload copy'],
    ['publish', 'Publish', 'send upload'],
    ['spread', 'Spread', 'posts newsletter outlets'],
  ].map(([part, text, also]) => ({ text: text!, also: also!, to: { path: '/release', query: { part: part! } } })),
  ...[
    ['bench', 'Bench', 'titles ideas'],
    ['compose', 'Compose', 'description draft'],
    ['seen', 'Seen', 'preview phone'],
    ['tags', 'Tags', ''],
    ['blocks', 'Blocks', 'footer links contact'],
    ['versions', 'Versions', 'history compare'],
  ].map(([side, text, also]) => ({ text: text!, also: also!, to: { path: '/desk', query: { side: side! } } })),
  { text: 'Rule sets', also: 'rules checks weights score settings', to: { path: '/desk', query: { rules: '' } } },
  { text: 'Limits', also: 'length characters site profile settings', to: { path: '/desk', query: { limits: '' } } },
]
