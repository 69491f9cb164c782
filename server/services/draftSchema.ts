import { z } from 'zod'
import type { VideoDraft } from './contract'

/** What a video is published with, bounded as it goes over the wire; the site's own limits are tighter. */
const id = z.string().max(200)
const seconds = z.number().min(0)

export const draftSchema = z.object({
  title: z.string().max(1000),
  description: z.string().max(60_000),
  tags: z.array(z.string().max(1000)).max(1000),
  language: z.string().max(20),
  thumbnail: z
    .string()
    .max(2_800_000)
    .regex(/^data:image\//u)
    .nullable(),
  captions: z.object({ language: z.string().max(20), text: z.string().max(2_000_000) }).nullable(),
  sheet: z.object({
    visibility: z.enum(['public', 'unlisted', 'private']),
    madeForChildren: z.boolean().nullable(),
    ageLimit: z.boolean(),
    paidPromotion: z.boolean(),
    category: z.string().max(100).nullable(),
    licence: z.enum(['standard', 'reuse']),
    embedding: z.boolean(),
    comments: z.enum(['open', 'reviewed', 'closed']),
    ratingsShown: z.boolean(),
    notifySubscribers: z.boolean(),
    premiere: z.boolean(),
    monetised: z.boolean(),
    automaticCaptions: z.boolean(),
    recordedAt: z.number().nullable(),
    recordedIn: z.string().max(200).nullable(),
  }),
  cards: z
    .array(
      z.object({
        at: seconds,
        kind: z.enum(['video', 'playlist', 'channel', 'link']),
        target: z.string().max(2000),
        message: z.string().max(500),
        teaser: z.string().max(500),
      }),
    )
    .max(50),
  endScreen: z
    .object({
      from: seconds,
      elements: z
        .array(
          z.object({
            kind: z.enum(['video', 'playlist', 'channel', 'subscribe', 'link']),
            target: z.string().max(2000).nullable(),
          }),
        )
        .max(50),
    })
    .nullable(),
  playlists: z.array(id).max(100),
}) satisfies z.ZodType<VideoDraft>

/** What of it is changed. */
export const draftPatchSchema = draftSchema.partial()
