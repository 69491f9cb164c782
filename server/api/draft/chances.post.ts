import { draftChances } from '../../desk/draftChances'
import { route } from '../../http/route'

/** What a text's wording does to the chance of each phrase. */
export default route('POST /api/draft/chances', (event, { chances, phrases, workspaces }, { body }) => {
  const { draft, phrases: tray, region, language, workspace } = body
  const { own, workspace: mine } = workspaces.standing(workspace)
  const parts = own && mine?.own ? { ...mine.own, ...own } : null
  const list = [tray.lead, ...tray.support].filter(phrase => phrase.trim())
  return { rows: draftChances(phrases, { draft, phrases: list, region: region ?? '', language }, parts, chances) }
})
