import { draftContext } from '../../desk/draftContext'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** What is known around a draft: its neighbours on the page, searches of its tags, standing blocks. */
export default route('POST /api/draft/context', (event, runtime, { body }) => {
  // Whoever opens the Desk asks for tags next: what that needs is read meanwhile.
  void runtime.scoring.misspelt([], body.language, []).catch(() => undefined)
  const { lead, title, tags, town, brief, region, language, workspace } = body
  return {
    context: draftContext(runtime, {
      lead,
      title,
      tags,
      language,
      town: town ?? null,
      ...(brief ? { brief } : {}),
      region: region ?? '',
      workspace: workspaceOf(runtime, workspace).id,
    }),
  }
})
