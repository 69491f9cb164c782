import { z } from 'zod'
import { phraseQuestion } from '../../http/phraseQuestion'
import { Problem } from '../../http/problem'
import { bodyOf, route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

const body = phraseQuestion.extend({
  text: z.string().max(4000, 'A note can be 4,000 characters at most.'),
  /** That of the note it was made from. */ revision: z.number().int().min(0).optional(),
})

export default route(async (event, runtime) => {
  const { phrase, language, workspace, text, revision } = await bodyOf(event, body)
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
