import { phraseStore } from '../../../../server/data/phrases'
import { resultStore } from '../../../../server/data/results'
import { PhraseIndex } from '../../../../server/demand/phraseIndex'
import { answerPhrases } from '../../../../server/demand/rows'
import { phrasesQuerySchema, type PhraseRow } from '../../../../shared/phrases'
import { freshData, standingClock, temporaryFolder } from '../files'

export const folder = temporaryFolder()
export const service = { name: 'demand data', kind: 'service' as const }
export const clock = standingClock()

export function setUp() {
  const db = freshData(folder)
  const index = new PhraseIndex(db)
  const changed = (ids: readonly number[]) => {
    index.changed(ids)
  }
  return { db, index, phrases: phraseStore(db, clock, changed), results: resultStore(db, changed) }
}
type Given = ReturnType<typeof setUp>
export const own = { strength: 0.6, spread: { offset: 0, sigma: 0.12, tau: 0.03 } }
export function ask(
  { index, phrases }: Pick<Given, 'index' | 'phrases'>,
  more: Record<string, unknown> = {},
  besides: { look?: number | null; looks?: (number | null)[]; without?: string[]; mine?: boolean } = {},
) {
  const query = phrasesQuerySchema.parse({ seed: 'bike', region: 'GB', limit: 1000, ...more })
  return answerPhrases(index, phrases, {
    query: { ...query, region: query.region ?? '' },
    looks: besides.looks ?? [besides.look ?? null],
    missing: [],
    without: besides.without ?? [],
    own: besides.mine ? own : null,
  })
}
export const texts = (answer: { rows: PhraseRow[] }) => answer.rows.map(row => row.phrase)
export const figure = (phrase: string, volume: number | null, more = {}) => ({ phrase, region: 'GB', volume, ...more })
export const page = (phraseId: number, strength: number) => ({
  phraseId,
  region: 'GB',
  kind: 'site' as const,
  source: 'site',
  at: 1,
  depth: 20,
  complete: true,
  more: true,
  titleMatches: 4,
  videoBlock: true,
  intent: 'buy' as const,
  seats: Array.from({ length: 20 }, (_, i) => ({
    video: {
      id: `v${phraseId}-${i}`,
      title: 't',
      description: null,
      tags: null,
      channel: { id: 'c', title: 'C', subscribers: null },
      views: 1,
      likes: 0,
      dislikes: null,
      comments: 0,
      publishedAt: 0,
      durationSeconds: 1,
      thumbnail: null,
    },
    strength: { strength, targeting: strength, reach: null, pull: null },
  })),
})
