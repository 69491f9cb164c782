/** The views of Ranks, in the order of their keys. */
export const RANK_VIEWS = [
  { side: 'ranks', title: 'Ranks' },
  { side: 'channel', title: 'All videos' },
  { side: 'mend', title: 'To mend' },
  { side: 'many', title: 'Change many' },
  { side: 'open', title: 'Open phrases' },
  { side: 'views', title: 'Views' },
  { side: 'told', title: 'Forecasts' },
] as const
export type RankView = (typeof RANK_VIEWS)[number]['side']

/** Views that have parts; the first one is shown unless the address names another. */
export const RANK_PARTS: Partial<Record<RankView, readonly { side: string; title: string }[]>> = {
  told: [
    { side: 'chances', title: 'Chances' },
    { side: 'points', title: 'Points' },
  ],
  channel: [
    { side: 'ranks', title: 'What they bring' },
    { side: 'leads', title: 'Leading on' },
    { side: 'earned', title: 'What they earn' },
  ],
  many: [
    { side: 'once', title: 'At once' },
    { side: 'trial', title: 'As a trial' },
  ],
  open: [
    { side: 'reach', title: 'Within reach' },
    { side: 'plan', title: 'Filming plan' },
    { side: 'together', title: 'Mine beside mine' },
  ],
}

/** Where a rank is looked up. */
export const RANK_KINDS = [
  { side: 'site', title: 'Video site' },
  { side: 'web', title: 'Web search' },
] as const
