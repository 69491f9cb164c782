import { z } from 'zod'
import { queryOf, route } from '../../http/route'

const question = z.object({ workspace: z.string().max(60).optional() })

/** The briefs with their percent, worked out for those changed since. */
export default route(async (event, { briefs, scoring }) => {
  const { lines, unscored } = briefs.list(queryOf(event, question).workspace)
  const percents = await scoring.percents(unscored.map(each => each.fields))
  const scores = unscored.map(({ id, updatedAt }, i) => ({ id, updatedAt, percent: percents[i]! }))
  if (scores.length) briefs.saveScores(scores)
  const scored = new Map(scores.map(({ id, percent }) => [id, percent]))
  return { briefs: lines.map(line => (scored.has(line.id) ? { ...line, percent: scored.get(line.id)! } : line)) }
})
