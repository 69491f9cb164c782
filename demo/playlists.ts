import type { Playlist } from '../core/playlist/playlist'

/** The workshop's playlists: which briefs are in each, and which of its videos, by their titles. */
export const PLAYLISTS: (Omit<Playlist, 'entries'> & { holds: string[]; about: RegExp })[] = [
  {
    title: 'Bike chain care: clean, oil, wax and measure',
    description:
      'Bike chain care from the workshop in Marrowby, from the first drop of oil to a chain that is worn out. Start with how to clean bike chain links at home, then choose oil or wax.\n\nNew parts follow as the roads get salted.',
    lead: 'bike chain',
    region: 'GB',
    language: 'en',
    order: 'hand',
    holds: ['Winter care for a bike chain'],
    about: /\bchain/iu,
  },
  {
    title: 'Gears',
    description: 'Shifting, cables and hangers.',
    lead: 'rear derailleur',
    region: 'GB',
    language: 'en',
    order: 'searches',
    holds: ['Indexing a rear derailleur'],
    about: /derailleur|gear|shift/iu,
  },
]
