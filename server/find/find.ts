import { matcher } from '../../core/find/match'
import { words } from '../../core/text/words'
import { FOUND_KINDS, type FindAnswer, type Found } from '../../shared/find'
import { phrasesQuerySchema, type PhrasesAnswer } from '../../shared/phrases'
import type { PhraseSearch } from '../demand/search'
import type { Runtime } from '../runtime'

/** So many of a kind are told. */
const MOST = 6
/** Phrases stand behind one's own things that answer as well. */
const OTHERS = 0.8

/** Whatever in a workspace answers what was typed, the best first; from what is kept, nothing is asked. */
export async function find(
  { findables, search, workspaces }: Pick<Runtime, 'findables' | 'search' | 'workspaces'>,
  workspace: string,
  asked: string,
): Promise<FindAnswer> {
  const { channelId, region, language } = workspaces.get(workspace)!
  if (!words(asked).length) return { rows: [], region }
  const how = matcher(asked)
  const rows: Found[] = []
  for (const { kind, id, text, also } of findables.of(workspace, channelId)) {
    const score = how(text, also)
    if (score !== null) rows.push({ kind, id, text, score })
  }
  for (const phrase of await phrasesHeld(search, asked, region, language))
    rows.push({ kind: 'phrase', id: phrase, text: phrase, score: (how(phrase) ?? 1) * OTHERS })
  rows.sort((a, b) => b.score - a.score || FOUND_KINDS.indexOf(a.kind) - FOUND_KINDS.indexOf(b.kind))
  const told = new Map<string, number>()
  return {
    rows: rows.filter(({ kind }) => {
      const n = (told.get(kind) ?? 0) + 1
      told.set(kind, n)
      return n <= MOST
    }),
    region,
  }
}

/** Phrases that hold what was typed, and those near it. */
async function phrasesHeld(
  search: Pick<PhraseSearch, 'answer'>,
  asked: string,
  region: string | null,
  language: string,
): Promise<string[]> {
  // It is one phrase that is looked for, whatever marks stand in it.
  const seed = words(asked)
    .map(({ norm }) => norm)
    .join(' ')
  const query = phrasesQuerySchema.safeParse({ seed, region: region ?? undefined, language, limit: MOST })
  if (!query.success) return []
  const { rows, near } = JSON.parse(
    await search.answer({
      query: { ...query.data, region: region ?? '' },
      looks: [null],
      ...{ missing: [], without: [], own: null },
    }),
  ) as PhrasesAnswer
  return [...rows, ...near].map(({ phrase }) => phrase)
}
