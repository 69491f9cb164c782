import type { LimitProfile } from '../draft/limits'

export const PICTURE_FORMATS = ['jpeg', 'png', 'webp', 'gif', 'avif'] as const
export type PictureFormat = (typeof PICTURE_FORMATS)[number]

/** A picture's outside: what a site can refuse it for. */
export interface PictureFacts {
  format: PictureFormat
  width: number
  height: number
  bytes: number
}

/** What a picture falls short in as a thumbnail. */
export type ThumbnailFault = 'format' | 'small' | 'ratio' | 'bytes'

/** A ratio is right when a row of pixels at most is cut or left over. */
const ratioFits = (width: number, height: number, of: LimitProfile['thumbnail']) =>
  Math.abs(width * of.height - height * of.width) <= Math.max(of.width, of.height)

/** Whether a site takes a picture as it is, and what is better mended. */
export function thumbnailFaults(facts: PictureFacts, { thumbnail }: LimitProfile): ThumbnailFault[] {
  const { format, width, height, bytes } = facts
  const faults: ThumbnailFault[] = []
  if (!thumbnail.formats.includes(format)) faults.push('format')
  if (width < thumbnail.leastWidth) faults.push('small')
  if (!ratioFits(width, height, thumbnail)) faults.push('ratio')
  if (bytes > thumbnail.bytes) faults.push('bytes')
  return faults
}

const NAMES: Record<PictureFormat, string> = { jpeg: 'JPEG', png: 'PNG', webp: 'WebP', gif: 'GIF', avif: 'AVIF' }
export const formatName = (format: PictureFormat) => NAMES[format]

/** What is wrong and what the site wants, in words. */
export function faultInWords(fault: ThumbnailFault, facts: PictureFacts, { thumbnail }: LimitProfile): string {
  switch (fault) {
    case 'format':
      return `The site does not take ${formatName(facts.format)}: it takes ${thumbnail.formats.map(formatName).join(', ')}.`
    case 'small':
      return `It is ${facts.width} pixels wide; the site wants at least ${thumbnail.leastWidth}.`
    case 'ratio':
      return `${facts.width}×${facts.height} is not ${ratioInWords(thumbnail)}: parts are cut off or bars are added.`
    case 'bytes':
      return `It weighs ${megabytes(facts.bytes)}; the site takes ${megabytes(thumbnail.bytes)}.`
  }
}

const divisor = (a: number, b: number): number => (b ? divisor(b, a % b) : a)
/** As 16:9. */
function ratioInWords({ width, height }: { width: number; height: number }): string {
  const by = divisor(width, height)
  return `${width / by}:${height / by}`
}

export const megabytes = (bytes: number) =>
  bytes < 1_000_000 ? `${Math.max(1, Math.round(bytes / 1000))} KB` : `${(bytes / 1_000_000).toFixed(1)} MB`

/** What is done to a picture so that the site takes it. */
export interface MendPlan {
  /** The part that is kept, in pixels of the original. */
  crop: { left: number; top: number; width: number; height: number }
  /** The size it is scaled to; never larger than what is kept. */
  width: number
  height: number
  /** As which it is written, trying again smaller until it is within the limit. */
  format: 'jpeg' | 'png'
}

/**
 * How a picture is mended: cut to the ratio about a point, scaled down to the size the site advises. A picture is never
 * made larger: that adds nothing but weight.
 *
 * @param focus what has to stay in, as shares of width and height from the upper left; the middle unless given.
 */
export function mendPlan(
  { width, height, format }: PictureFacts,
  { thumbnail }: LimitProfile,
  focus: { x: number; y: number } = { x: 0.5, y: 0.5 },
): MendPlan {
  const ratio = thumbnail.width / thumbnail.height
  const kept =
    width / height > ratio
      ? { width: Math.max(1, Math.round(height * ratio)), height }
      : { width, height: Math.max(1, Math.round(width / ratio)) }
  const from = (all: number, part: number, at: number) =>
    Math.round(Math.min(all - part, Math.max(0, at * all - part / 2)))
  const scaled = Math.min(thumbnail.width, kept.width)
  return {
    crop: { left: from(width, kept.width, focus.x), top: from(height, kept.height, focus.y), ...kept },
    width: scaled,
    height: Math.max(1, Math.round(scaled / ratio)),
    format: format === 'png' && thumbnail.formats.includes('png') ? 'png' : 'jpeg',
  }
}
