import { z } from 'zod'
import { UNITS } from '../text/count'
import { PICTURE_FORMATS } from '../thumbnail/mend'
import videoSite from './profiles/video-site.json' with { type: 'json' }

const unit = z.enum(UNITS, `A unit is one of ${UNITS.join(', ')}.`)
const limit = z
  .number('A limit is a number.')
  .int('A limit is a whole number.')
  .min(0, 'A limit is 0 or more.')
  .max(1_000_000, 'A limit is 1,000,000 at most.')
const pixels = z
  .number('A size is a number of pixels.')
  .int('A size is a whole number of pixels.')
  .min(16, 'A size is 16 pixels at least.')
  .max(20_000, 'A size is 20,000 pixels at most.')
const forbidden = z.array(z.string().min(1).max(8)).max(50)
const ems = z.number('A width is a number.').positive('A width is more than 0.').max(1000, 'A width is 1,000 at most.')

/** What is kept of a limit profile of one's own; its id is that of the item. */
export const ownProfileSchema = z.object({
  name: z.string().trim().min(1, 'Give the limits a name.').max(100, 'A name can be 100 characters at most.'),
  note: z.string().max(2000, 'A note can be 2,000 characters at most.').default(''),
  title: z.object({ limit, unit, forbidden }),
  description: z.object({ limit, unit, forbidden, openingCodePoints: limit }),
  tags: z.object({ limit, unit, spacedTagExtra: limit, separator: limit }),
  hashtags: z.object({ shown: limit, ignoredPast: limit }),
  chapters: z.object({ least: limit, leastSeconds: limit }),
  playlist: z.object({ titleLimit: limit, titleUnit: unit, descriptionLimit: limit, descriptionUnit: unit }),
  thumbnail: z
    .object({
      width: pixels,
      height: pixels,
      leastWidth: pixels,
      bytes: z
        .number('A weight is a number of bytes.')
        .int('A weight is a whole number of bytes.')
        .min(1000, 'A weight is 1,000 bytes at least.')
        .max(100_000_000, 'A weight is 100,000,000 bytes at most.'),
      formats: z.array(z.enum(PICTURE_FORMATS)).min(1, 'At least one format is taken.').max(PICTURE_FORMATS.length),
    })
    // Files from before these were looked at say nothing of them.
    .default(videoSite.thumbnail as never),
  cards: z.object({ most: limit, text: limit }).default(videoSite.cards),
  endScreen: z.object({ most: limit, shortest: limit, longest: limit }).default(videoSite.endScreen),
  surfaces: z.object({ phone: ems, desktopList: ems, suggestion: ems }),
})
export type OwnProfile = z.infer<typeof ownProfileSchema>

/** A whole limit profile, as it is sent and shared. */
export const limitProfileSchema = ownProfileSchema.extend({
  format: z.literal(1, { error: 'This limit profile has an unknown format.' }),
  id: z.string().max(100),
  name: z.string().max(100),
})
