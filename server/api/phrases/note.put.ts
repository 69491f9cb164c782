import { z } from 'zod'
import { phraseQuestion } from '../../http/phraseQuestion'
import { bodyOf, route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

const body = phraseQuestion.extend({ text: z.string().max(4000, 'A note can be 4,000 characters at most.') })

export default route(async (event, runtime) => {
  const { phrase, language, workspace, text } = await bodyOf(event, body)
  runtime.lists.setNote(workspaceOf(runtime, workspace).id, runtime.phrases.phraseId(phrase, language), text)
  return { ok: true }
})
