import type { PhrasesQuery } from '../../shared/phrases'
import type { BriefStore } from '../data/briefs'

/**
 * Phrases that stay away from a table: what the brief set aside unless it is to be seen, and what its tray holds when
 * that is asked for.
 */
export function trayOf(
  briefs: BriefStore,
  { brief, tray, aside }: Pick<PhrasesQuery, 'brief' | 'tray' | 'aside'>,
): string[] {
  const held = brief ? briefs.get(brief)?.fields.tray : undefined
  if (!held) return []
  return [...(aside ? [] : held.setAside), ...(tray ? [...(held.lead ? [held.lead] : []), ...held.support] : [])]
}
