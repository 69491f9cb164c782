import type { DraftContext } from '../../core/draft/context'
import { tagKey } from '../../core/draft/limits'
import { expandBlock } from '../../core/blocks/block'
import { PAGE_SEATS } from '../../core/rivals/difficulty'
import type { BriefItemStore } from '../data/briefItems'
import type { PhraseStore } from '../data/phrases'
import type { ResultStore } from '../data/results'
import type { WorkspaceItemStore } from '../data/workspaceItems'
import type { WorkspaceStore } from '../data/workspaces'
import { playlistsOf } from './playlistsOf'

export interface ContextStores {
  phrases: PhraseStore
  results: ResultStore
  workspaces: WorkspaceStore
  workspaceItems: WorkspaceItemStore
  briefItems: BriefItemStore
  /** UTC milliseconds. */
  now: () => number
}

export interface ContextQuestion {
  lead: string
  title: string
  tags: readonly string[]
  /** '' for everywhere. */
  region: string
  language: string
  workspace: string
  /** The place a brief of a series is for. */
  town?: string | null
  /** The brief, for the blocks that stand live in it. */
  brief?: string
}

/** More do not fit any site's limit; each is a look into the store. */
const MOST_TAGS = 300

/** What is known around a draft, from what is kept; nothing is asked of a service. */
export function draftContext(stores: ContextStores, question: ContextQuestion): DraftContext {
  const { phrases, results, workspaces, workspaceItems } = stores
  const { lead, tags, region, language, workspace } = question
  const home = workspaces.get(workspace)
  const known = lead.trim() ? phrases.known(lead, region, language) : null
  const page = known && results.effective(known.id, region)
  const searches: Record<string, number> = {}
  for (const tag of new Set(tags.slice(0, MOST_TAGS).map(tagKey))) {
    const volume = tag ? (phrases.known(tag, region, language)?.volume ?? null) : null
    if (volume !== null) searches[tag] = volume
  }
  const standing = workspaceItems.list(workspace, 'block').filter(({ value }) => value.standing)
  const placed = new Map(
    question.brief && standing.length
      ? stores.briefItems.list(question.brief, 'placed').map(({ value }) => [value.block, value.text])
      : [],
  )
  return {
    page: page
      ? results
          .seats(page, PAGE_SEATS)
          .filter(seat => seat.off === 0 && seat.channel_id !== home?.channelId)
          .map(seat => ({ title: seat.title, channel: seat.channel_title }))
      : [],
    searches,
    playlist: question.brief === undefined ? null : playlistOf(stores, workspace, question.brief),
    ownName: home?.channelTitle ?? '',
    standing: standing.map(({ value }) => expandBlock(value.text, blockValues(stores, question)).text),
    placed: standing.map(({ id }) => placed.get(id) ?? null),
  }
}

/** The first playlist that holds a brief. */
function playlistOf({ workspaceItems }: ContextStores, workspace: string, brief: string): DraftContext['playlist'] {
  const [held] = playlistsOf(workspaceItems, workspace, brief)
  return held ? { title: held.title, description: held.description } : null
}

/** What a block's variables stand for in a brief. */
export function blockValues(
  { workspaces, now }: Pick<ContextStores, 'workspaces' | 'now'>,
  { workspace, title, lead, town }: Pick<ContextQuestion, 'workspace' | 'title' | 'lead' | 'town'>,
): Record<string, string> {
  const { texts } = workspaces.settings(workspace)
  return { ...texts.variables, title, lead, town: town || texts.town, year: String(new Date(now()).getUTCFullYear()) }
}
