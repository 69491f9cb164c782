import { truthOf } from '../draft/truth'
import type { Draft } from '../draft/draft'
import { readText } from '../text/match'
import { wordCount } from '../text/words'
import { widthInEms } from '../text/width'
import { DESIGN, HEADLINE_ROOM, type Design } from './design'

/** Lines of a headline and how large it is, in pixels of the frame. */
export interface FittedHeadline {
  lines: string[]
  size: number
}

/** The bold letters of the headline are so much wider than those the table of widths is of. */
const BOLD = 1.07
export const LINE_HEIGHT = 1.08
/** The sizes that are tried, in pixels. */
const [LARGEST, SMALLEST, STEP] = [220, 24, 2]
/** A picture in a list of results is so wide, in pixels; letters that are lower than this are not read there. */
const SEEN_WIDTH = 120
const LEAST_SEEN = 7
/** More words than these are not read in passing. */
const MOST_WORDS = 5

/** A text broken into lines that are `ems` wide; `null` where a word is wider. */
function broken(text: string, ems: number): string[] | null {
  const lines: string[] = []
  for (const paragraph of text.split('\n')) {
    let line = ''
    for (const word of paragraph.split(/\s+/u).filter(Boolean)) {
      if (BOLD * widthInEms(word) > ems) return null
      const next = line ? `${line} ${word}` : word
      if (BOLD * widthInEms(next) <= ems) line = next
      else {
        lines.push(line)
        line = word
      }
    }
    if (line) lines.push(line)
  }
  return lines
}

/**
 * The largest size at which a headline fits its room, and its lines there.
 * @returns `null` without a headline, and where none fits.
 */
export function fittedHeadline({ layout, headline }: Pick<Design, 'layout' | 'headline'>): FittedHeadline | null {
  const text = headline.text.trim()
  if (layout === 'none' || !text) return null
  const room = HEADLINE_ROOM[layout]
  for (let size = LARGEST; size >= SMALLEST; size -= STEP) {
    const lines = broken(text, (room.width * DESIGN.width) / size)
    if (lines && lines.length * size * LINE_HEIGHT <= room.height * DESIGN.height)
      return { lines: lines.length ? lines : [text], size: Math.max(SMALLEST, Math.round(size * headline.size)) }
  }
  return null
}

/**
 * Problems of a headline: words found neither in the title nor in the captions, a copy of the title, too many words,
 * letters too small to read.
 *
 * @param draft the title, and the captions where there are some.
 */
export function headlineFaults(
  design: Pick<Design, 'layout' | 'headline'>,
  draft: Pick<Draft, 'title' | 'captions'>,
  language: string,
): string[] {
  const text = design.headline.text.trim()
  if (design.layout === 'none' || !text) return []
  const faults: string[] = []
  const title = readText(draft.title ?? '', language)
  const { compared, unsupported } = truthOf({ title: text, captions: draft.captions }, language)
  const borne = (words: string) => readText(words, language).stems.every(stem => title.byStem.has(stem))
  const empty = unsupported.filter(({ text: words }) => !borne(words))
  if (compared && empty.length)
    faults.push(`${empty.map(({ text: words }) => `“${words}”`).join(', ')}: not in the captions or the title.`)
  const said = readText(text, language)
  if (said.stems.length > 1 && said.stems.every(stem => title.byStem.has(stem)))
    faults.push('The headline repeats the title. Add something new.')
  const words = wordCount(text)
  if (words > MOST_WORDS) faults.push(`${words} words. Use ${MOST_WORDS} at most, so that it can be read at a glance.`)
  const fitted = fittedHeadline(design)
  if (!fitted) faults.push('It does not fit. Shorten its longest word.')
  else if ((fitted.size * SEEN_WIDTH) / DESIGN.width < LEAST_SEEN)
    faults.push('The letters are too small to read in a list of results.')
  return faults
}
