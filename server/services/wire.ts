import { z } from 'zod'
import { CHANNEL_RIGHTS, type Services } from './contract'
import { draftPatchSchema, draftSchema } from './draftSchema'

/**
 * The interfaces as they are spoken over HTTP: one table from which the client asks, the
 * simulated services answer and docs/services.md is written. A call is `POST {address}/v1/{service}/{method}` with
 * its arguments as a JSON object, so that long lists of phrases need no special case.
 */
const region = z
  .string()
  .regex(/^[A-Z]{2}$/u)
  .nullable()
const language = z.string().max(20)
const text = z.string().max(500)
const id = z.string().max(200)
const count = z.number().min(0)

export const videoSchema = z.object({
  id,
  title: z.string().max(1000),
  description: z.string().max(60_000).nullable(),
  tags: z.array(z.string().max(1000)).max(1000).nullable(),
  channel: z.object({ id, title: z.string().max(500), subscribers: count.nullable() }),
  views: count.nullable(),
  likes: count.nullable(),
  dislikes: count.nullable().default(null),
  comments: count.nullable(),
  publishedAt: z.number().nullable(),
  durationSeconds: count.nullable(),
  category: z.string().max(100).nullable().optional(),
  thumbnail: z
    .string()
    .max(20_000)
    .regex(/^data:image\//u)
    .nullable()
    .catch(null),
})
const channelSchema = z.object({
  id,
  title: z.string().max(500),
  subscribers: count.nullable(),
  foundedAt: z.number().nullable(),
  videos: count.nullable(),
})
const months = z.array(count.nullable()).max(36)
const month = z.string().regex(/^\d{4}-\d{2}$/u)
const answer = <Data extends z.ZodType>(data: Data) =>
  z.object({ source: z.string().max(100), at: z.number(), complete: z.boolean(), data })
const texts = answer(z.array(text).max(5000))

const problems = z.array(z.object({ field: z.string().max(100), message: z.string().max(500) })).max(100)
const playlistSchema = z.object({
  id,
  title: z.string().max(1000),
  description: z.string().max(60_000),
  channel: z.object({ id, title: z.string().max(500) }),
  videos: z.array(id).max(5000),
  updatedAt: z.number(),
})
const uploadSchema = z.object({ id, bytes: count, received: count })
const uploadAnswer = answer(z.object({ upload: uploadSchema.nullable(), problems }))
const published = answer(z.object({ id: id.nullable(), visibleFrom: z.number().nullable(), problems }))
/** Made by the caller, once for what shall happen once. */
const request = z.string().min(8).max(100)
/** A part of a file is 2 MB at most; base64 makes a third more of it. */
const MAX_PART = 2_800_000
const figuresOfDay = z.object({
  day: z.string().regex(/^\d{4}-\d{2}-\d{2}$/u),
  impressions: count,
  clicks: count,
  views: count,
  bySource: z.object({ search: count, suggested: count, subscribers: count, web: count, elsewhere: count }),
  watchedSeconds: count,
})

interface Call {
  args: readonly string[]
  input: z.ZodObject
  output: z.ZodType
}
const call = (shape: z.ZodRawShape, output: z.ZodType): Call => ({
  args: Object.keys(shape),
  input: z.object(shape),
  output,
})

const webCalls = {
  suggest: call({ prefix: text, region, language }, texts),
  videoBlock: call({ phrase: text, region, language }, answer(z.boolean())),
  blockVideos: call({ phrase: text, region, language }, answer(z.array(videoSchema).max(60))),
}

/** Every call: its arguments in the order of the interface, and what it answers. */
export const CALLS = {
  site: {
    suggest: call({ prefix: text, region, language }, texts),
    search: call(
      { phrase: text, region, language, depth: z.number().int().min(1).max(60) },
      answer(z.object({ titleMatches: count.nullable(), videos: z.array(videoSchema).max(60) })),
    ),
    video: call({ id, language }, answer(videoSchema.nullable())),
    channel: call({ id, language }, answer(channelSchema.nullable())),
    channelVideos: call({ id, language }, answer(z.array(videoSchema).max(5000))),
    trending: call({ region, language }, answer(z.array(videoSchema).max(200))),
    captions: call({ id, language }, answer(z.object({ language, text: z.string().max(2_000_000) }).nullable())),
    playlist: call({ id, language }, answer(playlistSchema.nullable())),
    searchPlaylists: call(
      { phrase: text, region, language, depth: z.number().int().min(1).max(60) },
      answer(z.object({ playlists: z.array(playlistSchema).max(60) })),
    ),
    channelPlaylists: call({ id, language }, answer(z.array(playlistSchema).max(500))),
    account: call(
      {},
      answer(
        z.object({
          channels: z
            .array(
              z.object({
                id,
                title: z.string().max(500),
                authorised: z.boolean(),
                rights: z.array(z.enum(CHANNEL_RIGHTS)).max(20),
                limits: z.object({ uploadsLeft: count, bytes: count, seconds: count }),
              }),
            )
            .max(500),
        }),
      ),
    ),
    authorise: call(
      { channel: id },
      answer(z.object({ authorised: z.boolean(), address: z.url().max(2000).nullable() })),
    ),
    startUpload: call(
      {
        request,
        channel: id,
        file: z.object({ name: z.string().max(500), bytes: z.number().int().min(1), seconds: count }),
      },
      uploadAnswer,
    ),
    sendPart: call(
      { upload: id, offset: z.number().int().min(0), bytes: z.base64().min(1).max(MAX_PART) },
      uploadAnswer,
    ),
    upload: call({ id }, answer(uploadSchema.nullable())),
    publish: call({ request, upload: id, draft: draftSchema, at: z.number().nullable() }, published),
    update: call({ id, draft: draftPatchSchema }, published),
    savePlaylist: call(
      {
        request,
        id: id.nullable(),
        playlist: z.object({
          channel: id,
          title: z.string().max(1000),
          description: z.string().max(60_000),
          videos: z.array(id).max(5000),
        }),
      },
      answer(z.object({ id: id.nullable(), problems })),
    ),
    audience: call(
      { channel: id },
      answer(z.object({ hours: z.array(z.number().min(0).max(1)).length(168) }).nullable()),
    ),
    analytics: call(
      { id },
      answer(
        z
          .object({
            days: z.array(figuresOfDay).max(400),
            retention: z.array(z.number().min(0).max(1)).length(11),
          })
          .nullable(),
      ),
    ),
  },
  demand: {
    volumes: call(
      { phrases: z.array(text).max(5000), region, language },
      answer(
        z.object({ monthsEnd: month, figures: z.array(z.object({ phrase: text, volume: count, months })).max(5000) }),
      ),
    ),
    history: call(
      { phrase: text, region, language, months: z.number().int().min(1).max(36) },
      answer(z.object({ monthsEnd: month, months })),
    ),
    related: call({ phrase: text, region, language }, texts),
    byRegion: call(
      { phrase: text, language },
      answer(z.array(z.object({ region: z.string().regex(/^[A-Z]{2}$/u), volume: count })).max(300)),
    ),
  },
  web: webCalls,
  otherWeb: webCalls,
  translation: {
    languages: call(
      {},
      answer(
        z.object({
          pairs: z.array(z.object({ from: language, to: language })).max(20_000),
          note: z.string().max(1000).default(''),
        }),
      ),
    ),
    translate: call(
      { texts: z.array(z.string().max(60_000)).max(1000), from: language, to: language },
      answer(
        z
          .array(
            z.object({
              text: z.string().max(200_000),
              unknown: z.array(z.object({ start: z.number().int().min(0), end: z.number().int().min(0) })).max(20_000),
            }),
          )
          .max(1000)
          .nullable(),
      ),
    ),
  },
} as const satisfies { [Name in keyof Services]: Record<keyof Services[Name], Call> }

export type ServiceName = keyof typeof CALLS
export const SERVICE_NAMES = Object.keys(CALLS) as ServiceName[]
export const callOf = (service: string, method: string): Call | undefined =>
  Object.hasOwn(CALLS, service) && Object.hasOwn(CALLS[service as ServiceName], method)
    ? (CALLS[service as ServiceName] as Record<string, Call>)[method]
    : undefined
