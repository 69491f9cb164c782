import { CHECKS } from './checks'
import type { RuleSet } from './ruleset'
import { ruleSetSchema, type OwnRuleSet } from './ruleSetSchema'

/** A rule set as a file: itself, and the versions of the checks it was made for. */
export function writeRuleSet(set: RuleSet): string {
  const versions = Object.fromEntries(
    CHECKS.filter(check => set.checks[check.id]).map(check => [check.id, check.version]),
  )
  return `${JSON.stringify({ ...set, versions }, null, 2)}\n`
}

/** A rule set that was read, and what is to be known of it. */
export interface ReadRuleSet {
  set: OwnRuleSet
  /** Checks that this version does not have; they are left out. */
  unknown: string[]
  /** Checks that look at their subject otherwise than when the file was made. */
  changed: string[]
}

/** A file that is no rule set, and why, a line each. */
export class RuleSetFault extends Error {
  constructor(readonly lines: readonly string[]) {
    super(lines.join('\n'))
    this.name = 'RuleSetFault'
  }
}

/** The line of a text on which something stands; 0 where it is not there. */
const lineOf = (text: string, what: string) => {
  const at = text.indexOf(`"${what}"`)
  return at < 0 ? 0 : text.slice(0, at).split('\n').length
}

/** @throws RuleSetFault that names each fault with its line. */
export function readRuleSet(text: string): ReadRuleSet {
  let given: unknown
  try {
    given = JSON.parse(text)
  } catch (error) {
    throw new RuleSetFault([`This is not JSON: ${(error as Error).message}.`])
  }
  const { success, data, error } = ruleSetSchema.safeParse(given)
  if (!success)
    throw new RuleSetFault(
      error.issues.map(({ path, message }) => {
        // Of a setting, the line of its check is where to look.
        const named = path.filter(part => typeof part === 'string')
        const line = lineOf(text, String(named[0] === 'checks' ? named[1] : named[0]))
        return `${line ? `Line ${line}, ` : ''}${named.join(' › ') || 'the file'}: ${message}`
      }),
    )
  const versions = (given as { versions?: Record<string, unknown> }).versions ?? {}
  const known = new Map(CHECKS.map(check => [check.id, check.version]))
  const { name, note, checks } = data
  return {
    set: {
      name: name.trim() || 'Rule set',
      note,
      checks: Object.fromEntries(Object.entries(checks).filter(([id]) => known.has(id))),
    },
    unknown: Object.keys(checks).filter(id => !known.has(id)),
    changed: Object.entries(versions)
      .filter(([id, version]) => known.has(id) && known.get(id) !== version)
      .map(([id]) => id),
  }
}
