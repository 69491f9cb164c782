import { spoken } from '../../captions/spoken'
import { clock } from '../../captions/cue'
import { defineCheck, met, missing, partly } from '../check'
import { wholeNumber } from '../settings'

/** The lead is spoken, and soon. */
export const leadSpoken = defineCheck({
  id: 'lead-spoken',
  version: 1,
  field: 'captions',
  question: 'found',
  title: 'Lead spoken early',
  why: 'Sites read what is said, and searchers hear at once whether they are right here.',
  needs: ['captions', 'lead'],
  settings: { seconds: wholeNumber('Within so many seconds', 30, 5, 600) },
  run: ({ draft, lead, language, settings }) => {
    const [found] = spoken(draft.captions!, [lead!.raw], language)
    const ranges = found!.cue === null ? [] : [{ field: 'captions' as const, item: found!.cue, start: 0, end: 0 }]
    if (!found!.count)
      return found!.grade === 'ordered' || found!.grade === 'scattered'
        ? partly(0.4, `“${lead!.raw}” is spoken only in parts.`)
        : missing(`“${lead!.raw}” is never spoken.`)
    if (found!.first === null) return met(`“${lead!.raw}” is spoken; when is not known.`, { ranges })
    if (found!.first <= settings.seconds) return met(`Spoken at ${clock(found!.first)}.`, { ranges })
    return partly(
      0.6,
      `First spoken at ${clock(found!.first)}; this rule set asks for the first ${settings.seconds} seconds.`,
      {
        ranges,
      },
    )
  },
})
