import { v7 as uuid } from 'uuid'
import { expandBlock, findLive, type Block } from '../../core/blocks/block'
import type { Brief } from '../../shared/brief'
import type { BlockUse } from '../../shared/workspaceItems'
import type { BriefItemStore } from '../data/briefItems'
import type { BriefStore } from '../data/briefs'
import type { Writer } from '../data/fieldHistory'
import type { Db } from '../data/open'
import { blockValues, type ContextStores } from './draftContext'

interface Deps extends Pick<ContextStores, 'workspaces' | 'workspaceItems' | 'now'> {
  db: Db
  briefs: BriefStore
  briefItems: BriefItemStore
}

const expandedIn = (deps: Deps, block: Block, { workspaceId, fields, seriesPlace }: Brief) =>
  expandBlock(
    block.text,
    blockValues(deps, {
      workspace: workspaceId,
      title: fields.title,
      lead: fields.tray.lead ?? '',
      town: seriesPlace,
    }),
  ).text

/** The live copy of a block in a brief, if it has one. */
const placedIn = ({ briefItems }: Deps, block: string, brief: string) =>
  briefItems.list(brief, 'placed').find(({ value }) => value.block === block)

/** The briefs of a workspace that hold a block, live or as plain text, those changed last first. */
export function usesOf(deps: Deps, workspace: string, id: string, block: Block): BlockUse[] {
  return deps.briefs.list(workspace).lines.flatMap(({ id: briefId }) => {
    const brief = deps.briefs.get(briefId)!
    const { description, topic, title } = brief.fields
    const placed = placedIn(deps, id, briefId)
    const stands = findLive(description, placed?.value.text, expandedIn(deps, block, brief)) !== null
    if (!placed && !stands) return []
    return [{ brief: briefId, topic: topic || title || 'Untitled', live: placed !== undefined, edited: !stands }]
  })
}

/**
 * Puts a changed block's text in place of the one before in a brief that has it live.
 * @returns whether it stood there unchanged; what was edited by hand is left as it is.
 */
export function follow(deps: Deps, id: string, before: Block, block: Block, briefId: string, by: Writer): boolean {
  const brief = deps.briefs.get(briefId)
  const placed = brief && brief.deletedAt === null ? placedIn(deps, id, briefId) : undefined
  if (!placed) return false
  const { description } = brief!.fields
  const at = findLive(description, placed.value.text, expandedIn(deps, before, brief!))
  if (!at) return false
  const text = expandedIn(deps, block, brief!)
  const value = description.slice(0, at.start) + text + description.slice(at.end)
  const result = deps.briefs.patch(
    briefId,
    uuid(),
    { description: { revision: brief!.revisions.description, value } },
    by,
  )
  if (result.kind !== 'saved') return false
  deps.briefItems.save(briefId, { ...placed, value: { block: id, text } })
  return true
}
