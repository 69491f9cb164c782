import { z } from 'zod'
import type { Legible } from '../core/thumbnail/legible'
import type { PictureFacts, ThumbnailFault } from '../core/thumbnail/mend'
import type { PageLook, PictureLook } from '../core/thumbnail/page'
import type { StandOut } from '../core/thumbnail/standOut'

/** A picture as a thumbnail among those of a page. */
export interface ThumbnailLook extends PictureLook {
  legible: Legible
  /** `null` where the page is not known or has too few pictures. */
  standOut: StandOut | null
}

/** What a picture is worth as a thumbnail, worked out at once and not kept. */
export interface ThumbnailAnalysis extends PictureFacts, ThumbnailLook {
  problems: { fault: ThumbnailFault; message: string }[]
}

/** The pictures of a page, looked at together. */
export interface PageThumbnails {
  phrase: string
  /** When the page was read, UTC milliseconds. */
  at: number
  /** The videos whose pictures were looked at, in the order of the page. */
  videoIds: string[]
  /** Those whose picture is not known or cannot be read. */
  without: number
  look: PageLook
}

export interface ThumbnailsAnswer {
  /** `null` where the page of the phrase is not kept, or none of its pictures. */
  page: PageThumbnails | null
  /** By the item of each candidate; one whose picture is not here, or takes too long, has no look. */
  looks: Record<string, ThumbnailLook | null>
}

const share = z.number('A point is two shares from 0 to 1.').min(0).max(1)
/** What has to stay in when a picture is cut, as shares of its width and height. */
export const mendBodySchema = z.object({
  focus: z.object({ x: share, y: share }).default({ x: 0.5, y: 0.5 }),
})
