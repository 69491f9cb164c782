import { z } from 'zod'
import { clock } from '../captions/cue'
import type { LimitProfile } from '../draft/limits'
import { count } from '../text/count'
import { LACKING, type ChannelRight } from './rights'

/** What a card or an element of an end screen can lead to. */
export const TARGET_KINDS = ['video', 'playlist', 'channel', 'link'] as const
export type TargetKind = (typeof TARGET_KINDS)[number]
export const KIND_NAMES: Record<TargetKind | 'subscribe', string> = {
  video: 'Video',
  playlist: 'Playlist',
  channel: 'Channel',
  link: 'Link',
  subscribe: 'Subscribe',
}

/** Two cards nearer to each other than this are one too many for a viewer, in seconds. */
export const CARDS_APART = 8
/** A time within a video, in seconds. */
export const momentSchema = z
  .number()
  .min(0, 'A video begins at 0:00.')
  .max(360_000, 'A video lasts 100 hours at most.')
const id = z.string().min(1).max(60)

/** What a thing leads to. */
export const targetShape = {
  id,
  /** The site's id of a video or channel, the id of a playlist here, the address of a link; '' while it is open. */
  target: z.string().max(2000, 'An address can be 2,000 characters at most.'),
  /** What it is called, as it was when it was chosen. */
  title: z.string().max(300),
}
export const cardSchema = z.object({
  ...targetShape,
  at: momentSchema,
  kind: z.enum(TARGET_KINDS),
  message: z.string().max(500),
  teaser: z.string().max(500),
})
export type Card = z.infer<typeof cardSchema>

/** Each thing has an id of its own. */
export const idsDiffer = (things: readonly { id: string }[]) =>
  new Set(things.map(each => each.id)).size === things.length
export const cardsSchema = z.array(cardSchema).max(50).refine(idsDiffer, 'Each card needs an id of its own.')

/** What the moment of a card and its texts are held against. */
export interface CardsAround {
  /** The length of the video; `null` while it is not known. */
  seconds: number | null
  /** When the end screen begins; `null` without one. */
  endFrom: number | null
  profile: LimitProfile
  rights: readonly ChannelRight[] | null
}

/** A link that a site can follow. */
export const isAddress = (text: string) => /^https?:\/\/[^\s/.]+\.[^\s]+$/u.test(text)

/** What is wrong with where something leads; `null` for nothing. */
export function targetFault(
  { kind, target }: { kind: TargetKind; target: string },
  rights: readonly ChannelRight[] | null,
): string | null {
  if (kind === 'link' && rights && !rights.includes('links')) return LACKING.links
  if (!target.trim()) return kind === 'link' ? 'The address is missing.' : `Choose the ${kind}.`
  return kind === 'link' && !isAddress(target) ? 'An address begins with https:// and has no spaces.' : null
}

/** What is wrong with each card, in the order of the cards; an empty list for nothing. */
export function cardFaults(cards: readonly Card[], { seconds, endFrom, profile, rights }: CardsAround): string[][] {
  const { most, text } = profile.cards
  const byTime = cards.toSorted((one, other) => one.at - other.at)
  return cards.map(card => {
    const faults: string[] = []
    const place = byTime.indexOf(card)
    const before = byTime[place - 1]
    if (place >= most) faults.push(`The site shows ${most} cards at most.`)
    if (seconds !== null && card.at >= seconds) faults.push(`The video ends at ${clock(seconds)}.`)
    else if (endFrom !== null && card.at >= endFrom) faults.push(`The end screen covers it from ${clock(endFrom)} on.`)
    if (before && card.at - before.at < CARDS_APART)
      faults.push(`It comes less than ${CARDS_APART} seconds after the one before.`)
    const wrong = targetFault(card, rights)
    if (wrong) faults.push(wrong)
    for (const [name, value] of [
      ['message', card.message],
      ['teaser', card.teaser],
    ] as const) {
      const used = count(value, 'codePoints')
      if (used > text) faults.push(`The ${name} has ${used} characters, ${text} at most.`)
    }
    // A link without words is an address that nobody presses.
    if (!card.teaser.trim()) faults.push('The teaser is missing: it is all that is seen at first.')
    return faults
  })
}
