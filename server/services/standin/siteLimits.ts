import type { SiteProblem, VideoDraft } from '../contract'

/** The simulated site's own rules for what is published. It checks them itself, whatever the sender checked before. */
export const LIMITS = {
  title: 100,
  descriptionBytes: 5000,
  tags: 500,
  thumbnailBytes: 2 * 1024 * 1024,
  cards: 5,
  cardText: 30,
  endScreenElements: 4,
  endScreenSeconds: [5, 20],
  playlistTitle: 150,
  /** How far ahead a video can be scheduled, in days. */
  aheadDays: 730,
} as const

const points = (text: string) => [...text].length
const bytes = (text: string) => Buffer.byteLength(text)
const ANGLE = /[<>]/u

/** What the site does not accept of a draft, or of the part of one that changes. @param seconds the video's length. */
export function problemsOf(draft: Partial<VideoDraft>, seconds: number): SiteProblem[] {
  const problems: SiteProblem[] = []
  const wrong = (field: string, message: string) => {
    problems.push({ field, message })
  }
  const { title, description, tags, language, thumbnail, captions, sheet, cards, endScreen } = draft
  if (title !== undefined) {
    if (!title.trim()) wrong('title', 'A video needs a title.')
    if (points(title) > LIMITS.title) wrong('title', `A title can have ${LIMITS.title} characters.`)
    if (ANGLE.test(title)) wrong('title', 'A title cannot hold < or >.')
  }
  if (description !== undefined) {
    if (bytes(description) > LIMITS.descriptionBytes)
      wrong('description', `A description can have ${LIMITS.descriptionBytes} bytes.`)
    if (ANGLE.test(description)) wrong('description', 'A description cannot hold < or >.')
  }
  if (tags !== undefined) {
    const cost = tags.reduce((sum, tag) => sum + points(tag) + (/\s/u.test(tag) ? 2 : 0), Math.max(0, tags.length - 1))
    if (cost > LIMITS.tags) wrong('tags', `Tags can have ${LIMITS.tags} characters in all.`)
    if (tags.some(tag => !tag.trim() || /[<>,]/u.test(tag)))
      wrong('tags', 'A tag cannot be empty or hold <, > or a comma.')
  }
  if (language !== undefined && !/^[a-z]{2,3}(?:-[A-Za-z0-9]{2,8})*$/u.test(language))
    wrong('language', 'This is not a language.')
  if (thumbnail) {
    if (!/^data:image\/(?:png|jpeg|gif);base64,/u.test(thumbnail))
      wrong('thumbnail', 'A thumbnail is a PNG, JPEG or GIF.')
    else if (Buffer.byteLength(thumbnail.slice(thumbnail.indexOf(',') + 1), 'base64') > LIMITS.thumbnailBytes)
      wrong('thumbnail', 'A thumbnail can have 2 MB.')
  }
  if (captions && !captions.text.startsWith('WEBVTT')) wrong('captions', 'Captions are sent as WebVTT.')
  if (sheet?.madeForChildren === null) wrong('sheet.madeForChildren', 'Say whether the video is made for children.')
  if (cards) {
    if (cards.length > LIMITS.cards) wrong('cards', `A video can have ${LIMITS.cards} cards.`)
    if (cards.some(card => card.at > seconds)) wrong('cards', 'A card stands after the end of the video.')
    if (cards.some(card => points(card.message) > LIMITS.cardText || points(card.teaser) > LIMITS.cardText))
      wrong('cards', `Text on a card can have ${LIMITS.cardText} characters.`)
  }
  if (endScreen) {
    const [shortest, longest] = LIMITS.endScreenSeconds
    const lasts = seconds - endScreen.from
    if (seconds < 25) wrong('endScreen', 'A video with an end screen is 25 seconds long or more.')
    else if (lasts < shortest || lasts > longest)
      wrong('endScreen', `An end screen lasts ${shortest} to ${longest} seconds, to the end of the video.`)
    if (endScreen.elements.length > LIMITS.endScreenElements)
      wrong('endScreen', `An end screen has ${LIMITS.endScreenElements} elements at most.`)
    if (!endScreen.elements.some(({ kind }) => kind === 'video' || kind === 'playlist'))
      wrong('endScreen', 'An end screen shows a video or a playlist.')
  }
  return problems
}
