import { z } from 'zod'
import { clock, type Cue } from '../captions/cue'
import type { LimitProfile } from '../draft/limits'
import { match, readPhrase, readText } from '../text/match'
import { idsDiffer, KIND_NAMES, momentSchema, TARGET_KINDS, targetFault, targetShape } from './cards'
import type { ChannelRight } from './rights'

/** What an end screen can show; `subscribe` leads to nothing else. */
export const ELEMENT_KINDS = [...TARGET_KINDS, 'subscribe'] as const
export type ElementKind = (typeof ELEMENT_KINDS)[number]
/** Which video is shown: the site's choice of the newest or of the best for a viewer, or one of mine. */
export const PICKS = ['newest', 'best', 'chosen'] as const

export const PICK_NAMES: Record<(typeof PICKS)[number], string> = {
  newest: 'Newest video',
  best: 'Best video for each viewer',
  chosen: 'A video of mine',
}

/** How wide each kind is, as a share of the frame, and its width over its height. */
export const ELEMENT_SIZES: Record<ElementKind, { least: number; usual: number; most: number; ratio: number }> = {
  video: { least: 0.2, usual: 0.32, most: 0.5, ratio: 16 / 9 },
  playlist: { least: 0.2, usual: 0.32, most: 0.5, ratio: 16 / 9 },
  channel: { least: 0.1, usual: 0.14, most: 0.22, ratio: 1 },
  subscribe: { least: 0.1, usual: 0.14, most: 0.22, ratio: 1 },
  link: { least: 0.14, usual: 0.2, most: 0.3, ratio: 1 },
}
/** The frame is 16:9. */
export const FRAME_RATIO = 16 / 9
/** Elements keep so far from the frame's edge, where players draw their bars. */
export const MARGIN = 0.02

const share = z.number().min(0).max(1)
export const endElementSchema = z.object({
  ...targetShape,
  kind: z.enum(ELEMENT_KINDS),
  pick: z.enum(PICKS),
  /** The upper left corner and the width, as shares of the frame's width and height. */
  x: share,
  y: share,
  width: share,
})
export type EndElement = z.infer<typeof endElementSchema>
export const endScreenSchema = z.object({
  from: momentSchema,
  elements: z.array(endElementSchema).max(20).refine(idsDiffer, 'Each element needs an id of its own.'),
})
export type EndScreen = z.infer<typeof endScreenSchema>

/** Where an element leads, in words. */
export const leadsTo = ({ kind, pick, title, target }: EndElement): string =>
  kind === 'subscribe'
    ? KIND_NAMES.subscribe
    : kind === 'video' && pick !== 'chosen'
      ? PICK_NAMES[pick]
      : `${KIND_NAMES[kind]}: ${title || target || 'open'}`

/** An arrangement that is kept for the next video. */
export const endLayoutSchema = z.object({
  name: z.string().trim().min(1, 'Give the layout a name.').max(100, 'A name can be 100 characters at most.'),
  elements: endScreenSchema.shape.elements,
})

export interface Box {
  x: number
  y: number
  width: number
  height: number
}
/** An element's place, all in shares of the frame. */
export function boxOf({ kind, x, y, width }: Pick<EndElement, 'kind' | 'x' | 'y' | 'width'>): Box {
  return { x, y, width, height: (width * FRAME_RATIO) / ELEMENT_SIZES[kind].ratio }
}

/** An element within the frame and the sizes of its kind. */
export function fitted(element: EndElement): EndElement {
  const { least, most } = ELEMENT_SIZES[element.kind]
  const width = Math.min(most, Math.max(least, element.width))
  const { height } = boxOf({ ...element, width })
  const within = (at: number, size: number) => Math.min(1 - MARGIN - size, Math.max(MARGIN, at))
  return { ...element, width, x: within(element.x, width), y: within(element.y, height) }
}

/** So near a line counts as on it, as a share of the frame. */
const NEAR = 0.015

/**
 * An element put on the lines of the others and of the frame where it is near them: their edges, their middles, the
 * middle of the frame. @returns the element, and the lines it now lies on.
 */
export function aligned(
  element: EndElement,
  others: readonly EndElement[],
): { element: EndElement; x: number[]; y: number[] } {
  const box = boxOf(element)
  const along = (axis: 'x' | 'y', size: 'width' | 'height') => {
    const lines = [
      0.5,
      ...others.map(boxOf).flatMap(other => [other[axis], other[axis] + other[size] / 2, other[axis] + other[size]]),
    ]
    let best: { by: number; line: number } | null = null
    for (const own of [box[axis], box[axis] + box[size] / 2, box[axis] + box[size]])
      for (const line of lines) {
        const by = line - own
        if (Math.abs(by) <= NEAR && (!best || Math.abs(by) < Math.abs(best.by))) best = { by, line }
      }
    return best
  }
  const [x, y] = [along('x', 'width'), along('y', 'height')]
  return {
    element: fitted({ ...element, x: element.x + (x?.by ?? 0), y: element.y + (y?.by ?? 0) }),
    x: x ? [x.line] : [],
    y: y ? [y.line] : [],
  }
}

const overlap = (one: Box, other: Box) =>
  one.x < other.x + other.width &&
  other.x < one.x + one.width &&
  one.y < other.y + other.height &&
  other.y < one.y + one.height

/** What is wrong with each element, in their order; an empty list for nothing. */
export function elementFaults(
  elements: readonly EndElement[],
  profile: LimitProfile,
  rights: readonly ChannelRight[] | null,
): string[][] {
  return elements.map((element, i) => {
    const faults: string[] = []
    if (i >= profile.endScreen.most) faults.push(`The site shows ${profile.endScreen.most} elements at most.`)
    if (element.kind !== 'subscribe' && !(element.kind === 'video' && element.pick !== 'chosen')) {
      const wrong = targetFault({ kind: element.kind, target: element.target }, rights)
      if (wrong) faults.push(wrong)
    }
    if (elements.some((other, j) => j !== i && overlap(boxOf(element), boxOf(other))))
      faults.push('It overlaps another one.')
    const { x, y, width, height } = boxOf(element)
    if (x + width > 1 + 1e-9 || y + height > 1 + 1e-9) faults.push('A part of it is outside the frame.')
    return faults
  })
}

/** What is wrong with the end screen as a whole. @param seconds the length of the video; `null` while unknown. */
export function endScreenFaults(
  { from, elements }: EndScreen,
  seconds: number | null,
  profile: LimitProfile,
): string[] {
  const { shortest, longest } = profile.endScreen
  const faults: string[] = []
  if (seconds === null)
    faults.push('The length of the video is not known: it cannot be told whether it lasts long enough.')
  else {
    const lasts = seconds - from
    // A video ends between two whole seconds.
    if (lasts < shortest - 0.5 || lasts > longest + 0.5)
      faults.push(
        `It lasts the last ${shortest} to ${longest} seconds; from ${clock(from)} on it would last ${Math.max(0, Math.round(lasts))}.`,
      )
  }
  if (!elements.some(({ kind }) => kind === 'video' || kind === 'playlist'))
    faults.push('It shows at least one video or playlist.')
  return faults
}

/** When an end screen begins unless said otherwise, in seconds. */
export const endScreenStart = (seconds: number, { endScreen }: LimitProfile) => Math.max(0, seconds - endScreen.longest)

/** What is still spoken under the end screen that viewers came for. */
export interface Covered {
  at: number
  text: string
  /** The phrase that is said there. */
  phrase: string
}
/** Where phrases of the brief are spoken while the end screen covers the picture. */
export function spokenUnder(
  { from }: Pick<EndScreen, 'from'>,
  cues: readonly Cue[],
  phrases: readonly string[],
  language: string,
): Covered[] {
  const wanted = phrases.filter(phrase => phrase.trim()).map(phrase => ({ phrase, read: readPhrase(phrase, language) }))
  return cues
    .filter(({ end }) => end > from)
    .flatMap(({ start, text }) => {
      const said = readText(text, language)
      const found = wanted.find(({ read }) => ['exact', 'inflected'].includes(match(read, said).grade))
      return found ? [{ at: start, text, phrase: found.phrase }] : []
    })
}
