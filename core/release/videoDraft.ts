import { readCaptions } from '../captions/read'
import { writeCaptions } from '../captions/write'
import type { BriefFields } from '../brief/brief'
import { tidyTags } from '../draft/limits'
import { questionState } from './answered'
import type { TargetKind } from './cards'
import type { ElementKind, EndElement } from './endScreen'
import type { ChannelRight } from './rights'
import { SHEET_QUESTIONS } from './sheet'

/** All that goes to a site with a video, in its own terms. */
export interface WrittenDraft {
  title: string
  description: string
  tags: string[]
  language: string
  captions: { language: string; text: string } | null
  sheet: {
    visibility: 'public' | 'unlisted' | 'private'
    /** `null` is an answer that is still owed, which a site does not accept. */
    madeForChildren: boolean | null
    ageLimit: boolean
    paidPromotion: boolean
    category: string | null
    licence: 'standard' | 'reuse'
    embedding: boolean
    comments: 'open' | 'reviewed' | 'closed'
    ratingsShown: boolean
    notifySubscribers: boolean
    premiere: boolean
    monetised: boolean
    automaticCaptions: boolean
    /** UTC milliseconds. */
    recordedAt: number | null
    recordedIn: string | null
  }
  /** Seconds from the beginning, as an end screen's. */
  cards: { at: number; kind: TargetKind; target: string; message: string; teaser: string }[]
  /** Without a target the site chooses, or there is nothing to choose. */
  endScreen: { from: number; elements: { kind: ElementKind; target: string | null }[] } | null
}

/** Something that keeps a brief from being published, at the point or field it is about. */
export interface DraftProblem {
  field: string
  message: string
}

/** What has to be answered or written before anything is sent. */
export function unsendable(fields: BriefFields, rights: readonly ChannelRight[] | null): DraftProblem[] {
  const problems: DraftProblem[] = []
  if (!fields.title.trim()) problems.push({ field: 'title', message: 'A video needs a title.' })
  for (const question of SHEET_QUESTIONS)
    if (questionState(question, fields, rights).state === 'unanswered')
      problems.push({ field: question.id, message: `Answer first: ${question.title}.` })
  if (fields.releaseAt === null) problems.push({ field: 'hour', message: 'Choose a release time, or now.' })
  return problems
}

/** What of a brief applies to a question that is asked as yes or no; no where nobody asks. */
function says(
  id: 'notifySubscribers' | 'premiere' | 'monetised',
  fields: BriefFields,
  rights: readonly ChannelRight[] | null,
): boolean {
  const question = SHEET_QUESTIONS.find(each => each.id === id)!
  return fields.sheet[id] === true && ['done', 'open'].includes(questionState(question, fields, rights).state)
}

/**
 * The answers of the sheet in the terms of a site; what does not apply becomes what is left when nobody asks.
 * @throws Error where one is still owed; ask `unsendable` first.
 */
export function writtenSheet(fields: BriefFields, rights: readonly ChannelRight[] | null): WrittenDraft['sheet'] {
  const { sheet } = fields
  const owed = unsendable(fields, rights).find(({ field }) => field !== 'hour' && field !== 'title')
  if (owed) throw new Error(owed.message)
  return {
    visibility: sheet.visibility!,
    madeForChildren: sheet.madeForChildren,
    ageLimit: sheet.ageLimit === true,
    paidPromotion: sheet.paidPromotion === true,
    category: sheet.category || null,
    licence: sheet.licence!,
    embedding: sheet.embedding === true,
    comments: sheet.madeForChildren ? 'closed' : sheet.comments!,
    ratingsShown: sheet.ratingsShown === true,
    notifySubscribers: says('notifySubscribers', fields, rights),
    premiere: says('premiere', fields, rights),
    monetised: says('monetised', fields, rights),
    automaticCaptions: sheet.automaticCaptions === 'keep',
    recordedAt: sheet.recordedOn ? Date.parse(sheet.recordedOn) : null,
    recordedIn: sheet.recordedIn || null,
  }
}

/** The texts of a brief and what leads on from it, in the terms of a site. @param siteId its id of a playlist here. */
export async function writtenTexts(
  fields: BriefFields,
  siteId: (playlist: string) => string,
): Promise<Omit<WrittenDraft, 'sheet'>> {
  const { language, title, description, endScreen } = fields
  const spoken = await readCaptions(fields.captions)
  // Sites switch both off in what is made for children.
  const leads = fields.sheet.madeForChildren !== true
  const targetOf = ({ kind, target }: { kind: ElementKind; target: string }) =>
    kind === 'playlist' ? siteId(target) : target
  return {
    title,
    description,
    tags: tidyTags(fields.tags),
    language,
    // Without times a site cannot show them.
    captions: spoken.timed ? { language, text: writeCaptions(spoken.cues, 'webvtt') } : null,
    cards: (leads ? fields.cards : [])
      .toSorted((one, other) => one.at - other.at)
      .map(card => ({
        at: card.at,
        kind: card.kind,
        target: targetOf(card),
        message: card.message,
        teaser: card.teaser,
      })),
    endScreen: leads && endScreen ? { from: endScreen.from, elements: endScreen.elements.map(shownElement) } : null,
  }
  function shownElement(element: EndElement) {
    const { kind, pick } = element
    const open = kind === 'subscribe' || (kind === 'video' && pick !== 'chosen')
    return { kind, target: open ? null : targetOf(element) }
  }
}

/** Playlists that a draft leads to, by their ids here. */
export const playlistsLedTo = ({ cards, endScreen }: Pick<BriefFields, 'cards' | 'endScreen'>): string[] => [
  ...new Set(
    [...cards, ...(endScreen?.elements ?? [])].flatMap(({ kind, target }) =>
      kind === 'playlist' && target ? [target] : [],
    ),
  ),
]
