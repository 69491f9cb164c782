import { phraseKey } from '../../../core/text/words'
import { playlistPageAnswer } from '../../desk/playlists'
import { lookAtPlaylists } from '../../desk/playlistLook'
import { askable } from '../../http/askable'
import { route } from '../../http/route'
import { workspaceOf } from '../../http/workspaceOf'

/** The playlists that stand for a phrase, and how hard it is to stand among them. */
export default route('GET /api/playlists/page', async (event, open, { query }) => {
  const runtime = askable(event, open)
  const { region, language, anew } = query
  const question = { phrase: phraseKey(query.phrase), region: region ?? '', language }
  const problem = await lookAtPlaylists(runtime, question, anew === '1')
  return playlistPageAnswer(runtime, { ...question, workspace: workspaceOf(runtime, query.workspace).id }, problem)
})
