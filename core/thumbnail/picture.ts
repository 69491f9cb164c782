import { z } from 'zod'
import { designSchemaOf } from './design'
import { PICTURE_FORMATS, type PictureFacts } from './mend'

/** A picture that is kept: its outside, and the SHA-256 of its bytes, by which it is found. */
export interface Picture extends PictureFacts {
  hash: string
}

const pixels = z.number().int().min(1).max(100_000)
const kept = {
  hash: z.string().regex(/^[0-9a-f]{64}$/u, 'A picture is named by the SHA-256 of its bytes.'),
  format: z.enum(PICTURE_FORMATS),
  width: pixels,
  height: pixels,
  bytes: z.number().int().min(1).max(1e9),
}
export const pictureSchema: z.ZodType<Picture> = z.object(kept)

/** A picture that may become a brief's thumbnail. */
export const thumbnailSchema = z.object({
  ...kept,
  /** What it is called, as the file was. */
  name: z.string().trim().min(1, 'Give the picture a name.').max(200, 'A name can be 200 characters at most.'),
  /** The picture it was mended from, which is kept; `null` for one as it came. */
  original: pictureSchema.nullable(),
  /** What it was made of here; `null` for one that came from elsewhere. */
  design: designSchemaOf(pictureSchema).nullable().default(null),
})
export type Thumbnail = z.infer<typeof thumbnailSchema>

/** A kept picture's name as a file, which is also where it is asked for. */
export const pictureName = ({ hash, format }: Pick<Picture, 'hash' | 'format'>) => `${hash}.${format}`
export const PICTURE_NAME = /^[0-9a-f]{64}\.(?:jpeg|png|webp|gif|avif)$/u

/** Widths a kept picture is asked for at, in pixels. */
export const PICTURE_WIDTHS = ['320', '640', '1280'] as const

/** A picture can have so many bytes: a photo as a large camera keeps it. */
export const MOST_PICTURE_BYTES = 64 * 1024 * 1024

/** How a picture's file ends outside. */
export const fileEnding = ({ format }: Pick<Picture, 'format'>) => (format === 'jpeg' ? 'jpg' : format)
