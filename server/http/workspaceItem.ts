import type { H3Event } from 'h3'
import { v7 as uuid } from 'uuid'
import type { WorkspaceKind, WorkspaceValue } from '../../core/workspace/items'
import type { Item } from '../../shared/items'
import type { WorkspaceItem } from '../../shared/workspaceItems'
import type { ItemResult } from '../data/items'
import type { Runtime } from '../runtime'
import { Problem } from './problem'
import { paramOf } from './route'
import { workspaceOf } from './workspaceOf'

const NAMES: Record<WorkspaceKind, string> = {
  block: 'block',
  tagList: 'tag list',
  ruleSet: 'rule set',
  limitProfile: 'limit profile',
  endLayout: 'layout',
  outlet: 'outlet',
  playlist: 'playlist',
}

type Saved<Kind extends WorkspaceKind> = Item<Kind, WorkspaceValue<Kind>>

/** An item as the API tells it. */
export const told = <Kind extends WorkspaceKind>({ id, revision, createdAt, savedAt, value }: Saved<Kind>) =>
  ({ id, revision, createdAt, savedAt, ...value }) as WorkspaceItem<Kind>

/** What was saved. @throws Problem where it could not be. */
export function savedItem<Kind extends WorkspaceKind>(
  kind: Kind,
  result: ItemResult<Saved<Kind>>,
): WorkspaceItem<Kind> {
  if (result.kind === 'saved') return told(result.item)
  const name = NAMES[kind]
  if (result.kind === 'stale')
    throw new Problem(
      409,
      'stale',
      `This ${name} was changed elsewhere since you opened it. Nothing was overwritten.`,
      {
        theirs: told(result.theirs),
      },
    )
  if (result.kind === 'full') throw new Problem(422, 'too-many', `This workspace has as many ${name}s as it can have.`)
  throw new Problem(409, 'other-item', `This id belongs to another ${name}. Send it under an id of its own.`)
}

/** Makes an item in a workspace; with the id of one that was deleted, brings that back. */
export function makeItem<Kind extends WorkspaceKind>(
  runtime: Runtime,
  kind: Kind,
  value: WorkspaceValue<Kind>,
  { id = uuid(), workspace }: { id?: string | undefined; workspace?: string | undefined },
): WorkspaceItem<Kind> {
  const of = workspaceOf(runtime, workspace).id
  const before = runtime.workspaceItems.get(id, kind, true)
  return savedItem(
    kind,
    runtime.workspaceItems.save(of, { id, kind, value, revision: before?.item.revision ?? 0 }) as ItemResult<
      Saved<Kind>
    >,
  )
}

/** The item the path names, with the workspace it belongs to. @throws Problem when there is none. */
export function itemOf<Kind extends WorkspaceKind>(event: H3Event, { workspaceItems }: Runtime, kind: Kind) {
  const found = workspaceItems.get(paramOf(event, 'id'), kind)
  if (!found)
    throw new Problem(404, `no-such-${NAMES[kind].replace(' ', '-')}`, `This ${NAMES[kind]} no longer exists.`)
  return { workspace: found.owner, item: found.item as Saved<Kind> }
}
