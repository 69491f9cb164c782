import type { Outlet } from '../core/posts/outlet'

/** Where the workshop tells of its videos. */
export const OUTLETS: Outlet[] = [
  {
    name: 'Wheel Shed page',
    kind: 'page',
    address: 'https://wheelshed.example/news',
    audience: 2140,
    tag: 'shed-page',
    note: '',
  },
  {
    name: 'Marrowby Riders',
    kind: 'group',
    address: 'https://riders.example/marrowby',
    audience: 860,
    tag: 'marrowby-riders',
    note: 'Answers only: links alone are taken down there',
  },
  { name: 'Shed letter', kind: 'list', address: '', audience: 412, tag: 'shed-letter', note: 'Goes out on Thursdays' },
  {
    name: 'Spanner Corner',
    kind: 'forum',
    address: 'https://spanners.example/gears',
    audience: null,
    tag: 'spanner-corner',
    note: '',
  },
]
