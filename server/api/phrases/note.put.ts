import { Problem } from '../../http/problem'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

export default route('PUT /api/phrases/note', async (event, runtime, { body }) => {
  const { phrase, language, workspace, text, revision } = body
  const { kind, note } = runtime.lists.setNote.immediate(
    workspaceOf(runtime, workspace).id,
    runtime.phrases.phraseId(phrase, language),
    text,
    revision,
  )
  if (kind === 'stale')
    throw new Problem(409, 'stale', 'This note was changed in another window. Nothing was overwritten.', note)
  return { ok: true, revision: note.revision }
})
