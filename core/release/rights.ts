/** What a site may let somebody do for a channel. */
export const CHANNEL_RIGHTS = [
  'publish',
  'update',
  'analytics',
  'thumbnails',
  'long-videos',
  'links',
  'monetise',
] as const
export type ChannelRight = (typeof CHANNEL_RIGHTS)[number]

/** Why something cannot be done without a right, as a person is told it. */
export const LACKING: Readonly<Record<ChannelRight, string>> = {
  'publish': 'The site does not let you publish for this channel.',
  'update': 'The site does not let you change videos of this channel.',
  'analytics': 'The site does not let you see how videos of this channel do.',
  'thumbnails': 'The site does not let this channel use thumbnails of its own.',
  'long-videos': 'The site lets this channel upload short videos only.',
  'links': 'The site does not let this channel link to other sites.',
  'monetise': 'The site does not let this channel earn from videos.',
}
