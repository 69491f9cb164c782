import { tidyTags } from '../draft/limits'
import { formatName } from '../thumbnail/mend'
import { fileEnding, type Picture } from '../thumbnail/picture'
import { fieldOf, type BriefFields } from '../brief/brief'
import { questionState } from './answered'
import type { PointState } from './point'
import type { ChannelRight } from './rights'
import { answerInWords, SHEET_QUESTIONS } from './sheet'

/** One step of handing a video over by hand. */
export interface HandOverStep {
  id: string
  title: string
  /** What is typed or chosen there. */
  text: string
  /** Whether it is pasted, an answer to be chosen, or a file to be uploaded beside the video. */
  how: 'paste' | 'choose' | 'file'
  /** The same for the same text, so that a change since it was handed over is seen. */
  digest: string
}

/** FNV-1a over UTF-16 units, 32 bits, as eight hexadecimal digits. */
function digestOf(text: string): string {
  let hash = 0x811c9dc5
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 0x01000193)
  return (hash >>> 0).toString(16).padStart(8, '0')
}

/** States of questions that have an answer. */
const GIVEN: readonly PointState[] = ['done', 'open']

/**
 * What is handed over, in the order of use: the file first, then the texts as they stand in most forms, the answers of
 * the sheet that apply, and the hour last. Steps with nothing in them are left out.
 *
 * @param rights what the site lets one do for the channel; `null` where nobody told.
 */
export function handOverSteps(
  fields: BriefFields,
  {
    playlists,
    rights,
    inWords,
  }: { playlists: readonly string[]; rights: readonly ChannelRight[] | null; inWords: (at: number) => string },
): HandOverStep[] {
  const { sheet, releaseAt } = fields
  const paste = (id: string, title: string, text: string) => ({ id, title, text, how: 'paste' as const })
  const hour = releaseAt === null ? '' : releaseAt === 'now' ? 'As soon as it is ready' : inWords(releaseAt)
  const steps: Omit<HandOverStep, 'digest'>[] = [
    paste('fileName', 'File name', fields.fileName),
    paste('title', 'Title', fields.title),
    paste('description', 'Description', fields.description),
    paste('tags', 'Tags', tidyTags(fields.tags).join(', ')),
    { id: 'thumbnail', title: 'Thumbnail', text: thumbnailInWords(fields, rights), how: 'file' },
    { id: 'cards', title: 'Cards', text: fieldOf('cards').shown(fields.cards), how: 'choose' },
    { id: 'endScreen', title: 'End screen', text: fieldOf('endScreen').shown(fields.endScreen), how: 'choose' },
    { id: 'playlists', title: 'Playlists', text: playlists.join('\n'), how: 'choose' },
    // An answer that no longer applies, or to something that is not allowed, would mislead whoever follows it.
    ...SHEET_QUESTIONS.filter(question => GIVEN.includes(questionState(question, fields, rights).state)).map(
      question => ({
        id: question.id,
        title: question.title,
        text: answerInWords(question, sheet[question.id] ?? null)!,
        how: 'choose' as const,
      }),
    ),
    { id: 'captions', title: 'Captions', text: fields.captions, how: 'file' },
    { id: 'hour', title: 'Hour of release', text: hour, how: 'choose' },
  ]
  return steps.filter(({ text }) => text.trim()).map(step => ({ ...step, digest: digestOf(step.text) }))
}

/** The picture by its size and the beginning of its name, so that another one is seen to be another. */
function thumbnailInWords({ thumbnail }: BriefFields, rights: readonly ChannelRight[] | null): string {
  if (!thumbnail || (rights && !rights.includes('thumbnails'))) return ''
  const { width, height, format, hash } = thumbnail
  return `${width}×${height} ${formatName(format)} (${hash.slice(0, 8)})`
}

/** The name of the file of a thumbnail: as the video's own, so that both are found together. */
export const thumbnailFile = ({ fileName }: Pick<BriefFields, 'fileName'>, picture: Pick<Picture, 'format'>) =>
  `${fileName.replace(/\.[a-z0-9]+$/iu, '') || 'thumbnail'}.${fileEnding(picture)}`

/** The ending of a file of captions: they are WebVTT where they say so, else SRT. */
export const captionsEnding = (captions: string) => (captions.trimStart().startsWith('WEBVTT') ? 'vtt' : 'srt')

/** How a step stands: to be done, done, or done with another text than it holds now. */
export const handedState = ({ id, digest }: HandOverStep, { handed }: Pick<BriefFields, 'handed'>) => {
  const before = handed[id]
  return before === undefined ? 'left' : before.digest === digest ? 'done' : 'changed'
}
