import { z } from 'zod'
import { CHECKS } from './checks'
import { ruleSetProblems } from './settings'

const rule = z.object({
  weight: z.number('A weight is a number.').min(0, 'A weight is 0 or more.').max(1000, 'A weight is 1,000 at most.'),
  settings: z.record(z.string(), z.union([z.string().max(40), z.number()])).optional(),
})
const checks = z.record(z.string().max(60), rule)
const name = z.string().trim().min(1, 'Give the rule set a name.').max(100, 'A name can be 100 characters at most.')
const note = z.string().max(2000, 'A note can be 2,000 characters at most.').default('')

/** Settings that a check does not have, or values outside its bounds, named by check and setting. */
function fitting(set: { checks: z.infer<typeof checks> }, context: z.RefinementCtx) {
  for (const { check, setting, problem } of ruleSetProblems(CHECKS, set))
    context.addIssue({ code: 'custom', message: problem, path: ['checks', check, 'settings', setting] })
}

/** A whole rule set, as it is sent and shared. */
export const ruleSetSchema = z
  .object({
    format: z.literal(1, { error: 'This rule set has an unknown format.' }),
    id: z.string().max(100),
    name: z.string().max(100),
    note,
    checks,
  })
  .superRefine(fitting)

/** What is kept of a rule set of one's own; its id is that of the item. */
export const ownRuleSetSchema = z.object({ name, note, checks }).superRefine(fitting)
export const ownRuleSetShape = { name, note, checks }
export type OwnRuleSet = z.infer<typeof ownRuleSetSchema>
