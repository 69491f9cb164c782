import { expandBlock } from '../../core/blocks/block'
import type { CopySource } from '../../core/draft/copied'
import { blockValues, type ContextStores } from './draftContext'

/** No page is read deeper. */
const DEPTH = 60
/** Of each phrase a page is compared with; more phrases than these no brief has. */
const MOST_PHRASES = 60

interface CopyQuestion {
  phrases: readonly string[]
  /** '' for everywhere. */
  region: string
  language: string
  workspace: string
  lead: string
  title: string
}

/**
 * Texts on the kept pages of some phrases, each video once, without those of my own channel; and the texts that are
 * mine wherever they stand.
 */
export function copySources(
  stores: ContextStores,
  { phrases, region, language, workspace, lead, title }: CopyQuestion,
): { sources: CopySource[]; own: string[] } {
  const { results, workspaces, workspaceItems } = stores
  const mine = workspaces.get(workspace)?.channelId ?? null
  const found = new Map<string, CopySource>()
  for (const phrase of phrases.filter(each => each.trim()).slice(0, MOST_PHRASES)) {
    const known = stores.phrases.known(phrase, region, language)
    const page = known && results.effective(known.id, region)
    for (const seat of page ? results.seats(page, DEPTH) : [])
      if (seat.channel_id !== mine && !found.has(seat.code))
        found.set(seat.code, {
          videoId: seat.code,
          title: seat.title,
          channel: seat.channel_title,
          description: seat.description ?? '',
        })
  }
  const values = blockValues(stores, { workspace, lead, title })
  const own = workspaceItems.list(workspace, 'block').map(({ value }) => expandBlock(value.text, values).text)
  return { sources: [...found.values()], own }
}
