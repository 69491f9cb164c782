import { writeBriefFile, type BriefFileItems } from '../../core/brief/briefFile'
import { csvFile } from '../../core/formats/csv'
import type { Brief } from '../../shared/brief'
import type { Runtime } from '../runtime'
import { rowOf } from './rows'

/** A brief whole, in a format that carries its version. */
export const briefJson = (brief: Brief, items: BriefFileItems): string => writeBriefFile(brief, items, Date.now())

/** The phrases of a brief with their figures as last observed. */
export function briefPhrases({ fields }: Brief, _: BriefFileItems, runtime: Runtime): string {
  const { tray, region, language } = fields
  const rowFor = rowOf(runtime, region ?? '', language)
  const line = (role: string, phrase: string) => {
    const row = rowFor(phrase)
    return [
      role,
      phrase,
      row?.volume ?? null,
      row?.volumeAll ?? null,
      row?.change ?? null,
      row?.competition ?? null,
      row?.difficulty ?? null,
      row?.worth.anyone ?? null,
      row?.source ?? null,
      row?.at ? new Date(row.at).toISOString() : null,
    ]
  }
  return csvFile(
    [
      'role',
      'phrase',
      'volume',
      'volume everywhere',
      'change',
      'competition',
      'difficulty',
      'worth',
      'source',
      'observed',
    ],
    [
      ...(tray.lead ? [line('lead', tray.lead)] : []),
      ...tray.support.map(phrase => line('support', phrase)),
      ...tray.setAside.map(phrase => line('set aside', phrase)),
    ],
  )
}
