import type { BriefFields } from '../brief/brief'
import { clock } from '../captions/cue'
import { csvFile } from '../formats/csv'
import { KIND_NAMES } from './cards'
import { leadsTo } from './endScreen'

const HEADERS = ['where', 'from', 'seconds', 'kind', 'leads to', 'target', 'message', 'teaser', 'left', 'top', 'width']
const percent = (share: number) => `${Math.round(1000 * share) / 10} %`

/** Cards and end screen as a table: what leads where and when, and for the end screen the place in the frame. */
export function leadsTable({ cards, endScreen }: Pick<BriefFields, 'cards' | 'endScreen'>): string {
  return csvFile(HEADERS, [
    ...[...cards]
      .sort((a, b) => a.at - b.at)
      .map(({ at, kind, title, target, message, teaser }) => [
        'card',
        clock(at),
        at,
        KIND_NAMES[kind],
        title,
        target,
        message,
        teaser,
        null,
        null,
        null,
      ]),
    ...(endScreen?.elements ?? []).map(element => [
      'end screen',
      clock(endScreen!.from),
      endScreen!.from,
      KIND_NAMES[element.kind],
      leadsTo(element),
      element.target,
      null,
      null,
      percent(element.x),
      percent(element.y),
      percent(element.width),
    ]),
  ])
}
