import { rankLookSchema, ranksQuery, type RankLookAnswer, type RankRow } from '../ranks'
import { call, type } from './call'

/** Where videos stand for phrases, day by day. */
export const rankCalls = {
  /** What is kept; nothing is asked. */
  'GET /api/ranks': call({ query: ranksQuery, answer: type<{ rows: RankRow[] }>() }),
  /** Looks now, on pages read today where there are some. */
  'POST /api/ranks/look': call({ body: rankLookSchema, answer: type<RankLookAnswer>() }),
}
