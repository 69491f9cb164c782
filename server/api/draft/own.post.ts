import { ownAgainst } from '../../desk/ownRivals'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** Briefs and videos of one's own that a text would compete with. */
export default route('POST /api/draft/own', (event, runtime, { body }) => {
  const { title, phrases, region, language, workspace, brief } = body
  return {
    rivals: ownAgainst(runtime, {
      title,
      ...phrases,
      region: region ?? '',
      language,
      workspace: workspaceOf(runtime, workspace).id,
      ...(brief ? { brief } : {}),
    }),
  }
})
