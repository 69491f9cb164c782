import { setResponseHeader, type H3Event } from 'h3'
import type { Runtime } from '../runtime'
import type { OverviewAsked, OverviewName } from '../threads/overviewThread'
import { workspaceOf } from './workspaceOf'

/** Answers with an overview of a workspace’s channel. @throws Problem 404 for an unknown workspace. */
export function overview<Name extends OverviewName>(
  event: H3Event,
  runtime: Runtime,
  name: Name,
  workspace: string | undefined,
  ...more: OverviewAsked<Name>
): Promise<string> {
  const { id } = workspaceOf(runtime, workspace)
  setResponseHeader(event, 'Content-Type', 'application/json; charset=utf-8')
  return runtime.overviews.tell(name, id, ...more)
}
