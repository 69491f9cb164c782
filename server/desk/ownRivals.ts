import { ownRivals, type OwnOther, type OwnRival } from '../../core/draft/ownRivals'
import type { BriefStore } from '../data/briefs'
import type { ContextStores } from './draftContext'

/** No page is read deeper for a video of mine. */
const DEPTH = 60
/** Support phrases that are looked at for another lead. */
const MOST_SUPPORT = 40

export interface OwnQuestion {
  title: string
  lead: string
  support: readonly string[]
  /** '' for everywhere. */
  region: string
  language: string
  workspace: string
  /** The brief that is asked about; it is left out. */
  brief?: string
}

/** Briefs and videos of mine that a brief would compete with, from what is kept; nothing is asked of a service. */
export function ownAgainst(stores: ContextStores & { briefs: BriefStore }, question: OwnQuestion): OwnRival[] {
  const { phrases, results, workspaces, briefs } = stores
  const { title, lead, support, region, language, workspace, brief } = question
  const kept = (phrase: string) => {
    const known = phrase.trim() ? phrases.known(phrase, region, language) : null
    return { volume: known?.volume ?? null, page: known ? results.firstPage(known.id, region) : [], id: known?.id }
  }
  const own = kept(lead)
  const others: OwnOther[] = briefs
    .list(workspace)
    .lines.filter(line => line.id !== brief && (line.region ?? '') === region && line.lead)
    .map(line => ({
      kind: 'brief',
      id: line.id,
      title: line.title || line.topic,
      lead: line.lead!,
      page: kept(line.lead!).page,
    }))
  const channel = workspaces.get(workspace)?.channelId ?? null
  const page = own.id === undefined ? null : results.effective(own.id, region)
  if (channel && page)
    for (const seat of results.seats(page, DEPTH))
      if (seat.channel_id === channel)
        others.push({ kind: 'video', id: seat.code, title: seat.title, lead: '', page: [], rank: seat.rank })
  return ownRivals(
    {
      title,
      lead,
      page: own.page,
      support: support.slice(0, MOST_SUPPORT).map(phrase => {
        const { volume, page: ids } = kept(phrase)
        return { phrase, volume, page: ids }
      }),
    },
    others,
    language,
  )
}
